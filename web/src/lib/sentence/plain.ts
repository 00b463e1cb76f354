import { atPlace } from '../plan/planPath';
import type { Sentence } from '../api/api';
import { written } from './quantity';

/** The levels and angles of a rule by their terms, its delays left out: LVD 48 V, LVR 52.4 V. Empty where it has none. */
export function levelsOf(sentence: Sentence, rule: Record<string, unknown>): string {
  return sentence.parts
    .flatMap((part) => (part.kind === 'number' && part.unit !== 's' ? [part] : []))
    .map(
      (part) =>
        `${part.label} ${written(Number(atPlace(rule, part.field.split('.')) ?? part.value), part.unit)}`,
    )
    .join(', ');
}

/** A sentence without its chips: the words, with the numbers of the rule that is being edited. */
export function plain(sentence: Sentence, rule: Record<string, unknown>): string {
  return sentence.parts
    .map((part) => {
      if (part.kind === 'words') return part.text;
      const held = atPlace(rule, part.field.split('.')) ?? part.value;
      if (part.kind === 'number') return written(Number(held), part.unit);
      return part.choices.find((one) => one.value === String(held))?.label ?? String(held);
    })
    .join('')
    .replace(/\s+/g, ' ')
    .trim();
}
