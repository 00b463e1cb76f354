import 'fake-indexeddb/auto';
import { beforeEach, expect, it, vi } from 'vitest';
import type { Plan, SignedIn, SiteInList } from '../api/api';
import type { Outcome } from '../api/client';
import { openAlong, type Along } from './along.svelte';
import { take } from './taking';
import type { AskCore } from './views';

/** A server of one plan: what a browser comes back to. */
class Server {
  away = false;
  revisions: { number: number; plan: object; request?: string }[] = [{ number: 5, plan: planOf(11.5, 12.6) }];
  log: string[] = [];
  sites: string[] = [];
  /** The answer to a change never comes, though it was made. */
  swallows = false;
  withdrawn = false;
  takesLeft = true;
  left: string[] = [];

  get latest() {
    return this.revisions[this.revisions.length - 1] ?? { number: 0, plan: {} };
  }

  answer(request: Request, body: string): Response {
    const path = new URL(request.url).pathname;
    const json = (value: unknown, status = 200) => new Response(JSON.stringify(value), { status });
    const told = ({ number, plan }: { number: number; plan: object }) => ({
      revision: { number, author: '', note: '', savedAt: '', changes: [] },
      plan,
    });
    if (request.method === 'GET') {
      if (path.endsWith('/revisions/latest')) return json(told(this.latest));
      const number = Number(/\/revisions\/(\d+)$/.exec(path)?.[1]);
      const found = this.revisions.find((one) => one.number === number);
      if (found) return json(told(found));
      if (path.endsWith('/log')) return json({ due: [], more: false, entries: [] });
      return json([], path.endsWith('/revisions') ? 200 : 404);
    }
    const { parent, plan, request: id, id: entry } = JSON.parse(body || '{}');
    if (path === '/api/along/contact') return json({ standing: this.withdrawn ? 'WITHDRAWN' : 'KNOWN' });
    if (path === '/api/along/left') {
      if (this.takesLeft) this.left.push(body);
      return json({}, this.takesLeft ? 200 : 500);
    }
    if (path === '/api/sites') {
      const { id: site } = JSON.parse(body).begun;
      if (!this.sites.includes(site)) this.sites.push(site);
      return json({ id: site }, 201);
    }
    if (path.endsWith('/revisions')) {
      const before = this.revisions.find((one) => id && one.request === id);
      if (before) return json(told(before));
      if (parent !== this.latest.number) return json({ detail: 'outdated' }, 409);
      this.revisions.push({ number: parent + 1, plan, request: id });
      return json(told(this.latest), 201);
    }
    if (path.endsWith('/log')) {
      if (entry === 'refused') return json({ detail: 'no such kind' }, 422);
      if (!this.log.includes(entry)) this.log.push(entry);
    }
    return json({ secret: 'one' });
  }
}

const planOf = (lvd: number, lvr: number) => ({ program: { outputs: [{ id: 'radio', lvd, lvr }] } });
const person = { name: 'liv', fullName: 'Liv', offlineDays: 14 } as SignedIn;
const SITE = '/api/sites/hallgrund';
let server: Server;
let along: Along;
/** What the core says to each question; it is not there for others. */
let core: Record<string, Outcome<unknown>>;
const askCore: AskCore = async <A>(name: string) => core[name] as Outcome<A> | undefined;

const ask = (method: string, path: string, body?: unknown) =>
  along.reach(
    new Request(`http://localhost${path}`, { method, ...(body ? { body: JSON.stringify(body) } : {}) }),
  );
const save = (parent: number, plan: object) =>
  ask('POST', `${SITE}/revisions`, { parent, note: '', plan, request: crypto.randomUUID() });
const latest = async () =>
  (await (await ask('GET', `${SITE}/revisions/latest`)).json()) as {
    revision: { number: number };
    plan: Plan;
  };

