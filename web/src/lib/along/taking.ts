import type { SiteInList, SitePage } from '../api/api';
import { instant } from '../sentence/quantity';
import type { Along } from './along.svelte';
import { SITES } from './newSite';
import { PHOTOS } from './store';
import { pathsOf, pathsOfAll } from './takes';

/** What is watched for changes cannot be stored. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** Takes a site along, or anew; says how far it is. One that does not come whole leaves nothing behind. */
export async function take(along: Along, row: SiteInList, says: (done: number, all: number) => void) {
  const had = along.isTaken(row.id);
  try {
    await takeAll(along, row, says);
  } catch (failure) {
    if (!had) await along.leaveBehind(row.id);
    throw failure;
  }
}

async function takeAll(along: Along, row: SiteInList, says: (done: number, all: number) => void) {
  await prove(along);
  const site = row.id;
  const oldAt = async () => (await along.store.get('sites', [along.account, site]))?.oldSince;
  const before = await oldAt();
  const paths = [...pathsOfAll, ...pathsOf(site)];
  let bytes = 0;
  for (let i = 0; i < paths.length; i++) {
    const path = paths[i] ?? '';
    says(i, paths.length);
    const response = await fetch(path);
    // What a site has none of, or somebody may not see, is not missing: there is nothing of it to be taken.
    if ([403, 404].includes(response.status)) continue;
    if (!response.ok) throw new Error(`${path}: the server answered ${response.status}`);
    const body = await along.keep(path, response);
    bytes += body.length;
    paths.push(...pathsOf(site, path, body).filter((one) => !paths.includes(one)));
  }
  bytes += await takePhotos(along, site);
  // What was sent meanwhile may not be in all of it.
  const oldSince = await oldAt();
  await along.store.put('sites', {
    account: along.account,
    site,
    row: plain(row),
    at: instant(),
    bytes,
    ...(oldSince && oldSince !== before ? { oldSince } : {}),
  });
  await along.look();
}

/** Photos of the log and of visits, as they are named in what was taken. */
async function takePhotos(along: Along, site: string): Promise<number> {
  const base = `/api/sites/${site}`;
  const named = async (path: string, pattern: RegExp, of: string) => {
    const kept = await along.store.get('answers', [along.account, `${base}/${path}`]);
    return [...(kept?.body.matchAll(pattern) ?? [])].map((found) => `${base}/${of}/${found[1]}`);
  };
  const addresses = [
    ...(await named('commissioning', /"id":"([0-9a-f-]{36})","takenAt"/g, 'commissioning/photos')),
    ...(await named('log', /"([0-9a-f-]{36})"(?=[",0-9a-f-]*\])/g, 'log-photos')),
  ];
  const cache = await caches.open(PHOTOS);
  let bytes = 0;
  for (const address of addresses) {
    const response = (await cache.match(address)) ?? (await fetch(address));
    if (!response.ok) continue;
    bytes += (await response.clone().arrayBuffer()).byteLength;
    await cache.put(address, response);
  }
  return bytes;
}

/** Gets this browser what it is known by. */
async function prove(along: Along) {
  if (!along.known || along.known.secret) return;
  const answer = await along.server.post('/api/along', {});
  if (!answer?.ok) throw new Error(`the server answered ${answer?.status ?? 'nothing'}`);
  const { secret } = (await answer.json()) as { secret: string };
  along.known = { ...along.known, secret };
  await along.store.put('people', plain(along.known));
}

/** Takes anew what is older than what was sent. */
export async function freshen(along: Along) {
  for (const { site, row, oldSince } of along.taken) {
    if (!oldSince || along.waits(site) || along.offline) continue;
    try {
      await takeAll(along, await rowOf(along, row), () => undefined);
    } catch (failure) {
      // It is tried again as long as it is old; what was kept stays.
      console.warn(`${row.name} could not be taken anew: ${String(failure)}`);
    }
  }
}

/** How a site stands in the server's list now. */
async function rowOf(along: Along, row: SiteInList): Promise<SiteInList> {
  const page = await along.server.answer(
    new Request(`${SITES}?search=${encodeURIComponent(row.name)}`),
    true,
  );
  const found = page?.ok ? ((await page.json()) as SitePage).sites : [];
  return found.find((one) => one.id === row.id) ?? row;
}
