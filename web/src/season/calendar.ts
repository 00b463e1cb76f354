import type { DaySummary } from '../lib/api/api';

/** What a calendar shows of each day. */
export const SHOWN = [
  ['lowest', 'lowest state of charge'],
  ['surplus', 'surplus'],
  ['unserved', 'unserved'],
] as const;
export type Shows = (typeof SHOWN)[number][0];

/** A day in the calendar: how deep its colour is (0 to 1), what it says, and whether something was not served. */
export interface Cell {
  index: number;
  day: number;
  depth: number;
  says: string;
  unserved: boolean;
}

/** A month of the calendar. */
export interface Month {
  name: string;
  cells: Cell[];
}

const WATT_HOURS = 1;

/** Days by months, in the order of the run. */
export function calendar(days: DaySummary[], shows: Shows, energy: (wattHours: number) => string): Month[] {
  const most = Math.max(WATT_HOURS, ...days.map((day) => (shows === 'surplus' ? day.surplus : day.unserved)));
  const months: Month[] = [];
  days.forEach((day, index) => {
    const date = new Date(`${day.date}T12:00:00Z`);
    const name = date.toLocaleDateString('en-GB', { month: 'short', year: 'numeric', timeZone: 'UTC' });
    if (months.at(-1)?.name !== name) months.push({ name, cells: [] });
    const value = shows === 'surplus' ? day.surplus : day.unserved;
    months.at(-1)?.cells.push({
      index,
      day: date.getUTCDate(),
      depth: shows === 'lowest' ? day.lowestStateOfCharge : value / most,
      says:
        shows === 'lowest'
          ? `${Math.round(day.lowestStateOfCharge * 100)} %`
          : energy(shows === 'surplus' ? day.surplus : day.unserved),
      unserved: day.unserved >= WATT_HOURS,
    });
  });
  return months;
}
