import type { DailyFigure } from '../lib/api/api';
import { daysLater } from '../lib/sentence/days';

/** A day as it is being typed. */
export interface TypedDay {
  day: string;
  lowest: string;
  highest: string;
  in: string;
  out: string;
}

const number = (text: string) => (text.trim() === '' ? undefined : Number(text.trim().replace(',', '.')));

/** Why a typed day cannot be kept; empty where it can. */
export function troubleOf(one: TypedDay): string {
  for (const [word, text] of [
    ['lowest', one.lowest],
    ['highest', one.highest],
    ['in', one.in],
    ['out', one.out],
  ] as const) {
    const value = number(text);
    if (value !== undefined && !Number.isFinite(value)) return `${word}: “${text}” is no number`;
  }
  if (number(one.lowest) === undefined) return 'lowest: is missing, V';
  const highest = number(one.highest);
  if (highest !== undefined && highest < (number(one.lowest) ?? 0))
    return `highest: ${one.highest} V is below the lowest, ${one.lowest} V`;
  return '';
}

/** A typed day as it is kept. */
export function figureOf(one: TypedDay): DailyFigure {
  const [highestVolts, inWattHours, outWattHours] = [one.highest, one.in, one.out].map(number);
  return {
    day: one.day,
    lowestVolts: number(one.lowest) ?? 0,
    ...(highestVolts === undefined ? {} : { highestVolts }),
    ...(inWattHours === undefined ? {} : { inWattHours }),
    ...(outWattHours === undefined ? {} : { outWattHours }),
  };
}

/** The day to type next: the one after the last that is known or typed; yesterday where none is. */
export function nextDay(kept: DailyFigure[], typed: TypedDay[], today: string): string {
  const last = [...kept.map((one) => one.day), ...typed.map((one) => one.day)].sort().at(-1);
  return last ? daysLater(last, 1) : daysLater(today, -1);
}
