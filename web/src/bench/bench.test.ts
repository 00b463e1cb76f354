import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { NamedSignal, Peg, Plan } from '../lib/api/api';

const server = vi.hoisted(() => ({
  switchesAt: 42,
  asked: [] as { script: { turns: unknown[] }; untilSeconds: number }[],
}));

vi.mock('../lib/api/client', () => ({
  api: {
    POST: (_: string, { body }: { body: (typeof server.asked)[number] }) => {
      server.asked.push(body);
      const events = body.untilSeconds >= server.switchesAt ? [{ seconds: server.switchesAt }] : [];
      const nextSeconds = body.untilSeconds + 10;
      return { data: { seconds: body.untilSeconds, nextSeconds, outputs: [], events, knobs: {} } };
    },
  },
  outcome: (call: unknown) => Promise.resolve(call),
}));

async function bench() {
  const { Bench } = await import('./bench.svelte');
  return new Bench('hallgrund', () => ({}) as Plan);
}

describe('a bench', () => {
  beforeEach(() => {
    server.asked = [];
  });

  it('is its script: every knob that was turned, when, and how far time has gone', async () => {
    const one = await bench();
    await one.turn('bus_volts', 12);
    await one.forward(30);
    await one.turn('bus_volts', 11, 60);
    expect(server.asked.at(-1)).toEqual({
      plan: {},
      script: {
        turns: [
          { seconds: 0, knob: 'bus_volts', value: 12, overSeconds: 0 },
          { seconds: 30, knob: 'bus_volts', value: 11, overSeconds: 60 },
        ],
      },
      untilSeconds: 30,
    });
  });

  it('goes to the next switching, past what only begins a delay; no further than a week; and back to the start', async () => {
    const one = await bench();
    await one.forward(2);
    await one.toNext();
    expect(one.seconds).toBe(42);
    await one.forward(1e9);
    expect(one.seconds).toBe(604_800);
    await one.clear();
    expect(one.turns).toEqual([]);
    expect(server.asked.at(-1)?.untilSeconds).toBe(0);
  });

  it('says so where nothing switches, and leaves time where it was', async () => {
    server.switchesAt = Infinity;
    const one = await bench();
    await one.forward(30);
    await one.toNext();
    expect(one.seconds).toBe(30);
    expect(one.notice).toBe('Nothing switches in 10 min as the knobs stand.');
    await one.turn(['bus_volts', 'battery_volts'], 11);
    expect(one.notice).toBe('');
    expect(one.turns.map(({ knob, value }) => [knob, value])).toEqual([
      ['bus_volts', 11],
      ['battery_volts', 11],
    ]);
    server.switchesAt = 42;
  });

  it('plays a script that was kept to its end', async () => {
    const one = await bench();
    await one.take([{ seconds: 5, knob: 'bus_volts', value: 11, overSeconds: 20 }]);
    expect(one.seconds).toBe(25);
  });
});

/** A signal as the server describes it. */
const signal = (id: string, kind: NamedSignal['kind'], unit = '', shownTimes = 1): NamedSignal => ({
  id,
  name: id,
  kind,
  unit,
  shownTimes,
  least: 0,
  most: 1,
  step: 1,
  rest: 0,
});

it('begins a slow turn where it is told to, and asks once for all of it', async () => {
  const one = await bench();
  const before = server.asked.length;
  await one.turn('bus_volts', 11, 180, 14);
  expect(one.turns.map((turn) => [turn.value, turn.overSeconds])).toEqual([
    [14, 0],
    [11, 180],
  ]);
  expect(server.asked.length).toBe(before + 1);
});

it('puts the knobs that most benches need first', async () => {
  const { sortedKnobs } = await import('./bench.svelte');
  const all = [
    signal('bms_talks', 'PRESENT'),
    signal('bus_volts', 'VOLTAGE'),
    signal('stage_charge', 'STAGE'),
    signal('reported_charge_shunt', 'CHARGE'),
    signal('fault', 'FAULT'),
    signal('local_hour', 'HOUR'),
    signal('clock_hour_lamp', 'DEVICE_HOUR'),
  ];
  const { first, others } = sortedKnobs(all);
  expect(first.map((one) => one.id)).toEqual([
    'bms_talks',
    'bus_volts',
    'reported_charge_shunt',
    'local_hour',
  ]);
  expect(others.map((one) => one.id)).toEqual(['stage_charge', 'fault', 'clock_hour_lamp']);
});

