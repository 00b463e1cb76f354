import { expect, it } from 'vitest';
import type { Trace } from '../../lib/api/api';
import { mostOf, shareOf, shareOfAll, standingAt } from './standing';

// Two hours: AC there all the time, the sun enough for a quarter of the first and all of the second, the battery above its level in the first.
const TRACE = {
  acPresent: [1, 1, 'NaN'],
  sunEnough: [0.25, 1, 'NaN'],
  aboveLevel: [1, 0, 'NaN'],
} as unknown as Trace;

it('says which case holds at an instant, and how long each holds in all', () => {
  const first = standingAt(TRACE, 0);
  expect(first && mostOf(first)).toEqual({ sun: false, above: true });
  expect(first && shareOf(first, true, true)).toBe(0.25);
  expect(standingAt(TRACE, 1)).toEqual({ acPresent: 1, sunEnough: 1, aboveLevel: 0 });
  expect(standingAt(TRACE, 2)).toBeUndefined();
  expect(shareOfAll(TRACE, false, true)).toBe(0.375);
  expect(shareOfAll(TRACE, true, false)).toBe(0.5);
});

it('lights no case while AC is away, nor where there is no inverter', () => {
  expect(mostOf({ acPresent: 0.2, sunEnough: 1, aboveLevel: 1 })).toBeUndefined();
  const none = { acPresent: [], sunEnough: [], aboveLevel: [] } as unknown as Trace;
  expect(standingAt(none, 0)).toBeUndefined();
  expect(shareOfAll(none, true, true)).toBe(0);
});
