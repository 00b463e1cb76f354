import { api, cookie, outcome } from '../api/client';
import type { LoadedRevision, SignedIn, SiteInList } from '../api/api';
import { instant } from '../sentence/quantity';
import { asIf, kindOf, type AsIf, type Made } from './asIf';
import { isLocal, nextLocal } from './local';
import { isRevision, send, type NewRevision } from './outbox';
import { openStore, type Base, type Known, type Store, type Taken, type Waiting } from './store';
import { canInstall, installShell } from './shell';
import { pathsOf, pathsOfAll } from './takes';

/** Photos, as pictures need them: under their addresses. */
const PHOTOS = 'sparen-photos';
/** So long an answer is waited for where one is at hand already (ms). */
const PATIENCE = 15_000;
/** So often it is tried whether the server is back (ms). */
const AGAIN = 20_000;
/** What says that the server itself is not there, though something answers. */
const NOBODY = [502, 503, 504];
const DAY = 86_400_000;

const pathOf = (url: string) => {
  const { pathname, search } = new URL(url, location.origin);
  return pathname + search;
};
const siteOf = (path: string) => /^\/api\/sites\/([^/?]+)/.exec(path)?.[1];
const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });

/** The sites that somebody took along, what they change while the server cannot be reached, and the way back. */
export class Along {
  taken = $state.raw<Taken[]>([]);
  waiting = $state.raw<Waiting[]>([]);
  /** Whether the server did not answer last. */
  offline = $state(false);
  /** Whether what waits needs a sign-in first. */
  signInWanted = $state(false);
  /** Goes up whenever something that waited was sent. */
  sent = $state(0);
  /** Whether all of it was wiped, for its account was withdrawn. */
  wiped = $state(false);
  /** A newer page is here, and comes with the next look. */
  newer = $state(false);
  /** Whose it is: nobody's until somebody signed in. */
  known = $state.raw<Known>();
  private sending?: Promise<void>;
  private timer?: ReturnType<typeof setInterval>;

  constructor(readonly store: Store) {}

  /** Goes on as it was left: with the account that was here last. */
  async begin() {
    const people = await this.store.getAll('people');
    people.sort((one, other) => other.at.localeCompare(one.at));
    this.known = people[0];
    await this.look();
    if (canInstall()) void installShell(() => (this.newer = true));
    addEventListener('online', () => void this.back());
    this.timer ??= setInterval(() => {
      if (this.offline || this.waiting.some((one) => !one.refused)) void this.back();
    }, AGAIN);
  }

  private get account() {
    return this.known?.account ?? '';
  }

  private get made(): Made {
    return { by: this.known?.person.fullName ?? '', at: instant() };
  }

  private async look() {
    const mine = (one: { account: string }) => one.account === this.account;
    this.taken = (await this.store.getAll('sites')).filter(mine);
    this.waiting = (await this.store.getAll('outbox')).filter(mine);
  }

  isTaken(site: string | undefined) {
    return this.taken.some((one) => one.site === site);
  }

  /** The server said who is there. */
  async saw(person: SignedIn) {
    const before = await this.store.get('people', person.name);
    this.known = { account: person.name, person, at: instant(), secret: before?.secret ?? '' };
    // What is watched for changes cannot be stored.
    await this.store.put('people', $state.snapshot(this.known) as Known);
    this.signInWanted = false;
    await this.look();
    // Nobody waits for it.
    void this.send();
  }

  /** Who is here while the server cannot say so: as long as the organisation lets it be. */
  get person(): SignedIn | undefined {
    if (!this.known || this.taken.length === 0) return undefined;
    const days = (Date.now() - Date.parse(this.known.at)) / DAY;
    return days <= this.known.person.offlineDays ? this.known.person : undefined;
  }

  /** Reaches for the server; where it does not answer, for what is at hand. */
  async reach(request: Request): Promise<Response> {
    const path = pathOf(request.url);
    const site = siteOf(path);
    const local = Number(/\/revisions\/(\d+)$/.exec(path)?.[1]);
    if (request.method === 'GET' && site && isLocal(local)) return this.local(site, local);
    if (request.method !== 'GET') {
      return site && this.isTaken(site) ? this.change(request, path, site) : this.ask(request);
    }
    if (site && this.waits(site) && !this.offline) await this.send();
    const response = await this.network(request, this.isTaken(site));
    if (response) {
      if (response.ok && (this.isTaken(site) || pathsOfAll.includes(path)))
        void this.refresh(site ?? '', path, response.clone());
      return response;
    }
    const answer = await this.answer(path);
    if (answer) return answer;
    throw new TypeError('not at hand without a network');
  }

