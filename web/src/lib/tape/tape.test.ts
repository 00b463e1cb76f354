import { expect, it } from 'vitest';
import type { Event } from '../api/api';
import { happened, isGrave } from './events';
import type { NumberedEvent, OutputFigures, RunSummary, RunView, Trace } from '../api/api';
import { bandOf } from './band';
import { countsIn, countsOf, lanePath } from './lanes';
import { freeRight } from './layout';
import { tapePicture } from './picture';
import { holds, readout } from './readout';

it('draws a lane bar as long as it lasts, and keeps the shortest closing in sight', () => {
  const bars = lanePath([0, 1, 1, 0, 0.001], 10, 50, 14).split('z').filter(Boolean);
  expect(bars).toHaveLength(2);
  expect(bars[0]).toBe('M20.00 15.0v-14.0h20.00v14.0');
  expect(bars[1]).toContain('v-3.0');
  expect(lanePath(['NaN', 'NaN'] as unknown as number[], 0, 10, 14)).toBe('');
});

it('counts the switchings of what is shown, and does not guess where some are missing', () => {
  const mark = (subject: string, kind: string) => ({ event: { subject, kind } }) as NumberedEvent;
  const marks = [mark('a', 'OPENED'), mark('a', 'CLOSED'), mark('b', 'STAGE')];
  expect(countsOf(marks, 3)).toEqual({ a: 2 });
  expect(countsOf(marks, 4)).toBeUndefined();
  const figures = { output: 'a', changeSeconds: [0, 10, 20, 30] } as OutputFigures;
  expect(countsIn([figures], 10, 25)).toEqual({ a: 2 });
  expect(countsIn([figures], 0, 5)).toEqual({ a: 0 });
});

it('outlines a band between its ends, and nothing where nothing is', () => {
  expect(bandOf([12, 11, 'NaN' as unknown as number, 12], [13, 12], 40, 100, 10, 0.1)).toEqual({
    path: 'M5.0 10.0L15.0 50.0L35.0 50.0L35.0 50.0L15.0 90.0L5.0 50.0z',
    least: 11,
    most: 13,
  });
  expect(bandOf(['NaN'] as unknown as number[], [], 40, 100, 10, 0.1)).toBeUndefined();
});

it('reads every lane at an instant, as a span where it moved, and nothing outside', () => {
  const trace = {
    fromSeconds: 600,
    bucketSeconds: 60,
    lowBatteryVolts: [12, 12.1],
    highBatteryVolts: [12, 12.4],
    lowStateOfCharge: [0.5, 0.5],
    highStateOfCharge: [0.5, 0.6],
    batteryCelsius: [-3.04, 8],
    usedWatts: [10.4, 0],
    divertedWatts: [0, 0],
    toBatteryWatts: [0, 0],
    thrownAwayWatts: [5, 0],
    unservedWatts: [0, 0],
    acSourceWatts: [0, 0],
  } as unknown as Trace;
  expect(readout(trace, 659)).toEqual({
    volts: '12.00 V',
    charge: '50 %',
    celsius: '−3.0 °C',
    source: '0 W',
    power: 'used 10 W, thrown away 5 W',
  });
  expect(readout(trace, 660)).toMatchObject({ volts: '12.10 to 12.40 V', power: 'nothing flows' });
  expect(readout(trace, 599)).toEqual({});
  expect(readout(trace, 720)).toEqual({});
});

it('makes a picture that says it is simulated, with thresholds, lanes and names that cannot break it', () => {
  const none = [0, 0];
  const trace = {
    fromSeconds: 0,
    bucketSeconds: 60,
    lowBatteryVolts: [12, 12.1],
    highBatteryVolts: [12.2, 12.4],
    lowStateOfCharge: [0.5, 0.5],
    highStateOfCharge: [0.6, 0.6],
    usedWatts: [10, 20],
    divertedWatts: none,
    toBatteryWatts: none,
    thrownAwayWatts: none,
    unservedWatts: none,
  };
  const svg = tapePicture({
    title: 'A <b>site',
    run: { start: '2026-01-01T00:00:00Z' } as RunSummary,
    view: { trace, lanes: { a: [1, 0] } } as unknown as RunView,
    lines: [{ value: 11.5, label: 'LVD', percent: false }],
    names: { a: 'Radio & lamp' },
    zone: 'UTC',
  });
  expect(svg).toContain('Simulated: no proof of safety');
  expect(svg).toContain('A &lt;b&gt;site');
  expect(svg).toContain('Radio &amp; lamp');
  expect(svg).toContain('LVD 11.50');
  expect(svg).not.toContain('NaN');
});

