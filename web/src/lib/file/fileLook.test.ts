import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { FileLook, Layout } from '../api/api';

const layout: Layout = {
  separator: ';',
  decimal: ',',
  skippedLines: 0,
  headingLines: 1,
  footerLines: 0,
  width: 4,
  time: { kind: 'ISO', columns: [0], pattern: '' },
  standardTimeAllYear: false,
  stampsEnd: false,
  oneYear: false,
  columns: [],
  longestGapSeconds: 10_800,
};
const look = (of: Layout, remembered = false): FileLook => ({
  layout: of,
  remembered,
  headings: ['when', 'a', 'b', 'c'],
  rows: [],
  notes: [],
  badLines: [],
  badLineCount: 0,
});
const offered = [
  {
    meaning: 'BATTERY_VOLTS',
    words: 'battery voltage',
    needed: true,
    units: [
      { unit: 'MILLIVOLTS', symbol: 'mV' },
      { unit: 'VOLTS', symbol: 'V' },
    ],
  },
  {
    meaning: 'BATTERY_AMPERES',
    words: 'battery current',
    needed: false,
    units: [{ unit: 'AMPERES', symbol: 'A' }],
  },
  {
    meaning: 'CONTACT',
    words: 'contact',
    needed: false,
    units: [{ unit: 'YES_OR_NO', symbol: 'on or off' }],
  },
];

/** How the server was asked to lay the file out, each time; undefined for as it finds it. */
let asked: (Layout | undefined)[];
let remembered: boolean;

interface Asked {
  params: { query: { layout?: string } };
  signal: AbortSignal;
}

vi.mock('../api/client', () => ({
  api: {
    GET: () => Promise.resolve({ data: offered }),
    POST: async (_: string, { params, signal }: Asked) => {
      const text = params.query.layout;
      const as = text === undefined ? undefined : (JSON.parse(text) as Layout);
      asked.push(as);
      await new Promise((done) => setTimeout(done, 5));
      if (signal.aborted) throw new DOMException('a newer one', 'AbortError');
      return { data: look(as ?? layout, as === undefined && remembered) };
    },
  },
  outcome: (call: unknown) => call,
}));

beforeEach(() => {
  asked = [];
  remembered = false;
});

async function chosen() {
  const { Looked } = await import('./fileLook.svelte');
  const looked = new Looked('here', 'LOGGER', 'UTC');
  await looked.choose(new File(['when;a;b;c'], 'log.csv'));
  return looked;
}

describe('a file that is looked at', () => {
  it('keeps both of two columns that are said one soon after the other', async () => {
    const looked = await chosen();
    await Promise.all([looked.say(1, 'BATTERY_VOLTS'), looked.say(2, 'BATTERY_AMPERES')]);
    const taken = looked.layout?.columns.map((one) => `${one.index} ${one.meaning} ${one.unit}`);
    expect(taken).toEqual(['1 BATTERY_VOLTS VOLTS', '2 BATTERY_AMPERES AMPERES']);
    expect(asked.at(-1)?.columns).toHaveLength(2);
  });

  it('has each thing in one column, and contacts each by its output', async () => {
    const looked = await chosen();
    await looked.say(1, 'BATTERY_VOLTS');
    await looked.say(2, 'BATTERY_VOLTS');
    await looked.say(1, 'CONTACT', 'lamps');
    await looked.say(3, 'CONTACT', 'pump');
    expect(looked.saidOf(2)).toMatchObject({ is: 'taken', column: { meaning: 'BATTERY_VOLTS' } });
    expect(looked.saidOf(1)).toMatchObject({ is: 'taken', column: { part: 'lamps' } });
    expect(looked.saidOf(3)).toMatchObject({ is: 'taken', column: { part: 'pump' } });
    await looked.say(1, 'nothing');
    expect(looked.saidOf(1)).toEqual({ is: 'nothing' });
  });

  it('takes a date and a time apart side by side, and never none', async () => {
    const looked = await chosen();
    await looked.say(1, 'time');
    expect(looked.layout?.time.columns).toEqual([0, 1]);
    await looked.say(1, 'BATTERY_VOLTS');
    expect(looked.layout?.time.columns).toEqual([0]);
    await looked.say(0, 'BATTERY_AMPERES');
    expect(looked.layout?.time.columns).toEqual([0]);
  });

  it('is sent as somebody said; as it was remembered where nobody said otherwise', async () => {
    remembered = true;
    const looked = await chosen();
    expect(looked.sent).toBeUndefined();
    await looked.say(1, 'BATTERY_VOLTS');
    await looked.unit(1, 'MILLIVOLTS');
    expect(JSON.parse(looked.sent ?? '{}')).toMatchObject({ columns: [{ index: 1, unit: 'MILLIVOLTS' }] });
    looked.close();
    expect(looked.file).toBeUndefined();
    expect(looked.layout).toBeUndefined();
  });
});