  /** A revision that was saved without a network, by its number here. */
  private async local(site: string, number: number): Promise<Response> {
    const base = await this.base(site, number);
    if (!base)
      return json({ type: 'about:blank', status: 404, detail: 'That revision is not in this browser.' }, 404);
    const { by, at } = this.made;
    const revision = { number, author: by, note: '', savedAt: at, changes: [] };
    return json({ revision, plan: base.plan } satisfies LoadedRevision);
  }

  base(site: string, number: number): Promise<Base | undefined> {
    return this.store.get('bases', [this.account, site, number]);
  }

  /** Remembers that a revision clashed: those that were made on it are unsaved changes too. */
  async clashed(site: string, number: number, on: number) {
    const base = await this.base(site, number);
    if (base) await this.store.put('bases', { ...base, clashedOn: on });
  }

  private async ask(request: Request): Promise<Response> {
    const response = await this.network(request, false);
    if (response) return response;
    throw new TypeError('the server does not answer');
  }

  private waits(site: string) {
    return this.waiting.some((one) => one.site === site && !one.refused);
  }

  /** The server's answer; undefined where it gives none. */
  private async network(request: Request, isHurried: boolean): Promise<Response | undefined> {
    if (!navigator.onLine) {
      this.offline = true;
      return undefined;
    }
    try {
      const patience = isHurried ? AbortSignal.timeout(PATIENCE) : undefined;
      const signal = patience ? AbortSignal.any([request.signal, patience]) : request.signal;
      const response = await fetch(request, { signal });
      if (NOBODY.includes(response.status)) {
        this.offline = true;
        return undefined;
      }
      this.offline = false;
      return response;
    } catch (failure) {
      // Whoever asked does not wait any more.
      if (request.signal.aborted) throw failure;
      this.offline = true;
      return undefined;
    }
  }

  /** Keeps a newer answer of what was taken along; of all else that a page asks nothing stays. */
  private async refresh(site: string, path: string, response: Response) {
    if ((await this.store.getKey('answers', [this.account, path])) === undefined) return;
    await this.keep(site, path, await response.text(), response.headers.get('Content-Type') ?? '');
  }

  private async keep(site: string, path: string, body: string, type: string) {
    await this.store.put('answers', { account: this.account, path, site, type, body, at: instant() });
  }

  /** What was kept for a question, with all that waits as if it were done. */
  private async answer(path: string): Promise<Response | undefined> {
    if (/^\/api\/sites(\?|$)/.test(path)) return json(this.list(path));
    const kept = await this.store.get('answers', [this.account, path]);
    if (!kept) return undefined;
    let body = kept.body;
    for (const one of this.waiting) {
      const made = { by: this.made.by, at: one.at };
      for (const { path: shown, apply } of asIf(one.method, one.path, one.body)?.shows ?? []) {
        if (shown === path && !one.refused) body = JSON.stringify(apply(JSON.parse(body) as never, made));
      }
    }
    return new Response(body, { headers: { 'Content-Type': kept.type } });
  }

  /** The list of sites, of those that were taken along. */
  private list(path: string) {
    const search = decodeURIComponent(/[?&]search=([^&]*)/.exec(path)?.[1] ?? '').toLowerCase();
    const sites = this.taken
      .map((one) => one.row)
      .filter((one) => one.name.toLowerCase().includes(search))
      .sort((one, other) => other.rank - one.rank || one.name.localeCompare(other.name));
    return { sites, total: sites.length, putAway: 0 };
  }

  /** A change: sent, or kept until it can be. */
  private async change(request: Request, path: string, site: string): Promise<Response> {
    const body = await request.clone().text();
    const change = asIf(request.method, path, body);
    if (!change) return this.ask(request);
    if (this.waits(site) && !this.offline) await this.send();
    // What was made first is sent first.
    const response = this.waits(site) ? undefined : await this.network(request, false);
    return response ?? this.wait(request.method, path, site, body, change);
  }

