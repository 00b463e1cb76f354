import { api, outcome } from '../api/client';
import type { LoadedRevision, SignedIn } from '../api/api';
import { instant } from '../sentence/quantity';
import { Answers, listed, pathOf, siteOf } from './answers';
import { asIf } from './asIf';
import { coreHere } from './coreHere';
import type { Made } from './changes/change';
import { handOver, leaveBehind, wipeAccount } from './leaving';
import { isLocal } from './local';
import { makeSite, SITES } from './newSite';
import { send } from './outbox';
import { Server } from './server.svelte';
import { openStore, type Base, type Known, type Store, type Taken, type Waiting } from './store';
import { canInstall, installShell } from './shell';
import { pathsOf, pathsOfAll } from './takes';
import { freshen } from './taking';
import { RunsHere, seasonOf } from './runsHere';
import { json, problem, type AskCore } from './views';
import { wait } from './waiting';

/** So often it is tried whether the server is back (ms). */
const AGAIN = 20_000;
const DAY = 86_400_000;

/** The sites that somebody took along, what they change while the server cannot be reached, and the way back. */
export class Along {
  taken = $state.raw<Taken[]>([]);
  waiting = $state.raw<Waiting[]>([]);
  readonly server = new Server();
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
  private readonly runs: RunsHere;

  constructor(
    readonly store: Store,
    readonly askCore: AskCore,
  ) {
    this.answers = new Answers(store, () => this.account, askCore);
    this.runs = new RunsHere(askCore, () => this.account, this.filesOf.bind(this));
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

  /** Whether the server did not answer last. */
  get offline() {
    return this.server.isAway;
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
    const season = seasonOf(path);
    if (season && this.isTaken(season)) return this.runs.reach(request, path, season, this.server);
    if (request.method !== 'GET') {
      if (path === SITES) return makeSite(this, request);
      return site && this.isTaken(site) ? this.change(request, path, site) : this.ask(request);
    }
    if (site && this.waits(site) && !this.offline) await this.send();
    const response = await this.server.answer(request, this.isTaken(site));
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
    const response = await this.server.answer(request, false);
    if (response) return response;
    throw new TypeError('the server does not answer');
  }

  waits(site: string) {
    return this.waiting.some((one) => one.site === site && !one.refused);
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
  async answer(path: string, more?: Waiting): Promise<Response | undefined> {
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
    const response = this.waits(site) ? undefined : await this.server.answer(request, false);
    return response ?? wait(this, { method: request.method, path, site, body }, change);
  }

  entry(site: string, method: string, path: string, body: string, says: string, at: string): Waiting {
    return { id: crypto.randomUUID(), account: this.account, site, method, path, body, at, says };
  }

  /** The number of the newest revision here. */
  async newest(site: string): Promise<number | undefined> {
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

  /** Leaves a site behind: nothing of it stays here but what waits to be sent. */
  leaveBehind(site: string) {
    return leaveBehind(this, site);
  }

  /** Wipes what an account took along; what waits stays, for it or for the administrator. */
  async wipe() {
    for (const { site } of this.taken) await this.leaveBehind(site);
    await wipeAccount(this);
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
    const response = await this.server.answer(new Request('/api/session'), true);
    if (!response) return;
    if (response.ok) await this.saw((await response.json()) as SignedIn);
    // The page that is open learns of it as of every sign-out.
    else if (response.status === 401 && (await this.stranger())) await outcome(api.GET('/api/session'));
  }

  /** The server knows nobody here; whether the account was withdrawn, and all of its work is with the administrator. */
  async stranger(): Promise<boolean> {
    this.signInWanted = this.waiting.length > 0;
    if (!(await handOver(this))) return false;
    this.known = undefined;
    this.wiped = true;
    await this.look();
    return true;
  }
}

export async function openAlong(askCore: AskCore = coreHere): Promise<Along> {
  const along = new Along(await openStore(), askCore);
  await along.begin();
  return along;
}
