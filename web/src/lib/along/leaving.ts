import type { Along } from './along.svelte';
import { pathOf, siteOf } from './answers';
import { PHOTOS } from './store';

/** Leaves a site behind: nothing of it stays here but what waits to be sent. */
export async function leaveBehind(along: Along, site: string): Promise<void> {
  const write = along.store.transaction(['answers', 'sites', 'bases'], 'readwrite');
  const answers = write.objectStore('answers');
  // What waits was made on them.
  if (!along.waiting.some((one) => one.site === site))
    await write
      .objectStore('bases')
      .delete(IDBKeyRange.bound([along.account, site, 0], [along.account, site, Infinity]));
  const keys = await answers.index('site').getAllKeys([along.account, site]);
  await Promise.all(keys.map((key) => answers.delete(key)));
  await write.objectStore('sites').delete([along.account, site]);
  await write.done;
  const cache = await caches.open(PHOTOS);
  const photos = (await cache.keys()).filter((one) => siteOf(pathOf(one.url)) === site);
  await Promise.all(photos.map((one) => cache.delete(one)));
  await along.look();
}

/** Wipes what of an account belongs to no site. */
export async function wipeAccount(along: Along): Promise<void> {
  const common = await along.store.getAllKeysFromIndex('answers', 'site', [along.account, '']);
  await Promise.all(common.map((key) => along.store.delete('answers', key)));
  await along.store.delete('people', along.account);
  await caches.delete(PHOTOS);
}

/**
 * An account that was withdrawn meanwhile leaves its work with the administrator and takes nothing with it. Whether it was, and all of it
 * is there.
 */
export async function handOver(along: Along): Promise<boolean> {
  const secret = along.known?.secret;
  if (!secret) return false;
  const answer = await along.server.post('/api/along/contact', { secret });
  if (!answer?.ok) return false;
  const { standing } = (await answer.json()) as { standing: string };
  if (standing !== 'WITHDRAWN') return false;
  for (const one of along.waiting) {
    const work = JSON.stringify(one);
    const left = await along.server.post('/api/along/left', { secret, id: one.id, says: one.says, work });
    // As long as it is not with the administrator it stays here.
    if (!left?.ok) return false;
    await along.store.delete('outbox', one.number ?? 0);
  }
  await along.look();
  await along.wipe();
  // What was typed and not saved lies beside it.
  const drafts = `sparen.draft.${along.account}.`;
  for (const key of Object.keys(localStorage)) if (key.startsWith(drafts)) localStorage.removeItem(key);
  return true;
}