  private async wait(method: string, path: string, site: string, body: string, change: AsIf) {
    const made = this.made;
    const view = change.shows[0];
    if (change.answers === 'view' && !(view && (await this.answer(view.path)))) {
      throw new TypeError('what it would change is not at hand without a network');
    }
    const entry: Waiting = {
      id: crypto.randomUUID(),
      account: this.account,
      site,
      method,
      path,
      body,
      at: made.at,
      says: change.says,
    };
    const write = this.store.transaction(['outbox', 'bases'], 'readwrite');
    const outbox = write.objectStore('outbox');
    for (const old of await outbox.getAll()) {
      const isOlder = old.account === entry.account && old.site === site;
      if (isOlder && change.replaces?.test(kindOf(old.method, old.path)))
        await outbox.delete(old.number ?? 0);
    }
    await outbox.add(entry);
    if (isRevision(entry)) {
      const { parent, plan } = JSON.parse(body) as NewRevision;
      const number = nextLocal(parent);
      await write.objectStore('bases').put({ account: entry.account, site, number, plan });
    }
    await write.done;
    if (change.photo) await this.picture(change.photo.address, change.photo.base64);
    await this.look();
    if (change.answers === 'nothing') return new Response(null, { status: 204 });
    if (change.answers !== 'view') return json(change.answers(made));
    return (view && (await this.answer(view.path))) ?? json({});
  }

  private async picture(address: string, base64: string) {
    const bytes = Uint8Array.from(atob(base64), (sign) => sign.charCodeAt(0));
    const cache = await caches.open(PHOTOS);
    await cache.put(address, new Response(bytes, { headers: { 'Content-Type': 'image/jpeg' } }));
  }

  /** Takes a site along, or anew; says how far it is. One that does not come whole leaves nothing behind. */
  async take(row: SiteInList, says: (done: number, all: number) => void) {
    const had = this.isTaken(row.id);
    try {
      await this.takeAll(row, says);
    } catch (failure) {
      if (!had) await this.leaveBehind(row.id);
      throw failure;
    }
  }

  private async takeAll(row: SiteInList, says: (done: number, all: number) => void) {
    await this.prove();
    const site = row.id;
    const paths = [...pathsOfAll, ...pathsOf(site)];
    let bytes = 0;
    for (let i = 0; i < paths.length; i++) {
      const path = paths[i] ?? '';
      says(i, paths.length);
      const response = await fetch(path);
      // What a site has none of, or somebody may not see, is not missing: there is nothing of it to be taken.
      if ([403, 404].includes(response.status)) continue;
      if (!response.ok) throw new Error(`${path}: the server answered ${response.status}`);
      const body = await response.text();
      bytes += body.length;
      await this.keep(
        pathsOfAll.includes(path) ? '' : site,
        path,
        body,
        response.headers.get('Content-Type') ?? '',
      );
      paths.push(...pathsOf(site, path, body).filter((one) => !paths.includes(one)));
    }
    bytes += await this.takePhotos(site);
    const taken = {
      account: this.account,
      site,
      row: $state.snapshot(row) as SiteInList,
      at: instant(),
      bytes,
    };
    await this.store.put('sites', taken);
    await this.look();
  }

