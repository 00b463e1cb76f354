import { fromCustomary, fromOther, gaugeIn, inCustomary } from './otherUnits';
import { units } from './units.svelte';

/** Numbers, durations and times as people write and read them. */

/** A number without needless zeros, at most so many digits after the point. */
export function decimal(value: number, digits = 3): string {
  return Number(value.toFixed(digits)).toString();
}

/** A number with exactly so many digits after the point, a real minus sign; what is nothing at that has none. */
export function fixed(value: number, digits: number): string {
  const shown = Math.abs(value).toFixed(digits);
  return (value < 0 && Number(shown) !== 0 ? '−' : '') + shown;
}

/** A duration as it is said: 20 s, 2 min, 1 h 30 min, 14 d. */
export function duration(seconds: number): string {
  if (seconds < 60 || !Number.isInteger(seconds)) return `${decimal(seconds)} s`;
  const parts: [number, string][] = [
    [Math.floor(seconds / 86400), 'd'],
    [Math.floor((seconds % 86400) / 3600), 'h'],
    [Math.floor((seconds % 3600) / 60), 'min'],
    [seconds % 60, 's'],
  ];
  return parts
    .filter(([count]) => count > 0)
    .map(([count, unit]) => `${count} ${unit}`)
    .join(' ');
}

/** A number with its unit, in those that the person reads. */
export function written(value: number, unit: string): string {
  if (unit === 's') return duration(value);
  if (units.customary) {
    const other = inCustomary(value, unit);
    if (other) return `${decimal(other.value).replace('-', '−')} ${other.unit}`;
    const gauge = gaugeIn(value, unit);
    if (gauge) return `${gauge} AWG`;
  }
  const number = decimal(value).replace('-', '−');
  return unit === '°' ? `${number}°` : `${number} ${unit}`;
}

/** A number, and perhaps a second joined to it, before a unit that some read otherwise. */
const TOLD =
  /([−-]?\d+(?:\.\d+)?)(?:( (?:to|and|…) |–)([−-]?\d+(?:\.\d+)?))? (°C|mm²|m²|m|l\/h|l\/kWh|l)(?![\w²/³])/g;

/** Words of the core, such as those of a finding or an event, with their numbers in the units that the person reads. */
export function told(words: string): string {
  if (!units.customary) return words;
  return words.replace(
    TOLD,
    (_, first: string, joint: string | undefined, second: string | undefined, unit: string) => {
      const own = (number: string) => written(roughly(Number(number.replace('−', '-')), unit), unit);
      return second === undefined ? own(first) : `${own(first)}${joint ?? ' '}${own(second)}`;
    },
  );
}

/** To a tenth of the unit that is read, as words have it. */
function roughly(value: number, unit: string): number {
  const other = inCustomary(value, unit);
  return other ? fromCustomary(Math.round(other.value * 10) / 10, unit) : value;
}

/** A number of the plan's in the unit that the person reads, for an axis. */
export const read = (value: number, unit: string) =>
  units.customary ? (inCustomary(value, unit)?.value ?? value) : value;

/** The other way round: a number that was typed where {@link read} stood, in the plan's unit. */
export const own = (shown: number, unit: string) => (units.customary ? fromCustomary(shown, unit) : shown);

/** The unit that the person reads where the plan has another. */
export const unitRead = (unit: string) => (units.customary ? (inCustomary(0, unit)?.unit ?? unit) : unit);

const IN_SECONDS: Record<string, number> = { s: 1, sec: 1, min: 60, m: 60, h: 3600, d: 86400 };

/**
 * Reads what was typed: decimal point or comma, with or without the unit, or in another that is known for it, such as °F or AWG;
 * durations also as "2 min", "1 h 30 min", "1:30" (min:s), hours as "21:30". Undefined when it is no number in that unit.
 */
