import type { LoadedRevision, LogView, NewSite, Plan, Reading, SiteInList } from '../api/api';
import type { Along } from './along.svelte';
import type { Made } from './changes/change';
import { answering, json, NoCore, NotTaken, WAITS } from './views';

/** Where sites are made. */
export const SITES = '/api/sites';

const LONGEST_STEM = 40;
const RANDOM = 4;
const DANGER = 3;
const CAUTION = 2;

/** An address for a site that nobody else gives to another: its name, and a few signs by chance. */
function addressOf(name: string): string {
  const plain = name
    .normalize('NFD')
    .toLowerCase()
    .replace(/\p{M}/gu, '')
    .replace(/ø/g, 'o')
    .replace(/æ/g, 'ae')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  const stem = (plain || 'site').slice(0, LONGEST_STEM).replace(/-+$/, '');
  return `${stem}-${crypto.randomUUID().slice(0, RANDOM)}`;
}

type Core = <A>(name: string, question: unknown) => Promise<A>;

/** A site that begins here: how it stands in the list, and what a page of it asks for, by the ends of their addresses. */
async function begin(
  { start, begun }: NewSite,
  { by, at }: Made,
  core: Core,
): Promise<{ row: SiteInList; views: Record<string, unknown> }> {
  const today = at.slice(0, 'yyyy-mm-dd'.length);
  const { plan, due } = await core<{ plan: Plan; due: LogView['due'] }>('START', { start, today });
  const { findings } = await core<Reading>('READING', plan);
  const open: Record<string, number> = {};
  for (const one of findings.filter((finding) => finding.open))
    open[one.severity] = (open[one.severity] ?? 0) + 1;
  const revision = {
    number: 0,
    author: by,
    note: 'Started from what is known',
    savedAt: at,
    changes: [WAITS],
  };
  const loaded: LoadedRevision = { revision, plan };
  const { site, program } = plan;
  return {
    row: {
      id: begun?.id ?? '',
      name: start.name,
      state: 'ACTIVE',
      rank: open.DANGER ? DANGER : open.CAUTION ? CAUTION : 0,
      plan: {
        revision,
        nominalVolts: site.nominalVolts,
        battery: site.battery.name,
        capacityAmpereHours: site.battery.capacityAmpereHours,
        arrayWatts: (site.arrays ?? []).reduce((sum, one) => sum + one.peakWatts, 0),
        outputs: (program.outputs ?? []).length,
        findings: open,
        unsent: 0,
        drifted: 0,
        drafts: [],
      },
    },
    views: {
      'revisions/latest': loaded,
      'revisions/0': loaded,
      revisions: [revision],
      drafts: { others: [] },
      handover: { revision: 0, devices: [] },
      commissioning: { round: 0, steps: [] },
      agreement: { revision: 0, since: 0, changes: [] },
      card: { site: start.name, revision: 0, savedAt: at, card: {} },
      log: { entries: [], more: false, due },
      'log/kinds': [],
      'bench-tests': [],
      'bench-scripts': [],
      'profile-notes': [],
      wires: [],
      daily: [],
      'logger-files': [],
      profiles: [],
      'weather-files': [],
      files: { profiles: {}, weather: {} },
    },
  };
}

/** A site that is made: by the server, or by the core here, under an address that both call it by. */
export async function makeSite(along: Along, request: Request): Promise<Response> {
  const { start } = (await request.clone().json()) as NewSite;
  const wanted = { start, begun: { id: addressOf(start.name), request: crypto.randomUUID() } };
  const body = JSON.stringify(wanted);
  const response = await along.server.post(SITES, body);
  if (response) return response;
  const made = along.made;
  try {
    const { row, views } = await begin(wanted, made, answering(along.askCore));
    const entry = along.entry(row.id, 'POST', SITES, body, 'a new site', made.at);
    const write = along.store.transaction(['answers', 'sites', 'outbox'], 'readwrite');
    const account = along.account;
    for (const [end, view] of Object.entries(views)) {
      const kept = {
        account,
        site: row.id,
        type: 'application/json',
        body: JSON.stringify(view),
        at: made.at,
      };
      await write.objectStore('answers').put({ ...kept, path: `${SITES}/${row.id}/${end}` });
    }
    await write.objectStore('sites').put({ account, site: row.id, row, at: made.at, bytes: body.length });
    await write.objectStore('outbox').add(entry);
    await write.done;
    await along.look();
    return json(row, 201);
  } catch (failure) {
    if (failure instanceof NotTaken) return json(failure.problem, failure.problem.status);
    if (failure instanceof NoCore) throw new TypeError('the core is not in this browser', { cause: failure });
    throw failure;
  }
}
