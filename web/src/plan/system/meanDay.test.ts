import { expect, it } from 'vitest';
import type { Trace } from '../../lib/api/api';
import { meanDay } from './meanDay';

it('is the mean of a trace’s days, hour by hour; what came from elsewhere is no sun', () => {
  const days = 2;
  const hours = Array.from({ length: 24 * days }, (_, i) => i);
  const none = hours.map(() => 0);
  const trace = {
    fromSeconds: 0,
    bucketSeconds: 3600,
    usedWatts: hours.map((i) => (i < 24 ? 100 : 300)),
    divertedWatts: none,
    toBatteryWatts: hours.map((i) => (i % 24 === 12 ? 500 : 0)),
    fromBatteryWatts: hours.map((i) => (i % 24 === 0 ? 100 : 0)),
    acSourceWatts: hours.map((i) => (i % 24 === 0 ? 300 : 0)),
    thrownAwayWatts: hours.map((i) => (i === 12 ? 50 : 0)),
  } as unknown as Trace;
  const { sun, used } = meanDay(trace);
  expect(used[5]).toBe(200);
  // 100 + 500 + 50 on the first day, 300 + 500 on the second.
  expect(sun[12]).toBe((650 + 800) / 2);
  expect(sun[0], 'all of it came from battery and AC').toBe(0);
});
