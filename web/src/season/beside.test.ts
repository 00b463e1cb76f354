import { beforeEach, expect, it, vi } from 'vitest';
import type { Trace } from '../lib/api/api';
import { readout } from '../lib/tape/readout';
import { recordedAt } from '../lib/tape/recorded';
import { RecordedBeside } from './beside.svelte';

const get = vi.hoisted(() => vi.fn());
vi.mock('../lib/api/client', () => ({
  api: { GET: get },
  outcome: (call: Promise<unknown>) => call,
}));

const HOUR = 3600;
const trace = (from: number, buckets: number) =>
  ({ fromSeconds: from, bucketSeconds: HOUR, usedWatts: Array(buckets).fill(1) }) as unknown as Trace;
const files = [{ first: '2026-10-01T00:00:00Z', last: '2026-10-31T23:55:00Z' }];
const volts = { lowVolts: [12.1, null], highVolts: [12.4, null], means: { CHARGE: [0.5, null] } };
let beside: RecordedBeside;

beforeEach(async () => {
  get.mockReset();
  get.mockImplementation((path: string) =>
    Promise.resolve({ data: path.endsWith('logger-files') ? files : volts }),
  );
  beside = new RecordedBeside('hallgrund');
  await beside.load();
});

const asked = () => get.mock.calls.map(([, { params }]) => params.query).filter(Boolean);

it('stands beside the same days, in the buckets of what is shown', async () => {
  const shown = trace(2 * HOUR, 2);
  await beside.look(Date.parse('2026-10-10T00:00:00Z'), shown);
  expect(asked()).toEqual([{ from: '2026-10-10T02:00:00.000Z', to: '2026-10-10T04:00:00.000Z', buckets: 2 }]);
  expect(beside.beside(shown)).toMatchObject({ says: 'recorded', charge: [0.5, null] });
  // Of another part it says nothing until that was asked for.
  expect(beside.beside(trace(0, 2))).toBeUndefined();
});

it('goes a year back where these days were not recorded, and no further', async () => {
  const shown = trace(0, 2);
  await beside.look(Date.parse('2027-10-10T00:00:00Z'), shown);
  expect(asked()).toEqual([{ from: '2026-10-10T00:00:00.000Z', to: '2026-10-10T02:00:00.000Z', buckets: 2 }]);
  expect(beside.beside(shown)?.says).toBe('recorded a year before');
  await beside.look(Date.parse('2029-10-10T00:00:00Z'), shown);
  expect(beside.beside(shown)).toBeUndefined();
  expect(asked()).toHaveLength(1);
});

it('reads both at the cursor, and nothing where nothing was recorded', () => {
  const recorded = { says: 'recorded', lowVolts: [12.1, 12.2, null], highVolts: [12.4, 12.2, null] };
  expect(recordedAt(recorded, 0)).toBe('12.10 to 12.40 V');
  expect(recordedAt(recorded, 1)).toBe('12.20 V');
  expect(recordedAt(recorded, 2)).toBeUndefined();
  expect(readout(trace(0, 1), 2 * HOUR)).toEqual({});
});
