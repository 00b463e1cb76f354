import type { LoadedRevision, Plan } from '../api/api';
import { merge } from '../plan/planPath';
import type { Along } from './along.svelte';
import { isLocal, nextLocal } from './local';
import { SITES } from './newSite';
import type { Waiting } from './store';

export interface NewRevision {
  parent: number;
  note: string;
  plan: Plan;
  request?: string;
}

export const isRevision = ({ method, path }: Waiting) => method === 'POST' && path.endsWith('/revisions');

const UNAUTHORIZED = 401;
const CONFLICT = 409;
/** So the server says that it is there but cannot now: later, then. */
const LATER = [408, 425, 429, 500, 503];

async function why(response: Response): Promise<string> {
  try {
    const { detail, errors } = (await response.json()) as { detail?: string; errors?: { detail: string }[] };
    return [detail, ...(errors ?? []).map((one) => one.detail)].filter(Boolean).join(' ');
  } catch {
    return `The server answered ${response.status}.`;
  }
}

/** Sends what waits in the order in which it was made, until the server is away again. */
export async function send(along: Along) {
  for (const one of along.waiting.filter((waiting) => !waiting.refused)) {
    // Of a site that the server did not take nothing can be sent.
    if (one.path !== SITES && along.isOnlyHere(one.site)) continue;
    const mayGoOn = isRevision(one) ? await sendRevision(along, one) : await sendOne(along, one);
    if (!mayGoOn) return;
  }
}

/** Whether the next may be sent. */
async function sendOne(along: Along, one: Waiting): Promise<boolean> {
  // Unsaved changes on a revision that the server does not have lie in this browser.
  const isOnLocal =
    one.path.endsWith('/drafts') && one.body && isLocal((JSON.parse(one.body) as NewRevision).parent);
  if (isOnLocal) return settle(along, one, new Response());
  return settle(along, one, await along.server.post(one.path, one.body, one.method, one.at));
}

async function settle(along: Along, one: Waiting, response: Response | undefined): Promise<boolean> {
  if (!response || LATER.includes(response.status)) return false;
  if (response.status === UNAUTHORIZED) {
    along.signInWanted = true;
    return false;
  }
  if (response.ok) await along.done(one);
  else await along.refuse(one, await why(response));
  return true;
}

async function get(path: string): Promise<LoadedRevision | undefined> {
  const response = await fetch(path);
  return response.ok ? ((await response.json()) as LoadedRevision) : undefined;
}

/**
 * Sends a revision. Where somebody saved meanwhile, both are joined by place, as two editors are; where they clash, what was made here
 * becomes unsaved changes on the revision it was made from, and the page asks.
 */
async function sendRevision(along: Along, one: Waiting): Promise<boolean> {
  const made = JSON.parse(one.body) as NewRevision;
  const under = isLocal(made.parent) ? await along.base(one.site, made.parent) : undefined;
  if (under?.clashedOn !== undefined) return asDraft(along, one, made, under.clashedOn);
  const latest = await get(`${one.path}/latest`);
  if (!latest) return false;
  let body = made;
  if (latest.revision.number !== made.parent) {
    // Sent before, and its answer never came: the server says so of itself.
    const base = under ?? (await get(`${one.path}/${made.parent}`));
    if (!base) return false;
    const { value, clashes } = merge(base.plan, made.plan, latest.plan);
    if (clashes.length > 0) return asDraft(along, one, made, made.parent);
    body = { ...made, parent: latest.revision.number, plan: value as Plan };
  }
  const response = await along.server.post(one.path, body);
  // Somebody saved in this very moment: they are joined the next time.
  if (response?.status === CONFLICT) return false;
  return settle(along, one, response);
}

/** What clashes is not saved: it lies as unsaved changes on what it was made from, and is joined where somebody can be asked. */
async function asDraft(
  along: Along,
  one: Waiting,
  { parent, plan }: NewRevision,
  on: number,
): Promise<boolean> {
  const key = `sparen.draft.${one.account}.${one.site}`;
  localStorage.setItem(key, JSON.stringify({ parent: on, plan, savedAt: one.at }));
  await along.clashed(one.site, nextLocal(parent), on);
  await along.done(one);
  return true;
}