it('shows a value as its signal says, whatever that is called', async () => {
  const { shownValue } = await import('./bench.svelte');
  expect(shownValue(signal('x', 'CHARGE', '%', 100), 0.905)).toBe('90.5 %');
  expect(shownValue(signal('regulation_volts_charge_controller_2', 'REGULATION', 'V'), 13.7)).toBe('13.70 V');
});

it('sneaks up on a level: to just before it, a wait, then just past it; both ends of the cable together', async () => {
  const one = await bench();
  await one.forward(10);
  await one.crossSlowly('bus_volts', 11.5, true, 0.02);
  expect(one.turns.map((turn) => [turn.seconds, turn.knob, turn.value])).toEqual([
    [10, 'battery_volts', 11.52],
    [10, 'bus_volts', 11.52],
    [70, 'battery_volts', 11.48],
    [70, 'bus_volts', 11.48],
  ]);
});

it('tells what a script does otherwise on another plan: later, never, or only there', async () => {
  const { differences } = await import('./differences');
  const event = (seconds: number, subject: string, kind: string) =>
    ({ seconds, subject, kind }) as unknown as Parameters<typeof differences>[0][number];
  const first = [event(5, 'a', 'OPENED'), event(9, 'b', 'CLOSED'), event(20, 'a', 'CLOSED')];
  const second = [event(5.01, 'a', 'OPENED'), event(30, 'a', 'CLOSED'), event(31, 'c', 'OPENED')];
  expect(differences(first, second)).toEqual([
    { subject: 'b', kind: 'CLOSED', first: 9 },
    { subject: 'a', kind: 'CLOSED', first: 20, second: 30 },
    { subject: 'c', kind: 'OPENED', second: 31 },
  ]);
  expect(differences(first, first)).toEqual([]);
});

it('begins anew when a battery is put behind it, and sets charge and clock at the start', async () => {
  const one = await bench();
  await one.turn('bus_volts', 12);
  await one.forward(30);
  await one.setLive(true);
  expect(one.turns).toEqual([]);
  expect(one.seconds).toBe(0);
  expect(server.asked.at(-1)).toMatchObject({ live: true, shownSeconds: 600 });
  await one.forward(20);
  await one.turn('load_watts_pump', 300);
  await one.setAtStart('state_of_charge', 0.4);
  await one.setAtStart('state_of_charge', 0.5);
  expect(one.turns.map((turn) => [turn.seconds, turn.knob, turn.value])).toEqual([
    [0, 'state_of_charge', 0.5],
    [20, 'load_watts_pump', 300],
  ]);
  await one.setLive(false);
  expect(server.asked.at(-1)).not.toHaveProperty('live');
});

it('plays a kept script as it was kept: with or without a battery, and as far', async () => {
  const one = await bench();
  const turns = [{ seconds: 5, knob: 'load_watts_pump', value: 300, overSeconds: 0 }];
  await one.take(turns, true, 90);
  expect(one.live).toBe(true);
  expect(one.seconds).toBe(90);
  await one.take(turns, false);
  expect(one.seconds).toBe(5);
});

describe('the scale of the bench', () => {
  const knob = (id: string, kind: NamedSignal['kind'], more: Partial<NamedSignal> = {}) =>
    ({
      id,
      kind,
      name: id,
      unit: 'V',
      least: 0,
      most: 20,
      step: 0.01,
      rest: 12,
      shownTimes: 1,
      ...more,
    }) as NamedSignal;
  const peg = (value: number, unit: string) =>
    ({ path: `p${value}`, term: 'LVD', name: 'Radio', unit, value, acts: 'FALLING' }) as Peg;

  it('holds every voltage with its levels between half volts, but not an array’s', async () => {
    const { voltageScale } = await import('./scale');
    const signals = [knob('bus', 'VOLTAGE'), knob('battery', 'VOLTAGE'), knob('array', 'ARRAY_VOLTAGE')];
    const scale = voltageScale(signals, { bus: 12.6, battery: 12.7 }, [peg(11.7, 'V'), peg(90, '%')]);
    expect(scale).toMatchObject({ knobs: ['bus', 'battery'], low: 11, high: 13.5, value: 12.6 });
    expect(scale?.levels.map((one) => one.value)).toEqual([11.7]);
    expect(voltageScale([], {}, [])).toBeUndefined();
  });

  it('shows a charge in percent with the levels in percent', async () => {
    const { scaleOf } = await import('./scale');
    const charge = knob('soc', 'CHARGE', { unit: '%', most: 1, shownTimes: 100 });
    expect(scaleOf(charge, { soc: 0.5 }, [peg(11.7, 'V'), peg(90, '%')])).toMatchObject({
      low: 0,
      high: 100,
      value: 50,
      levels: [{ value: 90 }],
    });
  });
});
