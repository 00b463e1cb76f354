import { written } from '../../lib/sentence/quantity';

/** What a line is by two readings of one leg to neutral at its end, and what was drawn at the second. */
export interface Line {
  /** Where its voltage is stiff (V). */
  volts: number;
  /** Of the leg out and back (Ω), by Ohm's law. */
  legOhms: number;
}

/** The bounds of both, as a plan takes them. */
export interface Bounds {
  volts: [least: number, most: number];
  mostOhms: number;
}

const SHARPEST = 1000;

/** The line from what was read with nothing drawn (V), under load (V) and drawn then (A); or why it is none. */
export function lineFrom(idle: number, loaded: number, amperes: number, bounds: Bounds): Line | string {
  const [least, most] = bounds.volts;
  if (idle < least || idle > most)
    return `${written(idle, 'V')} with nothing drawn is not between ${written(least, 'V')} and ${written(most, 'V')}: from a leg to neutral?`;
  if (amperes <= 0) return `${written(amperes, 'A')} drawn is not above 0 A`;
  if (loaded > idle)
    return `${written(loaded, 'V')} under load is above ${written(idle, 'V')} with nothing drawn: the other way round?`;
  const legOhms = Math.round(((idle - loaded) / amperes) * SHARPEST) / SHARPEST;
  return legOhms > bounds.mostOhms
    ? `${written(legOhms, 'Ω')} is more than ${written(bounds.mostOhms, 'Ω')}: were the amperes of this leg?`
    : { volts: idle, legOhms };
}
