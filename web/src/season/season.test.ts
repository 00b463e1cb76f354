import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { DaySummary, LedgerInWattHours, NumberedEvent, Plan, Revision, WorkView } from '../lib/api/api';
import { betterOrWorse } from './better';
import { calendar } from './calendar';
import { AS_WRITTEN, choicesFor, OTHERWISE, variantOf, WITHOUT_WINDOWS } from './compared';
import { clockOf, minuteOf, requestSays } from './byHand';
import { Conditions } from './conditions.svelte';
import { flowPicture } from './flows';
import { folded } from './folded';
import { bothLines, linesOf } from './lines';
import { Spans } from './spans.svelte';

const server = vi.hoisted(() => ({ answers: [] as unknown[], cancelled: [] as string[] }));

vi.mock('../lib/api/client', () => ({
  api: {
    GET: () => server.answers.shift(),
    POST: (_: string, { params }: { params: { path: { id: string } } }) => {
      server.cancelled.push(params.path.id);
      return { data: {} };
    },
  },
  outcome: (call: unknown) => Promise.resolve(call),
}));

const DAY = 86_400;

describe('what of a run is shown', () => {
  it('is the whole of it until something is chosen', () => {
    let days = 14;
    const spans = new Spans(() => days * DAY);
    expect(spans.shown).toEqual({ from: 0, to: 14 * DAY });
    days = 1;
    expect(spans.shown.to).toBe(DAY);
  });

  it('zooms about a point and never leaves the run', () => {
    const spans = new Spans(() => 14 * DAY);
    spans.zoom(0.5);
    expect(spans.shown).toEqual({ from: 3.5 * DAY, to: 10.5 * DAY });
    spans.zoom(0.5, 3.5 * DAY);
    expect(spans.shown).toEqual({ from: 3.5 * DAY, to: 7 * DAY });
    spans.pan(-5);
    expect(spans.shown).toEqual({ from: 0, to: 3.5 * DAY });
    spans.pan(9);
    expect(spans.shown.to).toBe(14 * DAY);
    spans.zoom(100);
    expect(spans.chosen).toBeUndefined();
  });

  it('goes down to two seconds and no further, inside the run', () => {
    const spans = new Spans(() => 14 * DAY);
    for (let i = 0; i < 60; i++) spans.zoom(0.5, 1000);
    expect(spans.shown.to - spans.shown.from).toBeCloseTo(2, 9);
    expect(spans.shown.from).toBeLessThanOrEqual(1000);
    spans.show({ from: -40, to: 40 });
    expect(spans.shown).toEqual({ from: 0, to: 80 });
  });
});

it('folds what repeats into where it first happened, and leaves the rest alone', () => {
  const events = ['A', 'B', 'A', 'A', 'C', 'A'].map(
    (subject, index) => ({ index, event: { subject, kind: 'OPENED' } }) as NumberedEvent,
  );
  expect(folded(events).map((one) => one.events.map(({ index }) => index))).toEqual([[0, 2, 3, 5], [1], [4]]);
  expect(folded(events.slice(0, 5))).toHaveLength(5);
});

it('asks for what differs from the site, and for nothing else', () => {
  const asked = new Conditions();
  const plan = {} as Plan;
  expect(asked.inputs(plan).circumstances).toBeUndefined();
  expect(asked.inputs(plan).weather).toEqual({ place: {} });
  asked.from = '2026-10-05';
  expect(asked.says()).toBe('14 days from 5 Oct 2026, the place’s climate, weather no. 1, battery as it is');
  asked.weather = 'DULL';
  expect(asked.inputs(plan).weather).toEqual({ days: 'DULL', meanCelsius: 5 });
  asked.weather = 'w-0123';
  expect(asked.inputs(plan).weather).toEqual({ file: 'w-0123' });
  asked.capacityPercent = 80;
  asked.startPercent = 0;
  const inputs = asked.inputs(plan);
  expect(inputs.circumstances).toEqual({
    ageing: { capacityFraction: 0.8, resistanceFactor: 1 },
    startStateOfCharge: 0,
    byHand: [],
  });
  // Taken from a run they ask for the very same.
  const again = new Conditions();
  again.take(inputs);
  expect(again.inputs(plan)).toEqual(inputs);
  again.take(new Conditions().inputs(plan));
  expect(again.inputs(plan)).toEqual(new Conditions().inputs(plan));
});