it('says every kind of event in words, and the ones that hurt first', () => {
  const kinds: Event['kind'][] = [
    'OPENED',
    'CLOSED',
    'CHATTER',
    'STAGE',
    'EMPTY',
    'COLLAPSE',
    'HAZARD',
    'FUSE',
    'AC',
  ];
  for (const kind of kinds) expect(happened(kind), kind).toMatch(/^[a-zA-Z ]+$/);
  expect(kinds.filter(isGrave)).toEqual(['CHATTER', 'EMPTY', 'COLLAPSE', 'HAZARD', 'FUSE']);
});

it('draws a lane of equal shares as one bar, and bars of different shares as high as their share', () => {
  expect(lanePath([1, 1, 1, 1], 0, 40, 14)).toBe('M0.00 15.0v-14.0h40.00v14.0z');
  const heights = [...lanePath([0.5, 1], 0, 20, 14).matchAll(/v-([\d.]+)/g)].map((found) => Number(found[1]));
  expect(heights).toEqual([7, 14]);
  expect(lanePath([0, 0], 0, 10, 14)).toBe('');
});

it('draws stacked powers that add up, and leaves a gap where the run is over', () => {
  const over = 'NaN' as unknown as number;
  const trace = {
    fromSeconds: 0,
    bucketSeconds: 60,
    lowBatteryVolts: [12, over],
    highBatteryVolts: [12.2, over],
    lowStateOfCharge: [0.5, over],
    highStateOfCharge: [0.6, over],
    usedWatts: [100, over],
    divertedWatts: [50, over],
    toBatteryWatts: [30, over],
    thrownAwayWatts: [20, over],
    unservedWatts: [0, over],
  };
  const svg = tapePicture({
    title: 'Site',
    run: { start: '2026-01-01T00:00:00Z' } as RunSummary,
    view: { trace, lanes: {} } as unknown as RunView,
    lines: [{ value: 90, label: 'surplus off', percent: true }],
    names: {},
    zone: 'UTC',
  });
  expect(svg).not.toContain('NaN');
  expect(svg).toContain('>200</text>');
  expect(svg).toContain('surplus off 90');
  const tops = [...svg.matchAll(/<path d="M70\.0 ([\d.]+)V([\d.]+)h/g)].map((found) => [
    Number(found[1]),
    Number(found[2]),
  ]);
  expect(tops).toHaveLength(4);
  for (let i = 1; i < tops.length; i++) expect(tops[i]?.[0]).toBeCloseTo(tops[i - 1]?.[1] ?? 0, 1);
});

it('sums up what a trace holds: 600 W for two minutes are 20 Wh', () => {
  const trace = {
    bucketSeconds: 60,
    usedWatts: [600, 600],
    divertedWatts: [0, 0],
    toBatteryWatts: [0, 60],
    fromBatteryWatts: [600, 'NaN'],
    thrownAwayWatts: [0, 0],
    unservedWatts: [0, 0],
    lowBatteryVolts: [12.1, 12.3],
    lowStateOfCharge: [0.52, 0.51],
  } as unknown as Trace;
  expect(holds(trace)).toBe(
    'used 20 Wh, into the battery 1 Wh, out of it 10 Wh, lowest 12.10 V, lowest charge 51 %',
  );
});

it('puts the label of a level beside the curve and beside others, as far right as can be', () => {
  const room = { left: 0, right: 200 };
  const none = () => false;
  const over = (from: number, to: number) => (left: number, right: number) => right > from && left < to;
  expect(freeRight(room, 50, 10, none, none)).toBe(200);
  expect(freeRight(room, 50, 10, none, over(160, 200)), 'left of where the curve ends').toBe(160);
  expect(freeRight(room, 50, 10, over(150, 200), over(120, 200)), 'and of another label').toBe(120);
  expect(
    freeRight(room, 50, 10, over(150, 200), () => true),
    'over the curve rather than over another',
  ).toBe(150);
  expect(freeRight({ left: 0, right: 40 }, 50, 10, none, none), 'where it has no room at all').toBe(40);
});
