import type { Comparison } from '../lib/api/api';

type Figure = Comparison['figures'][number];

/** Whether the difference of a figure is worth a word. */
export const tells = (figure: Figure): boolean => Math.abs(figure.after - figure.before) >= figure.tellFrom;

/** Whether the second run is better or worse in a figure; empty where nobody can say, or where it is nearly the same. */
export function betterOrWorse(figure: Figure): '' | 'better' | 'worse' {
  if (!tells(figure) || figure.wanted === 'EITHER') return '';
  return figure.after > figure.before === (figure.wanted === 'MORE') ? 'better' : 'worse';
}
