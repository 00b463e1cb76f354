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
  const due = { ...calm, due: { what: 'equalized', on: '2026-05-03' }, upkeep: '2027-01-02' } as SiteInList;
  expect(needOf(due, '2026-11-29')).toEqual({ rank: 2, says: 'due since 3 May 2026: equalized' });
  expect(needOf(due, '2026-05-01').says).toBe('next: equalized, due 3 May 2026; no bench test yet');
  expect(needOf({ ...calm, unreadable: 'schemaVersion 9 is not known' }, '2026-11-29').rank).toBe(3);
});

it('tells when a cut is likely, counted from today, and a rarer one more quietly', () => {
  const ahead = { revision: 1, begins: '2026-11-27', days: 14, startStateOfCharge: 0.7 };
  const outlook = {
    weathers: 20,
    cut: 14,
    likelyWithinDays: 9,
    lowestVoltsByDay: [12],
    disconnectVolts: 11.3,
  };
  const site = { ...calm, ahead: { ...ahead, outlook } } as SiteInList;
  expect(needOf(site, '2026-11-29')).toEqual({ rank: 2, says: 'cut likely within 7 days' });
  const rare = { ...ahead, outlook: { ...outlook, cut: 3, likelyWithinDays: undefined } };
  expect(needOf({ ...calm, ahead: rare } as SiteInList, '2026-11-29')).toEqual({
    rank: 1,
    says: 'a cut in 3 of 20 weathers within 14 days',
  });
  const none = { ...ahead, outlook: { ...outlook, cut: 0, likelyWithinDays: undefined } };
  expect(needOf({ ...calm, ahead: none } as SiteInList, '2026-11-29').rank).toBe(0);
});
