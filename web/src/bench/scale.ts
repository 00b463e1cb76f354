import type { NamedSignal, Peg } from '../lib/api/api';

/** Where the axis of the scale lies, and how far it stays from the edges (px). */
export const AXIS = 62;
export const EDGE = 16;

/** What stands on the scale of the bench: every voltage at once, or one knob. */
export interface Scale {
  name: string;
  unit: string;
  knobs: string[];
  /** Ends of the axis, a step of the thumb, and what stands there now, as they are shown. */
  low: number;
  high: number;
  step: number;
  value: number;
  /** By how much what is shown is more than what the knob counts (100 for a fraction shown in %). */
  times: number;
  levels: Level[];
}

/** A level on the scale: where it is, which way it acts, and whose it is. */
export interface Level {
  path: string;
  term: string;
  name: string;
  value: number;
  acts: Peg['acts'];
}

/** The voltages that one thumb moves: an array's is another thing. */
export const voltages = (signals: NamedSignal[]) => signals.filter((one) => one.kind === 'VOLTAGE');

function levelsIn(pegs: Peg[], unit: string): Level[] {
  return pegs
    .filter((peg) => peg.unit === unit)
    .map(({ path, term, name, value, acts }) => ({ path, term, name, value, acts }));
}

/** Ends of an axis that holds all marks with room beside them, on half volts. */
function ends(marks: number[]): { low: number; high: number } {
  const room = Math.max(0.5, (Math.max(...marks) - Math.min(...marks)) * 0.08);
  return {
    low: Math.max(0, Math.floor((Math.min(...marks) - room) * 2) / 2),
    high: Math.ceil((Math.max(...marks) + room) * 2) / 2,
  };
}

/** The scale of all voltages: from below the lowest level to above the highest, and what is imposed now. */
export function voltageScale(
  signals: NamedSignal[],
  knobs: Record<string, number>,
  pegs: Peg[],
): Scale | undefined {
  const all = voltages(signals);
  const [first] = all;
  if (!first) return undefined;
  const levels = levelsIn(pegs, 'V');
  const values = all.map((one) => knobs[one.id] ?? one.rest);
  return {
    name: 'voltage',
    unit: 'V',
    knobs: all.map((one) => one.id),
    ...ends([...levels.map((one) => one.value), ...values]),
    step: 0.01,
    value: values[0] ?? 0,
    times: 1,
    levels,
  };
}

/** The scale of a battery that answers: its voltage among the levels, moved by nobody. */
export function liveScale(pegs: Peg[], volts: number): Scale {
  const levels = levelsIn(pegs, 'V');
  return {
    name: 'battery voltage',
    unit: 'V',
    knobs: [],
    ...ends([...levels.map((one) => one.value), volts]),
    step: 0.01,
    value: volts,
    times: 1,
    levels,
  };
}

/** The scale of one knob, with the levels that are in its unit. */
export function scaleOf(knob: NamedSignal, knobs: Record<string, number>, pegs: Peg[]): Scale {
  const times = knob.shownTimes;
  const charge = knob.kind === 'TRUE_CHARGE' || knob.kind === 'CHARGE';
  const levels =
    charge || knob.kind === 'TEMPERATURE' || knob.kind === 'VOLTAGE' ? levelsIn(pegs, knob.unit) : [];
  return {
    name: knob.name,
    unit: knob.unit,
    knobs: [knob.id],
    low: knob.least * times,
    high: knob.most * times,
    step: knob.step * times,
    value: (knobs[knob.id] ?? knob.rest) * times,
    times,
    levels,
  };
}

/** Whether a knob is a switch: on or off, and nothing between. */
export const isSwitch = (knob: NamedSignal) => knob.least === 0 && knob.most === 1 && knob.step === 1;