export function typed(text: string, unit: string): number | undefined {
  const plain = text.trim().toLowerCase().replace(/−/g, '-').replace(/,/g, '.');
  if (unit === 's') return seconds(plain);
  const bare =
    unit !== '' && plain.endsWith(unit.toLowerCase()) ? plain.slice(0, -unit.length).trim() : plain;
  const told = number(bare);
  // Without a unit it is in the one that is read.
  if (told !== undefined) return units.customary && bare === plain ? fromCustomary(told, unit) : told;
  return unit === 'h' ? hours(bare) : fromOther(plain, unit, number);
}

function hours(text: string): number | undefined {
  const clock = /^(\d{1,2}):([0-5]\d)$/.exec(text);
  return clock ? Number(clock[1]) + Number(clock[2]) / 60 : undefined;
}

function number(text: string): number | undefined {
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(text) ? Number(text) : undefined;
}

function seconds(text: string): number | undefined {
  const clock = /^(\d+):([0-5]?\d)$/.exec(text);
  if (clock) return Number(clock[1]) * 60 + Number(clock[2]);
  const bare = number(text);
  if (bare !== undefined) return bare;
  const parts = [...text.matchAll(/(\d+\.?\d*)\s*(sec|min|s|m|h|d)\b\s*/g)];
  if (parts.length === 0 || parts.map((part) => part[0]).join('') !== text) return undefined;
  return parts.reduce((sum, part) => sum + Number(part[1]) * (IN_SECONDS[part[2] ?? 's'] ?? 1), 0);
}

/** Steps a number without leaving rounding dust behind, kept inside its bounds; in the unit that is read, where one is told. */
export function stepped(value: number, step: number, least: number, most: number, unit = ''): number {
  const shown = units.customary ? inCustomary(value, unit) : undefined;
  if (shown)
    return stepped(fromCustomary(Math.round((shown.value + step) * 1e6) / 1e6, unit), 0, least, most);
  const next = Math.round((value + step) * 1e6) / 1e6;
  return Math.min(most, Math.max(least, next));
}

/** A day as 24 Nov 2026. */
export function day(instant: string, zone?: string): string {
  return new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeZone: zone }).format(new Date(instant));
}

/** An instant to the minute in a zone: Tue 24 Nov, 14:05. */
export function minute(milliseconds: number, zone: string, more: Intl.DateTimeFormatOptions = {}): string {
  return new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    timeZone: zone,
    ...more,
  }).format(milliseconds);
}

/** An instant to the second in a zone: Tue 24 Nov, 14:05:30. */
export const moment = (milliseconds: number, zone: string) =>
  minute(milliseconds, zone, { second: '2-digit' });

/** An energy in Wh, as kWh from ten of them on. */
export function energy(wattHours: number): string {
  return Math.abs(wattHours) >= 10_000 ? `${fixed(wattHours / 1000, 1)} kWh` : `${fixed(wattHours, 0)} Wh`;
}

/** A worked-out number with as many digits as can be believed: four, and no zeros behind the point. */
export function believable(value: number): string {
  return decimal(Number(value.toPrecision(4))).replace('-', '−');
}

const SECONDS: Record<string, number> = { s: 1, min: 60, h: 3600, d: 86_400 };

/** A worked-out number with its unit, in the one that is read; a span of time as one says it, no finer than it matters. */
export function compared(value: number, unit: string): string {
  const seconds = value * (SECONDS[unit] ?? 0);
  const step = seconds >= 2 * 86_400 ? 3600 : seconds >= 3600 ? 60 : 1;
  const rounded = Math.round(seconds / step) * step;
  if (rounded > 0) return duration(rounded);
  const other = units.customary ? inCustomary(value, unit) : undefined;
  return other ? `${believable(other.value)} ${other.unit}` : `${believable(value)} ${unit}`;
}

/** A sentence's first letter made large. */
export function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** An instant (ms) as documents write it; without one this one. */
export function instant(at = Date.now()): string {
  return new Date(at).toISOString();
}
