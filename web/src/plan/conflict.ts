import { api, outcome, type Problem } from '../lib/api/client';
import type { Plan, Revision } from '../lib/api/api';
import { merge, type Clash } from '../lib/plan/planPath';

/** Somebody saved meanwhile: theirs, the revision both began from, and both joined as far as that goes. */
export interface Conflict {
  revision: Revision;
  plan: Plan;
  merged: Plan;
  base: Plan;
  clashes: Clash[];
}

/** What somebody saved meanwhile, joined with what was to be saved on an older revision; or why that cannot be had. */
export async function meet(
  site: string,
  parent: number,
  mine: Plan,
): Promise<{ conflict?: Conflict; problem?: Problem | undefined }> {
  const path = { siteId: site };
  const latest = await outcome(api.GET('/api/sites/{siteId}/revisions/latest', { params: { path } }));
  const base = await outcome(
    api.GET('/api/sites/{siteId}/revisions/{number}', { params: { path: { ...path, number: parent } } }),
  );
  if (!latest.data || !base.data) return { problem: latest.problem ?? base.problem };
  const { value, clashes } = merge(base.data.plan, mine, latest.data.plan);
  return { conflict: { ...latest.data, base: base.data.plan, merged: value as Plan, clashes } };
}
