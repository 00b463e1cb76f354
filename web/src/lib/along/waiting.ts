import type { Along } from './along.svelte';
import { kindOf } from './asIf';
import type { AsIf } from './changes/change';
import { nextLocal } from './local';
import { isRevision, type NewRevision } from './outbox';
import { PHOTOS } from './store';
import { json, NotTaken } from './views';

/** A request that cannot be sent now. */
interface Sent {
  method: string;
  path: string;
  site: string;
  body: string;
}

/**
 * Keeps a change until it can be sent, and answers as the server will: judged by what is here, and by the core where it knows the view. What
 * is refused is not kept.
 */
export async function wait(along: Along, sent: Sent, change: AsIf): Promise<Response> {
  const { method, path, site, body } = sent;
  const made = along.made;
  const [view] = change.shows;
  const entry = along.entry(site, method, path, body, change.says, made.at);
  const begun = change.begins?.(made, (await along.newest(site)) ?? 0);
  if (begun) await along.answers.keep(begun.path, JSON.stringify(begun.view), 'application/json', made.at);
  let answer: Response | undefined;
  try {
    const before = change.refuses && view ? await along.answer(view.path) : undefined;
    const why = before && change.refuses?.((await before.json()) as never);
    if (why) throw new NotTaken({ type: 'about:blank', status: 409, detail: why });
    if (change.answers === 'view') answer = view && (await along.answer(view.path, entry));
    const spoilt = answer && change.spoils?.((await answer.clone().json()) as never);
    if (spoilt) throw new NotTaken({ type: 'about:blank', status: 422, detail: spoilt });
    // What follows is done to it as it is now, with all that the core made of it.
    if (begun && answer) await along.keep(begun.path, answer.clone());
  } catch (failure) {
    if (begun) await along.store.delete('answers', [along.account, begun.path]);
    if (failure instanceof NotTaken) return json(failure.problem, failure.problem.status);
    throw failure;
  }
  if (change.answers === 'view' && !answer)
    throw new TypeError('what it would change is not at hand without a network');
  const write = along.store.transaction(['outbox', 'bases'], 'readwrite');
  const outbox = write.objectStore('outbox');
  for (const old of await outbox.getAll()) {
    const isOlder = old.account === entry.account && old.site === site;
    if (isOlder && change.replaces?.test(kindOf(old.method, old.path))) await outbox.delete(old.number ?? 0);
  }
  await outbox.add(entry);
  if (isRevision(entry)) {
    const { parent, plan } = JSON.parse(body) as NewRevision;
    const number = nextLocal(parent);
    await write.objectStore('bases').put({ account: entry.account, site, number, plan });
  }
  await write.done;
  if (change.photo) await keepPhoto(change.photo.address, change.photo.base64);
  await along.look();
  if (change.answers === 'nothing') return new Response(null, { status: 204 });
  if (change.answers !== 'view') return json(change.answers(made));
  return answer ?? json({});
}

async function keepPhoto(address: string, base64: string) {
  const bytes = Uint8Array.from(atob(base64), (sign) => sign.charCodeAt(0));
  const cache = await caches.open(PHOTOS);
  await cache.put(address, new Response(bytes, { headers: { 'Content-Type': 'image/jpeg' } }));
}