beforeEach(async () => {
  server = new Server();
  const kept: Record<string, string> = {};
  const methods = {
    setItem: (key: string, value: string) => (kept[key] = value),
    getItem: (key: string) => kept[key] ?? null,
    removeItem: (key: string) => Reflect.deleteProperty(kept, key),
  };
  // Its keys are those that were set, as a browser has it.
  vi.stubGlobal('localStorage', Object.setPrototypeOf(kept, methods));
  vi.stubGlobal('location', { origin: 'http://localhost' });
  vi.stubGlobal('document', { cookie: '' });
  vi.stubGlobal('addEventListener', () => undefined);
  vi.stubGlobal('isSecureContext', false);
  vi.stubGlobal('caches', {
    open: async () => ({ match: async () => undefined, put: async () => undefined, keys: async () => [] }),
    delete: async () => true,
  });
  vi.stubGlobal('navigator', {
    onLine: true,
    locks: { request: (_: string, act: () => Promise<void>) => act() },
  });
  const Native = Request;
  vi.stubGlobal(
    'Request',
    class extends Native {
      constructor(input: string | URL | Request, init?: RequestInit) {
        super(typeof input === 'string' && input.startsWith('/') ? `http://localhost${input}` : input, init);
      }
    },
  );
  vi.stubGlobal('fetch', async (input: Request | string, init?: RequestInit) => {
    const request = new Request(input, init);
    const body = await request.text();
    if (server.away) throw new TypeError('away');
    const answer = server.answer(request, body);
    if (server.swallows && request.method !== 'GET') {
      server.away = true;
      throw new TypeError('cut');
    }
    return answer;
  });
  indexedDB.deleteDatabase('sparen');
  core = {};
  along = await openAlong(askCore);
  await along.saw(person);
  await take(along, { id: 'hallgrund', name: 'Hällgrund', rank: 0 } as SiteInList, () => undefined);
  return async () => {
    await along.freshening;
    along.store.close();
  };
});

it('joins what was saved without a network with what others saved, one after the other', async () => {
  server.away = true;
  await save(5, planOf(11.7, 12.6));
  const first = await latest();
  expect(first.plan).toEqual(planOf(11.7, 12.6));
  await save(first.revision.number, planOf(11.8, 12.6));
  server.revisions.push({ number: 6, plan: planOf(11.5, 12.9) });
  server.away = false;
  await along.send();
  expect(along.waiting).toEqual([]);
  expect(server.revisions.map((one) => one.number)).toEqual([5, 6, 7, 8]);
  expect(server.latest.plan).toEqual(planOf(11.8, 12.9));
});

it('overwrites nothing where both changed the same, also by what was saved later', async () => {
  server.away = true;
  await save(5, planOf(11.7, 12.6));
  await save((await latest()).revision.number, planOf(11.7, 12.8));
  server.revisions.push({ number: 6, plan: planOf(11.9, 12.6) });
  server.away = false;
  await along.send();
  expect(server.latest).toMatchObject({ number: 6, plan: planOf(11.9, 12.6) });
  // All of it lies as unsaved changes on the revision that both began from: the page asks.
  const draft = JSON.parse(localStorage.getItem('sparen.draft.liv.hallgrund') ?? '{}');
  expect(draft).toMatchObject({ parent: 5, plan: planOf(11.7, 12.8) });
});

it('makes once what was sent and never answered', async () => {
  server.swallows = true;
  await save(5, planOf(11.7, 12.6));
  expect(server.latest.number).toBe(6);
  expect(along.waiting).toHaveLength(1);
  server.swallows = false;
  server.away = false;
  await along.send();
  expect(along.waiting).toEqual([]);
  expect(server.latest).toMatchObject({ number: 6, plan: planOf(11.7, 12.6) });
});

it('keeps what the server refuses, with the reason, and sends the rest', async () => {
  server.away = true;
  const entry = (id: string) => ({
    id,
    kind: 'NOTE',
    at: '2026-10-05T10:00:00Z',
    numbers: {},
    cells: [],
    note: '',
  });
  await ask('POST', `${SITE}/log`, entry('refused'));
  await ask('POST', `${SITE}/log`, entry('taken'));
  const shown = (await (await ask('GET', `${SITE}/log`)).json()) as { entries: { entry: { id: string } }[] };
  expect(shown.entries.map((one) => one.entry.id)).toEqual(['taken', 'refused']);
  server.away = false;
  await along.send();
  expect(server.log).toEqual(['taken']);
  expect(along.waiting.map((one) => one.refused)).toEqual(['no such kind']);
});

