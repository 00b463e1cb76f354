import { expect, it } from 'vitest';
import type { RunSummary, RunView } from '../api/api';
import { lanePath } from './lanes';
import { tapePicture } from './picture';

it('draws a lane bar as long as it lasts, and keeps the shortest closing in sight', () => {
  const bars = lanePath([0, 1, 1, 0, 0.001], 10, 50, 14).split('z').filter(Boolean);
  expect(bars).toHaveLength(2);
  expect(bars[0]).toBe('M20.00 15.0v-14.0h20.00v14.0');
  expect(bars[1]).toContain('v-3.0');
  expect(lanePath(['NaN', 'NaN'] as unknown as number[], 0, 10, 14)).toBe('');
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