describe('the flow picture', () => {
  const ledger = {
    flows: [
      [300, 200, 50, 0],
      [0, 0, 0, 0],
      [150, 0, 0, 0],
      [0, 0, 0, 0],
      [100, 0, 0, 0],
    ],
    curtailed: 180,
    clipped: 20,
  } as unknown as LedgerInWattHours;
  const { left, right, bands } = flowPicture(ledger, 200);

  it('leaves out what is not there, and every bar is as high as its energy', () => {
    expect(left.map((bar) => [bar.key, bar.wattHours])).toEqual([
      ['sun', 750],
      ['battery', 150],
      ['feeder', 100],
    ]);
    expect(right.map((bar) => bar.key)).toEqual(['loads', 'charging', 'diverted', 'thrown']);
    expect((left[0]?.height ?? 0) / (left[1]?.height ?? 1)).toBeCloseTo(5, 6);
  });

  it('fills every bar with its bands, none beyond it', () => {
    for (const bar of left) {
      const out = bands.filter((band) => band.key.startsWith(`${bar.key}-`));
      expect(out.reduce((all, band) => all + band.height, 0)).toBeCloseTo(bar.height, 6);
    }
  });
});

it('puts days into months and marks those on which something was not served', () => {
  const day = (date: string, lowest: number, unserved: number) =>
    ({ date, lowestStateOfCharge: lowest, unserved, surplus: unserved * 2 }) as DaySummary;
  const days = [day('2026-01-31', 0.5, 0), day('2026-02-01', 0.25, 40), day('2026-02-02', 1, 0)];
  const months = calendar(days, 'lowest', String);
  expect(months.map((month) => [month.name, month.cells.length])).toEqual([
    ['Jan 2026', 1],
    ['Feb 2026', 2],
  ]);
  expect(months[1]?.cells[0]).toMatchObject({ index: 1, day: 1, depth: 0.25, says: '25 %', unserved: true });
  expect(calendar(days, 'surplus', String)[1]?.cells[0]).toMatchObject({ depth: 1, says: '80' });
});

it('draws the thresholds of one output by their terms, of all with the outputs’ names', () => {
  const level = { output: 'a', term: 'LVD', value: 11.5, percent: false, falling: true };
  const levels = [level, { ...level, output: 'b', term: 'on', value: 90, percent: true }];
  expect(linesOf(levels, { a: 'Radio' }, 'a')).toEqual([
    { value: 11.5, label: 'LVD', percent: false, output: 'a' },
  ]);
  expect(linesOf(levels, { a: 'Radio' }, 'all').map((line) => line.label)).toEqual(['Radio LVD', 'b on']);
});

it('draws the thresholds of two plans once where they agree', () => {
  const line = (label: string, value: number) => ({ label, value, percent: false });
  expect(
    bothLines([line('LVD', 11), line('LVR', 12)], [line('LVD', 11.5), line('LVR', 12)], 'revision 3'),
  ).toEqual([line('now LVD', 11), line('LVR', 12), line('revision 3 LVD', 11.5)]);
  // Of one output the term is not said twice.
  expect(bothLines([line('LVD', 11)], [line('LVD', 11.5)], 'rev. 3', true)).toEqual([
    line('now LVD', 11),
    line('rev. 3', 11.5),
  ]);
});