  /** Photos of the log and of visits, as they are named in what was taken. */
  private async takePhotos(site: string): Promise<number> {
    const base = `/api/sites/${site}`;
    const named = async (path: string, pattern: RegExp, of: string) => {
      const kept = await this.store.get('answers', [this.account, `${base}/${path}`]);
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

  /** Leaves a site behind: nothing of it stays here but what waits to be sent. */
  async leaveBehind(site: string) {
    const write = this.store.transaction(['answers', 'sites', 'bases'], 'readwrite');
    const answers = write.objectStore('answers');
    // What waits was made on them.
    if (!this.waiting.some((one) => one.site === site))
      await write
        .objectStore('bases')
        .delete(IDBKeyRange.bound([this.account, site, 0], [this.account, site, Infinity]));
    const keys = await answers.index('site').getAllKeys([this.account, site]);
    await Promise.all(keys.map((key) => answers.delete(key)));
    await write.objectStore('sites').delete([this.account, site]);
    await write.done;
    const cache = await caches.open(PHOTOS);
    const photos = (await cache.keys()).filter((one) => siteOf(pathOf(one.url)) === site);
    await Promise.all(photos.map((one) => cache.delete(one)));
    await this.look();
  }

  /** Wipes what an account took along; what waits stays, for it or for the administrator. */
  async wipe() {
    for (const { site } of this.taken) await this.leaveBehind(site);
    const common = await this.store.getAllKeysFromIndex('answers', 'site', [this.account, '']);
    await Promise.all(common.map((key) => this.store.delete('answers', key)));
    await this.store.delete('people', this.account);
    await caches.delete(PHOTOS);
  }

  /** Sends what waits, one after the other, in one window only. */
  send(): Promise<void> {
    this.sending ??= navigator.locks
      .request('sparen-outbox', async () => {
        await this.look();
        await send(this);
        await this.look();
      })
      .finally(() => (this.sending = undefined));
    return this.sending;
  }

  /** Sends what waits, and what was not taken once more. */
  async sendAll() {
    for (const { refused, ...one } of this.waiting) {
      if (refused !== undefined) await this.store.put('outbox', one);
    }
    await this.send();
  }

  /** Something waits no more. */
  async done(one: Waiting) {
    await this.store.delete('outbox', one.number ?? 0);
    await this.look();
    this.sent++;
  }

  /** The server did not take something: it is not lost, and says why. */
  async refuse(one: Waiting, why: string) {
    await this.store.put('outbox', { ...one, refused: why });
    await this.look();
  }

  /** Gives up something that waits. */
  async discard(one: Waiting) {
    await this.store.delete('outbox', one.number ?? 0);
    await this.look();
    this.sent++;
  }

  /** Perhaps the server is back. */
  private async back() {
    const response = await this.network(new Request('/api/session'), true);
    if (!response) return;
    if (response.ok) await this.saw((await response.json()) as SignedIn);
    // The page that is open learns of it as of every sign-out.
    else if (response.status === 401 && (await this.stranger())) await outcome(api.GET('/api/session'));
  }

  /**
   * The server knows nobody here: an account that was withdrawn meanwhile leaves its work and takes nothing with it. Whether it was, and
   * all of it is with the administrator.
   */
  async stranger(): Promise<boolean> {
    this.signInWanted = this.waiting.length > 0;
    const secret = this.known?.secret;
    if (!secret) return false;
    const answer = await this.post('/api/along/contact', { secret });
    if (!answer?.ok) return false;
    const { standing } = (await answer.json()) as { standing: string };
    if (standing !== 'WITHDRAWN') return false;
    for (const one of this.waiting) {
      const work = JSON.stringify(one);
      const left = await this.post('/api/along/left', { secret, id: one.id, says: one.says, work });
      // As long as it is not with the administrator it stays here.
      if (!left?.ok) return false;
      await this.store.delete('outbox', one.number ?? 0);
    }
    await this.look();
    await this.wipe();
    // What was typed and not saved lies beside it.
    const drafts = `sparen.draft.${this.account}.`;
    for (const key of Object.keys(localStorage)) if (key.startsWith(drafts)) localStorage.removeItem(key);
    this.known = undefined;
    this.wiped = true;
    await this.look();
    return true;
  }

  /** Gets this browser what it is known by. */
  private async prove() {
    if (!this.known || this.known.secret) return;
    const answer = await this.post('/api/along', {});
    if (!answer?.ok) throw new Error(`the server answered ${answer?.status ?? 'nothing'}`);
    const { secret } = (await answer.json()) as { secret: string };
    this.known = { ...this.known, secret };
    await this.store.put('people', $state.snapshot(this.known) as Known);
  }

  /** A request of its own, past all that waits. */
  post(path: string, body: unknown, method = 'POST'): Promise<Response | undefined> {
    const headers = { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': cookie('XSRF-TOKEN') };
    const text = typeof body === 'string' ? body : JSON.stringify(body);
    return this.network(
      new Request(path, { method, headers, ...(method === 'DELETE' ? {} : { body: text }) }),
      false,
    );
  }
}

export async function openAlong(): Promise<Along> {
  const along = new Along(await openStore());
  await along.begin();
  return along;
}
