import type { DeviceProfile, Knob, Settable } from '../lib/api/api';
import { wordsOf } from '../lib/words';
import { choiceTold, keyOf } from './deviceSheet';

/** What an entry begins with: bounds and steps as they are usual for what it holds, to be adapted. */
const USUAL: Record<string, [least: number, most: number, step: number]> = {
  V: [10, 64, 0.1],
  A: [0, 200, 1],
  s: [0, 3600, 1],
  h: [0, 24, 0.25],
  '°C': [-40, 80, 1],
  W: [0, 10_000, 10],
  '%': [0, 100, 1],
};

/** A new entry of a menu for something that a plan has. */
export function knobFor(one: Settable): Knob {
  const label = wordsOf(one.name.split('.').at(-1) ?? one.name);
  if (one.several) {
    const choices = [{ enter: 'all', is: 'absent', forces: {}, chooses: {} }];
    return { kind: 'word', setting: one.name, label, choices };
  }
  if (one.words.length > 0) {
    const choices = one.words.map((word) => ({ enter: choiceTold(word), is: word, forces: {}, chooses: {} }));
    return { kind: 'word', setting: one.name, label, choices };
  }
  const [least, most, step] = USUAL[one.unit] ?? [0, 1000, 1];
  return { kind: 'number', setting: one.name, label, unit: one.unit, ofOurs: 1, least, most, step };
}

/** What of a plan has a name; each entry of a list is like its first. */
export function settableOf(settables: Settable[], name: string): Settable | undefined {
  const found = settables.find((one) => one.name === name.replace(/\.\d{1,2}(?=\.|$)/g, '.0'));
  return found && { ...found, name };
}

/** One word more, or less, of several that can be chosen together: in their order; none of them is absent. */
export function toggled(is: string, word: string, words: string[]): string {
  const chosen = is.split(' ');
  const next = words.filter((one) => chosen.includes(one) !== (one === word));
  return next.join(' ') || 'absent';
}

/** A new entry that stands for nothing in a plan. */
export function notedKnob(profile: DeviceProfile): Knob {
  let number = 1;
  while (profile.knobs.some((one) => keyOf(one) === `noted-${number}`)) number++;
  return {
    kind: 'noted',
    id: `noted-${number}`,
    label: `entry ${number}`,
    unit: '',
    choices: [],
    usual: '–',
  };
}

/** An entry in one line: what it holds and what it takes. */
export function summed(knob: Knob): string {
  if (knob.kind === 'noted') return knob.choices.map((one) => one.enter).join(', ') || 'anything';
  if (knob.kind === 'word') return knob.choices.map((one) => one.enter).join(', ');
  const { least, most, step, unit } = knob;
  return least === most ? `fixed at ${least} ${unit}` : `${least} to ${most} ${unit} in steps of ${step}`;
}

/** A list with an entry moved by one place. */
export function moved<T>(list: T[], from: number, by: -1 | 1): T[] {
  const next = [...list];
  const [entry] = next.splice(from, 1);
  if (entry !== undefined) next.splice(from + by, 0, entry);
  return next;
}

/** How a place in a profile names an entry: what is only noted by its id, another by its number. */
export const stepOf = (knob: Knob, at: number): string => (knob.kind === 'noted' ? knob.id : String(at));
