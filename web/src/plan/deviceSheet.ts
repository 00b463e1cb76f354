import type { Setting } from '../lib/api/api';
import { believable, duration } from '../lib/sentence/quantity';

/** A row of a device's sheet: a setting, or one position of a coded switch with all that it sets. */
export interface Row {
  first: Setting;
  all: Setting[];
}

/** A number of the plan as it is said. */
export const told = (one: Setting, value: number) =>
  one.planUnit === 's' ? duration(value) : `${believable(value)} ${one.planUnit}`.trim();

/** What is entered, with the device's unit; a unit that is itself a number, such as 0.1 h, is said as a factor. */
export function entered(one: Setting): string {
  if (one.enter === '') return '';
  return `${one.enter} ${/^\d/.test(one.unit) ? `× ${one.unit}` : one.unit}`.trim();
}

/** The rows of a sheet: what one position of a coded switch sets together is one of them. */
export function rowsOf(settings: Setting[]): Row[] {
  const rows: Row[] = [];
  for (const one of settings) {
    const together = one.coded && rows.find((row) => row.first.coded && row.first.at === one.at);
    if (together) together.all.push(one);
    else rows.push({ first: one, all: [one] });
  }
  return rows;
}

const cell = (text: string) => (/[",\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);

/** A sheet as a table for other programs: comma-separated, RFC 4180. */
export function csvOf(settings: Setting[], name: (id: string) => string): string {
  const lines = settings.map((one) => [
    one.menu ?? '',
    name(one.at),
    one.label,
    one.enter,
    one.unit,
    String(one.effective),
    one.planUnit,
    one.needs ?? '',
    one.problem ?? '',
    one.path,
  ]);
  return [['menu', 'of', 'setting', 'enter', 'unit', 'it does', 'in', 'needs', 'problem', 'path'], ...lines]
    .map((line) => line.map(cell).join(',') + '\r\n')
    .join('');
}

/** A sheet as it is read out at the cabinet: a line a setting. */
export function textOf(settings: Setting[], name: (id: string) => string): string {
  return rowsOf(settings)
    .map(({ first, all }) => {
      const menu = first.menu ? `${first.menu}  ` : '';
      const label = first.coded
        ? `position (${all.map((one) => `${one.label} ${told(one, one.effective)}`).join(', ')})`
        : first.label;
      return `${menu}${name(first.at)}, ${label}: ${entered(first) || (first.problem ?? '')}`;
    })
    .join('\n');
}