it('takes nothing that the core does not take, and shows what it says of the rest', async () => {
  server.away = true;
  const entry = { id: 'one', kind: 'NOTE', at: '2026-10-05T10:00:00Z', numbers: {}, cells: [], note: '' };
  const detail = 'note: 0 characters';
  core.LOG = { problem: { type: 'about:blank', status: 422, detail } };
  const refused = await ask('POST', `${SITE}/log`, entry);
  expect(refused.status).toBe(422);
  expect(await refused.json()).toMatchObject({ detail });
  expect(along.waiting).toEqual([]);
  const says = { says: 'It reads as the meter.', isCaution: false };
  core.LOG = { data: { says: [{ says, offsetVolts: 0 }], due: [{ kind: 'NOTE' }] } };
  const taken = await ask('POST', `${SITE}/log`, entry);
  expect(await taken.json()).toMatchObject({
    due: [{ kind: 'NOTE' }],
    entries: [{ offsetVolts: 0, says: { says: 'It reads as the meter. Waits to be sent.' } }],
  });
});

it('begins a site that the server makes later, under the same address, and once', async () => {
  server.away = true;
  const plan = {
    site: {
      nominalVolts: 24,
      battery: { name: 'Battery', capacityAmpereHours: 200 },
      arrays: [{ peakWatts: 900 }],
    },
    program: { outputs: [{ id: 'radio', lvd: 11.5 }] },
  };
  core.START = { data: { plan, due: [] } };
  core.READING = { data: { findings: [{ severity: 'CAUTION', open: true }] } };
  const made = await ask('POST', '/api/sites', { start: { name: 'Holmen fyr Øst' } });
  expect(made.status).toBe(201);
  const row = (await made.json()) as SiteInList;
  expect(row.id).toMatch(/^holmen-fyr-ost-[0-9a-f]{4}$/);
  expect(row).toMatchObject({ rank: 2, plan: { arrayWatts: 900, outputs: 1, findings: { CAUTION: 1 } } });
  const there = `/api/sites/${row.id}`;
  expect(await (await ask('GET', `${there}/revisions/latest`)).json()).toMatchObject({ plan });
  expect((await ask('GET', `${there}/recorded?buckets=1200`)).status, 'nothing is recorded there').toBe(404);
  const note = { id: 'n', kind: 'NOTE', at: '2026-10-05T10:00:00Z', numbers: {}, cells: [], note: 'x' };
  await ask('POST', `${there}/log`, note);
  server.away = false;
  server.swallows = true;
  await along.send();
  expect(along.waiting, 'made, and nobody said so').toHaveLength(2);
  server.swallows = false;
  server.away = false;
  await along.send();
  expect(along.waiting).toEqual([]);
  expect(server.sites).toEqual([row.id]);
  expect(server.log).toEqual(['n']);
});

it('takes anew what was sent: without a network again it is as the server has it', async () => {
  server.away = true;
  await save(5, planOf(11.7, 12.6));
  server.away = false;
  await along.send();
  await along.freshening;
  server.away = true;
  expect((await latest()).revision.number, 'its own number now').toBe(6);
  expect(along.taken[0]).not.toHaveProperty('oldSince');
});

it('takes anew once more what was sent while it was taken', async () => {
  const [row] = along.taken.map((one) => one.row);
  let sent = false;
  await take(along, row as SiteInList, (done) => {
    if (done > 3 && !sent) {
      sent = true;
      const [taken] = along.taken;
      void along.store.put('sites', { ...taken, oldSince: new Date().toISOString() } as never);
    }
  });
  expect(along.taken[0], 'it may not be in all of it').toHaveProperty('oldSince');
  await take(along, row as SiteInList, () => undefined);
  expect(along.taken[0]).not.toHaveProperty('oldSince');
});

