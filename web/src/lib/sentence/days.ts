import { day } from './quantity';

/** Days as people write and read them: 5 Oct 2026. A day is kept as documents write it: 2026-10-05. */

/** The months as they are written, in order. */
export const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** A day as it is shown, its month by name. */
export const dayWritten = (iso: string) => day(iso, 'UTC');

function existing(year: number, month: number, date: number): string | undefined {
  const there = new Date(Date.UTC(year, month - 1, date));
  const exists =
    there.getUTCFullYear() === year && there.getUTCMonth() === month - 1 && there.getUTCDate() === date;
  return exists ? there.toISOString().slice(0, 10) : undefined;
}

/** Reads a day that was typed: 5 Oct 2026, 5 October 2026, 5.10.2026, 5/10/2026 (the day first) or 2026-10-05. */
export function dayTyped(text: string): string | undefined {
  const plain = text.trim().toLowerCase();
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(plain);
  if (iso) return existing(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const numbers = /^(\d{1,2})[./](\d{1,2})[./](\d{4})$/.exec(plain);
  if (numbers) return existing(Number(numbers[3]), Number(numbers[2]), Number(numbers[1]));
  const named = /^(\d{1,2})\.? +([a-z]{3,}) +(\d{4})$/.exec(plain);
  const month = MONTHS.indexOf(named?.[2]?.slice(0, 3) ?? '') + 1;
  return named && month > 0 ? existing(Number(named[3]), month, Number(named[1])) : undefined;
}

/** A day so many days later. */
export function daysLater(iso: string, days: number): string {
  return new Date(Date.parse(`${iso}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}

/** How many days one day is after another. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000);
}
