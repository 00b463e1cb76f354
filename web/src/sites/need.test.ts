import { expect, it } from 'vitest';
import type { SiteInList } from '../lib/api/api';
import { needOf } from './need';

const calm = {
  id: 'a',
  name: 'A',
  state: 'ACTIVE',
  plan: { findings: {}, drafts: [], unsent: 0, drifted: 0 },
} as unknown as SiteInList;
const withPlan = (plan: object) => ({ ...calm, plan: { ...calm.plan, ...plan } }) as SiteInList;

it('tells what a site needs, what is grave first, and how much it comes first', () => {
  expect(needOf(calm, '2026-11-29')).toEqual({ rank: 0, says: 'no visit planned; no bench test yet' });
  expect(needOf(withPlan({ findings: { DANGER: 2, CAUTION: 1 }, unsent: 1 }), '2026-11-29')).toEqual({
    rank: 3,
    says: '2 dangers, 1 caution, not sent to 1 device',
  });
  const late = { ...withPlan({ drafts: ['Liv'] }), upkeep: '2026-11-28' };
  expect(needOf(late, '2026-11-29')).toEqual({
    rank: 2,
    says: 'upkeep was due on 28 Nov 2026, unsaved changes of Liv',
  });
  expect(needOf(late, '2026-11-28').rank).toBe(1);
  expect(needOf({ ...calm, unreadable: 'schemaVersion 9 is not known' }, '2026-11-29').rank).toBe(3);
});