describe('long work', () => {
  const view = (id: string, state: string, message = '') =>
    ({ work: { id, state, progress: 0.5 }, message }) as unknown as WorkView;

  beforeEach(() => {
    const kept: Record<string, string> = {};
    vi.stubGlobal('sessionStorage', {
      getItem: (key: string) => kept[key] ?? null,
      setItem: (key: string, value: string) => (kept[key] = value),
    });
    server.answers = [];
    server.cancelled = [];
  });

  async function work() {
    const { LongWork } = await import('./work.svelte');
    return new LongWork('hallgrund', 'run');
  }
  const begin = (data: WorkView) => () => Promise.resolve({ data, response: {} as Response });

  it('is looked at until it is over, through a server that is away for a moment', async () => {
    server.answers = [
      { data: view('1', 'RUNNING') },
      { problem: { status: 0 } },
      { data: view('1', 'DONE') },
    ];
    const one = await work();
    await one.begin(begin(view('1', 'WAITING')));
    expect(one.done?.work.state).toBe('DONE');
    expect(one.problem).toBeUndefined();
  });

  it('is found again after a reload, and one that failed says why', async () => {
    server.answers = [{ data: view('1', 'FAILED', 'the file has nothing') }, { data: view('1', 'DONE') }];
    const one = await work();
    await one.begin(begin(view('1', 'RUNNING')));
    expect(one.problem?.detail).toBe('the file has nothing');
    const reloaded = await work();
    await reloaded.resume();
    expect(reloaded.done?.work.id).toBe('1');
  });

  it('gives way to newer work, which cancels it', async () => {
    server.answers = Array.from({ length: 40 }, (_, i) => ({ data: view(i < 3 ? '1' : '2', 'DONE') }));
    const one = await work();
    const first = one.begin(begin(view('1', 'RUNNING')));
    await vi.waitFor(() => expect(one.now?.work.id).toBe('1'));
    await one.begin(begin(view('2', 'DONE')));
    await first;
    expect(server.cancelled).toEqual(['1']);
    expect(one.done?.work.id).toBe('2');
  });
});

describe('what is done by hand', () => {
  const plan = {
    program: { outputs: [{ id: 'pump', name: 'Pump', lockout: { release: 'HAND' } }] },
  } as unknown as Plan;

  it('is asked for with the run, and comes back with it', () => {
    const asked = new Conditions();
    const byHand = [{ request: 'reset-pump', on: '2026-03-29', minuteOfDay: 540, minutes: 5 }];
    asked.byHand = byHand;
    expect(asked.differs).toBe(true);
    expect(asked.says()).toContain('1 thing done by hand');
    const inputs = asked.inputs(plan);
    expect(inputs.circumstances?.byHand).toEqual(byHand);
    const again = new Conditions();
    again.take(inputs);
    expect(again.byHand).toEqual(byHand);
  });

  it('is said by what it does, at a time of the clock', () => {
    expect(requestSays(plan, 'reset-pump')).toBe('reset the lockout of Pump');
    expect(requestSays(plan, 'button')).toBe('request “button”');
    expect(clockOf(545)).toBe('09:05');
    expect(minuteOf('09:05')).toBe(545);
    expect(minuteOf('')).toBeUndefined();
  });
});

it('says of two runs which is the better one, and nothing where it depends or is nearly the same', () => {
  const figure = { what: 'Thrown away', unit: 'Wh', before: 100, after: 40, tellFrom: 10 };
  expect(betterOrWorse({ ...figure, wanted: 'LESS' })).toBe('better');
  expect(betterOrWorse({ ...figure, wanted: 'MORE' })).toBe('worse');
  expect(betterOrWorse({ ...figure, wanted: 'EITHER' })).toBe('');
  expect(betterOrWorse({ ...figure, after: 95, wanted: 'LESS' })).toBe('');
});

describe('what a plan is compared with', () => {
  const plan = {
    program: {
      outputs: [],
      devices: [{ id: 'box' }],
      ac: { charging: 'IN_WINDOWS', windows: [{ fromHour: 1 }] },
    },
  } as unknown as Plan;

  it('is itself without its windows: then it charges at all times, or nothing would', () => {
    expect(variantOf(plan, OTHERWISE)).toBe(plan);
    expect(variantOf(plan, WITHOUT_WINDOWS)?.program.ac).toMatchObject({ charging: 'BOTH', windows: [] });
    expect(plan.program.ac?.windows).toHaveLength(1);
  });

  it('is itself as written, whatever its devices make of it; a revision is none of these', () => {
    expect(variantOf(plan, AS_WRITTEN)?.program.devices).toEqual([]);
    expect(variantOf(plan, 3)).toBeUndefined();
  });

  it('offers only what there is at the site', () => {
    const bare = { program: { outputs: [] } } as unknown as Plan;
    expect(choicesFor(bare, []).map(([number]) => number)).toEqual([OTHERWISE]);
    const revisions = [{ number: 4, name: 'Autumn' }, { number: 3 }] as unknown as Revision[];
    expect(choicesFor(plan, revisions).map(([, says]) => says)).toEqual([
      'other weather, battery or load',
      'the same without its windows',
      'the same as written, whatever devices make of it',
      'revision 4: Autumn',
      'revision 3',
    ]);
  });
});
