import type { DeviceProfile, Knob, Setting } from '../lib/api/api';
import { believable, duration } from '../lib/sentence/quantity';
import { choiceOf, wordsOf } from '../lib/words';

/** A row of a device's sheet: a setting, or one position of a coded switch with all that it sets. */
export interface Row {
  first: Setting;
  all: Setting[];
}

/** What tells an entry of a device's menu from the others of it. */
export const keyOf = (knob: Knob) => (knob.kind === 'noted' ? knob.id : knob.setting);

/** A choice of the plan as it is said. */
export function choiceTold(word: string): string {
  const known: Record<string, string> = { true: 'yes', false: 'no', absent: 'not set' };
  if (word.includes(' ')) return word.split(' ').map(choiceTold).join(', ');
  return known[word] ?? (/[a-z]/.test(word) ? wordsOf(word) : choiceOf(word));
}

/** A number or choice of the plan as it is said. */
export function told(one: Setting, value: number, word = one.wantedWord): string {
  if (one.kind === 'NOTED') return word ?? '';
  if (word !== undefined) return choiceTold(word);
  return one.planUnit === 's' ? duration(value) : `${believable(value)} ${one.planUnit}`.trim();
}

/** A number with the device's unit; a unit that is itself a number, such as 0.1 h, is said as a factor. */
const inUnit = (number: string, unit: string) => `${number} ${/^\d/.test(unit) ? `× ${unit}` : unit}`.trim();

/** What is entered. */
export const entered = (one: Setting) => (one.enter === '' ? '' : inUnit(one.enter, one.unit));

/** What is entered there as the device comes; undefined where nobody knows. */
export const factory = (one: Setting) =>
  one.factory === undefined ? undefined : inUnit(one.factory, one.unit);

/** Whether the device comes as it is to be. */
export const isAsItComes = (one: Setting) => one.factory !== undefined && one.factory === one.enter;

/** Whether the device makes something else of it than the plan wants. */
export const actsOtherwise = (one: Setting) =>
  one.effective !== one.wanted || (one.kind === 'WORD' && one.effectiveWord !== one.wantedWord);

/** The rows of a sheet: what one position of a coded switch sets together is one of them. */
export function rowsOf(settings: Setting[]): Row[] {
  const rows: Row[] = [];
  for (const one of settings) {
    const isCoded = one.kind === 'POSITION';
    const together = isCoded && rows.find((row) => row.first.kind === 'POSITION' && row.first.at === one.at);
    if (together) together.all.push(one);
    else rows.push({ first: one, all: [one] });
  }
  return rows;
}

/** The rows where the sheet goes on to another part of the plan; what stands for nothing in it belongs wherever the menu has it. */
export function partsBegin(rows: Row[]): Row[] {
  const ofPlan = rows.filter((row) => row.first.kind !== 'NOTED');
  return ofPlan.filter((row, i) => row.first.at !== ofPlan[i - 1]?.first.at);
}

/** What has to be known to enter something: what it needs, how it is reached, and what the device makes of it. */
export function remarks(row: Row, profile: DeviceProfile): string[] {
  const one = row.first;
  const { fromFirmware, with: tool, onlyWhen } = one.shown ?? {};
  const until = profile.knobs.find((knob) => keyOf(knob) === onlyWhen?.knob)?.label ?? onlyWhen?.knob;
  return [
    one.kind === 'POSITION' && row.all.some((each) => each.problem)
      ? 'no position sets all of this; the nearest'
      : (one.problem ?? ''),
    one.problem === undefined && one.forced ? `made so by ${one.forced}` : '',
    one.hidden ? `hidden until ${until} is ${onlyWhen?.is}` : '',
    one.needs ? `needs ${one.needs}` : '',
    tool && tool !== 'KEYPAD' ? `by ${choiceOf(tool)}` : '',
    fromFirmware ? `from firmware ${fromFirmware}` : '',
  ].filter(Boolean);
}

/** What a spreadsheet would take for a formula stands behind an apostrophe; numbers stay numbers. */
const noFormula = (text: string) =>
  /^[=+\-@\t\r]/.test(text) && !/^[+-]?\d[\d.]*(e[+-]?\d+)?$/i.test(text) ? `'${text}` : text;

const cell = (text: string) => {
  const plain = noFormula(text);
  return /[",\n]/.test(plain) ? `"${plain.replaceAll('"', '""')}"` : plain;
};

/** A sheet as a table for other programs: comma-separated, RFC 4180. */
export function csvOf(settings: Setting[], profile: DeviceProfile, name: (id: string) => string): string {
  const lines = settings.map((one) => [
    one.menu ?? '',
    name(one.at),
    one.label,
    one.enter,
    one.unit,
    one.factory ?? '',
    one.effectiveWord ?? (one.kind === 'NOTED' ? '' : String(one.effective)),
    one.planUnit,
    remarks({ first: one, all: [one] }, profile).join('; '),
    one.path,
  ]);
  return [
    ['menu', 'of', 'setting', 'enter', 'unit', 'as it comes', 'it does', 'in', 'remarks', 'path'],
    ...lines,
  ]
    .map((line) => line.map(cell).join(',') + '\r\n')
    .join('');
}

/** A sheet as it is read out at the cabinet: a line a setting. */
export function textOf(settings: Setting[], profile: DeviceProfile, name: (id: string) => string): string {
  return rowsOf(settings)
    .map((row) => {
      const { first, all } = row;
      const menu = first.menu ? `${first.menu}  ` : '';
      const label =
        first.kind === 'POSITION'
          ? `position (${all.map((one) => `${one.label} ${told(one, one.effective)}`).join(', ')})`
          : first.label;
      const more = remarks(row, profile).join('; ');
      return `${menu}${name(first.at)}, ${label}: ${entered(first) || '–'}${more ? ` (${more})` : ''}`;
    })
    .join('\n');
}