it('opens without a network only as long as the organisation lets it', async () => {
  expect(along.person?.name).toBe('liv');
  vi.setSystemTime(Date.now() + 15 * 86_400_000);
  expect(along.person).toBeUndefined();
  vi.useRealTimers();
});

it('keeps newer answers of what was taken, and nothing else that a page asks for', async () => {
  const answers = async () => (await along.store.getAllKeys('answers')).map(([, path]) => path);
  const before = await answers();
  server.revisions.push({ number: 6, plan: planOf(11.9, 12.6) });
  await latest();
  await ask('GET', `${SITE}/log?before=2026-10-05T10:00:00Z`);
  await vi.waitFor(async () => {
    server.away = true;
    const { revision } = await latest();
    server.away = false;
    expect(revision.number).toBe(6);
  });
  expect(await answers()).toEqual(before);
});

it('wipes all of an account that was withdrawn once its work is left, and not before', async () => {
  server.away = true;
  await save(5, planOf(11.7, 12.6));
  localStorage.setItem('sparen.draft.liv.hallgrund', '{}');
  localStorage.setItem('sparen.draft.odd.hallgrund', '{}');
  server.away = false;
  server.withdrawn = true;
  server.takesLeft = false;
  expect(await along.stranger()).toBe(false);
  expect(along.waiting).toHaveLength(1);
  expect(along.isTaken('hallgrund')).toBe(true);
  server.takesLeft = true;
  expect(await along.stranger()).toBe(true);
  for (const store of ['answers', 'sites', 'outbox', 'bases', 'people'] as const)
    expect(await along.store.count(store), store).toBe(0);
  expect(localStorage.getItem('sparen.draft.liv.hallgrund')).toBeNull();
  expect(localStorage.getItem('sparen.draft.odd.hallgrund')).toBe('{}');
  expect(server.left).toHaveLength(1);
  expect(along.wiped).toBe(true);
});

it('leaves nothing behind but what waits', async () => {
  server.away = true;
  await save(5, planOf(11.7, 12.6));
  await along.wipe();
  expect(await along.store.getAll('answers')).toEqual([]);
  expect(await along.store.getAll('sites')).toEqual([]);
  expect(await along.store.getAll('outbox')).toHaveLength(1);
});

it('opens what an earlier page left: what waits stays, and is sent', async () => {
  along.store.close();
  indexedDB.deleteDatabase('sparen');
  // Version 1, as it was written by hand: a later one has to bring it along.
  const old = await new Promise<IDBDatabase>((resolve, reject) => {
    const opening = indexedDB.open('sparen', 1);
    opening.onupgradeneeded = () => {
      const made = opening.result;
      made
        .createObjectStore('answers', { keyPath: ['account', 'path'] })
        .createIndex('site', ['account', 'site']);
      made.createObjectStore('sites', { keyPath: ['account', 'site'] });
      made.createObjectStore('outbox', { keyPath: 'number', autoIncrement: true });
      made.createObjectStore('bases', { keyPath: ['account', 'site', 'number'] });
      made.createObjectStore('people', { keyPath: 'account' });
    };
    opening.onsuccess = () => resolve(opening.result);
    opening.onerror = () => reject(new Error('no database'));
  });
  const write = old.transaction(['outbox', 'people'], 'readwrite');
  write.objectStore('people').put({ account: 'liv', person, at: '2026-10-05T10:00:00Z', secret: 'one' });
  const body = '{"id":"left","kind":"NOTE","at":"2026-10-05T10:00:00Z","numbers":{},"cells":[],"note":""}';
  write.objectStore('outbox').put({
    id: 'x',
    account: 'liv',
    site: 'hallgrund',
    method: 'POST',
    path: `${SITE}/log`,
    body,
    at: '2026-10-05T10:00:00Z',
    says: 'an entry of the log',
  });
  await new Promise((resolve) => (write.oncomplete = resolve));
  old.close();
  along = await openAlong(askCore);
  expect(along.waiting).toHaveLength(1);
  await along.send();
  expect(server.log).toEqual(['left']);
});
