import { inTodaysWords } from '../plan/todaysWords';
import type { AsIf, Body, Kind } from './changes/change';
import { LOG_CHANGES } from './changes/log';
import { PLAN_CHANGES } from './changes/plan';
import { TEST_CHANGES } from './changes/tests';
import { VISIT_CHANGES } from './changes/visit';

/** What can wait. */
const KINDS: Kind[] = [...PLAN_CHANGES, ...LOG_CHANGES, ...VISIT_CHANGES, ...TEST_CHANGES];

/** What a request about a site will have done, as the server will have it; undefined for one that cannot wait. */
export function asIf(method: string, path: string, body: string): AsIf | undefined {
  const [, site, rest] = /^(\/api\/sites\/[^/]+)\/(.+)$/.exec(path) ?? [];
  if (!site || !rest) return undefined;
  for (const [by, address, kind] of KINDS) {
    const found = address.exec(rest);
    if (by === method && found)
      return kind(site, found.slice(1), (body ? JSON.parse(inTodaysWords(body)) : {}) as Body);
  }
  return undefined;
}

/** What a request is by its method and its address behind the site, as {@link AsIf.replaces} names it. */
export const kindOf = (method: string, path: string) =>
  `${method} ${path.replace(/^\/api\/sites\/[^/]+\//, '')}`;
