import { api, cookie, outcome } from '../api/client';
import type { LoadedRevision, SignedIn } from '../api/api';
import { instant } from '../sentence/quantity';
import { Answers, listed, siteOf } from './answers';
import { asIf, kindOf, type AsIf, type Made } from './asIf';
import { isLocal, nextLocal } from './local';
import { makeSite, SITES } from './newSite';
import { isRevision, send, type NewRevision } from './outbox';
import { openStore, PHOTOS, type Base, type Known, type Store, type Taken, type Waiting } from './store';
import { canInstall, installShell } from './shell';
import { pathsOf, pathsOfAll } from './takes';
import { freshen } from './taking';
import { json, NotTaken, problem, type AskCore } from './views';

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
  /** What was sent is taken along anew; nobody has to wait for it. */
  freshening = Promise.resolve();
  private timer?: ReturnType<typeof setInterval>;

  readonly answers: Answers;

  constructor(
    readonly store: Store,
    readonly askCore: AskCore,
  ) {
    this.answers = new Answers(store, () => this.account, askCore);
  }

  /** Goes on as it was left: with the account that was here last. */
  async begin() {
    const people = await this.store.getAll('people');
    people.sort((one, other) => other.at.localeCompare(one.at));
    this.known = people[0];
    await this.look();
    if (canInstall())
      installShell(() => (this.newer = true)).catch((failure) => console.warn(String(failure)));
    addEventListener('online', () => void this.back());
    this.timer ??= setInterval(() => {
      const isBehind = this.waiting.some((one) => !one.refused) || this.taken.some((one) => one.oldSince);
      if (this.offline || isBehind) void this.back();
    }, AGAIN);
  }

  get account() {
    return this.known?.account ?? '';
  }

  get made(): Made {
    return { by: this.known?.person.fullName ?? '', at: instant() };
  }

  async look() {
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
      if (path === SITES) return makeSite(this, request);
      return site && this.isTaken(site) ? this.change(request, path, site) : this.ask(request);
    }
    if (site && this.waits(site) && !this.offline) await this.send();
    const response = await this.network(request, this.isTaken(site));
    if (response) {
      if (response.ok && (this.isTaken(site) || pathsOfAll.includes(path)))
        void this.refresh(path, response.clone());
      return response;
    }
    const answer = await this.answer(path);
    if (answer) return answer;
    if (site && this.isTaken(site) && pathsOf(site).includes(path)) return problem(404, 'There is none.');
    throw new TypeError('not at hand without a network');
  }

  /** A revision that was saved without a network, by its number here. */
  private async local(site: string, number: number): Promise<Response> {
    const base = await this.base(site, number);
    if (!base) return problem(404, 'That revision is not in this browser.');
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

  waits(site: string) {
    return this.waiting.some((one) => one.site === site && !one.refused);
  }

  /** The server's answer; undefined where it gives none. */
  async network(request: Request, isHurried: boolean): Promise<Response | undefined> {
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
  private async refresh(path: string, response: Response) {
    if (await this.answers.isKept(path)) await this.keep(path, response);
  }

  async keep(path: string, response: Response): Promise<string> {
    const body = await response.text();
    await this.answers.keep(path, body, response.headers.get('Content-Type') ?? '', instant());
    return body;
  }

  /** What was kept for a question, with all that waits as if it were done. */
  private async answer(path: string, more?: Waiting): Promise<Response | undefined> {
    if (/^\/api\/sites(\?|$)/.test(path)) return json(listed(this.taken, path));
    return this.answers.answer(path, this.waiting, this.made.by, more);
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
    const [view] = change.shows;
    const entry = this.entry(site, method, path, body, change.says, made.at);
    const begun = change.begins?.(made, (await this.newest(site)) ?? 0);
    if (begun) await this.answers.keep(begun.path, JSON.stringify(begun.view), 'application/json', made.at);
    let answer: Response | undefined;
    try {
      const before = change.refuses && view ? await this.answer(view.path) : undefined;
      const why = before && change.refuses?.((await before.json()) as never);
      if (why) throw new NotTaken({ type: 'about:blank', status: 409, detail: why });
      if (change.answers === 'view') answer = view && (await this.answer(view.path, entry));
      const spoilt = answer && change.spoils?.((await answer.clone().json()) as never);
      if (spoilt) throw new NotTaken({ type: 'about:blank', status: 422, detail: spoilt });
      // What follows is done to it as it is now, with all that the core made of it.
      if (begun && answer) await this.keep(begun.path, answer.clone());
    } catch (failure) {
      if (begun) await this.store.delete('answers', [this.account, begun.path]);
      if (failure instanceof NotTaken) return json(failure.problem, failure.problem.status);
      throw failure;
    }
    if (change.answers === 'view' && !answer)
      throw new TypeError('what it would change is not at hand without a network');
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
    return answer ?? json({});
  }

  entry(site: string, method: string, path: string, body: string, says: string, at: string): Waiting {
    return { id: crypto.randomUUID(), account: this.account, site, method, path, body, at, says };
  }

  /** The number of the newest revision here. */
  private async newest(site: string): Promise<number | undefined> {
    const answer = await this.answer(`${SITES}/${site}/revisions/latest`);
    return answer && ((await answer.json()) as LoadedRevision).revision.number;
  }

  /** What was measured for a site, as text, for the core here; undefined where none was taken along. */
  async filesOf(site: string): Promise<string | undefined> {
    return (await this.store.get('answers', [this.account, `${SITES}/${site}/files`]))?.body;
  }

  /** Whether a site was begun here and the server does not know of it yet. */
  isOnlyHere(site: string) {
    return this.waiting.some((one) => one.site === site && one.path === SITES);
  }

  private async picture(address: string, base64: string) {
    const bytes = Uint8Array.from(atob(base64), (sign) => sign.charCodeAt(0));
    const cache = await caches.open(PHOTOS);
    await cache.put(address, new Response(bytes, { headers: { 'Content-Type': 'image/jpeg' } }));
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
      .finally(() => {
        this.sending = undefined;
        // One after the other: what is being taken anew is not asked for again.
        this.freshening = this.freshening.then(() => freshen(this));
      });
    return this.sending;
  }

  /** Sends what waits, and what was not taken once more. */
  async sendAll() {
    for (const { refused, ...one } of this.waiting) {
      if (refused !== undefined) await this.store.put('outbox', one);
    }
    await this.send();
  }

  /** Something waits no more; what is kept of its site is older than that from now on. */
  async done(one: Waiting) {
    const write = this.store.transaction(['outbox', 'sites'], 'readwrite');
    await write.objectStore('outbox').delete(one.number ?? 0);
    const taken = await write.objectStore('sites').get([this.account, one.site]);
    if (taken) await write.objectStore('sites').put({ ...taken, oldSince: instant() });
    await write.done;
    await this.look();
    this.sent++;
  }

  /** The server did not take something: it is not lost, and says why. */
  async refuse(one: Waiting, why: string) {
    await this.store.put('outbox', { ...one, refused: why });
    await this.look();
  }

  /** Gives up something that waits; with a site that is only here all that was made of it. */
  async discard(one: Waiting) {
    const given = one.path === SITES ? this.waiting.filter((other) => other.site === one.site) : [one];
    for (const { number } of given) await this.store.delete('outbox', number ?? 0);
    await this.look();
    if (one.path === SITES) await this.leaveBehind(one.site);
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

  /** A request of its own, past all that waits; with when that was made, of what waited. */
  post(path: string, body: unknown, method = 'POST', madeAt?: string): Promise<Response | undefined> {
    const headers = {
      ...(madeAt && { 'Sparen-Made-At': madeAt }),
      'Content-Type': 'application/json',
      'X-XSRF-TOKEN': cookie('XSRF-TOKEN'),
    };
    const text = typeof body === 'string' ? body : JSON.stringify(body);
    return this.network(
      new Request(path, { method, headers, ...(method === 'DELETE' ? {} : { body: text }) }),
      false,
    );
  }
}

/** The core is fetched when it is asked first. */
const coreHere: AskCore = async (name, question) => {
  const { askOnlyHere } = await import('../engine/engine');
  return askOnlyHere(name, question);
};

export async function openAlong(askCore: AskCore = coreHere): Promise<Along> {
  const along = new Along(await openStore(), askCore);
  await along.begin();
  return along;
}
