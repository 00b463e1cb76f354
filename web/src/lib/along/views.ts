import type {
  BenchTestView,
  Card,
  CommissioningView,
  DeviceReading,
  Handover,
  KindOffered,
  LogView,
  Plan,
  Revision,
} from '../api/api';
import type { Outcome, Problem } from '../api/client';
import type { Watching } from '../engine/local';

/** Asks the core in this browser, with what was measured for the site where it wants that; undefined where it is not here, or cannot say. */
export type AskCore = <A>(
  name: string,
  question: unknown,
  files?: () => Promise<string | undefined>,
  watching?: Watching,
) => Promise<Outcome<A> | undefined>;

/** What a view is made anew from. */
export interface Around {
  /** As it is here, with what waits. */
  plan: Plan;
  /** Of which revision that is, and when it was saved. */
  revision: Revision;
  query: URLSearchParams;
  core: <A>(name: string, question: unknown) => Promise<A>;
  /** Another view of the site as it was kept and changed since, by the end of its address. */
  beside: <V>(end: string) => Promise<V | undefined>;
}

/** The core does not take what was typed. */
export class NotTaken extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

/** The core is not here: what it would say stays unsaid. */
export class NoCore extends Error {}

export const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });
export const problem = (status: number, detail: string) =>
  json({ type: 'about:blank', status, detail }, status);

/** What an entry of the log says as long as it waits. */
export const WAITS = 'Waits to be sent.';

const number = (query: URLSearchParams, name: string) =>
  query.get(name) ? { [name]: Number(query.get(name)) } : {};

function judged(test: BenchTestView, { plan, query, core }: Around): Promise<BenchTestView> {
  const today = { ...number(query, 'volts'), ...number(query, 'percent'), ...number(query, 'arrayWatts') };
  return core<BenchTestView>('TEST', { plan, test, today });
}

async function tests(all: BenchTestView[], around: Around): Promise<BenchTestView[]> {
  const made: BenchTestView[] = [];
  for (const one of all) {
    const own = (await around.beside<BenchTestView>(`bench-tests/${one.id}`)) ?? one;
    // One that has ended is read as it was.
    made.push(own.endedAt && own.steps.length > 0 ? own : await judged(own, around));
  }
  return made;
}

async function log(view: LogView, { plan, core }: Around): Promise<LogView> {
  const counts = view.entries.filter((one) => !one.withdrawn);
  const entries = counts.map((one) => one.entry);
  const fresh = counts.filter((one) => one.says.says.endsWith(WAITS)).map((one) => one.entry.id);
  const told = await core<{
    says: Pick<LogView['entries'][number], 'says' | 'offsetVolts'>[];
    due: LogView['due'];
  }>('LOG', { plan, entries, fresh, due: view.due });
  return {
    ...view,
    due: told.due,
    entries: view.entries.map((one) => {
      const said = told.says[counts.indexOf(one)];
      if (!said || !one.says.says.endsWith(WAITS)) return one;
      return { ...one, ...said, says: { ...said.says, says: `${said.says.says} ${WAITS}`.trim() } };
    }),
  };
}

interface HandoverSays {
  devices: Handover['devices'];
  entered: Record<string, string>;
  readings: Record<string, DeviceReading[]>;
}

/** The newest first, as they are kept; what was only said yet stands in its place. */
async function readOff({ plan, core, beside }: Around): Promise<HandoverSays> {
  const readings: Record<string, unknown[]> = {};
  for (const { id } of plan.program.devices ?? []) {
    readings[id] = [...((await beside<DeviceReading[]>(`devices/${id}/readings`)) ?? [])].reverse();
  }
  return core<HandoverSays>('HANDOVER', { plan, readings });
}

async function sha256(text: string): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text));
  return [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}

async function handover(_: Handover, around: Around): Promise<Handover> {
  const { devices, entered } = await readOff(around);
  const withChecksums = devices.map(async (one) => ({
    ...one,
    checksum: await sha256(entered[one.id] ?? ''),
  }));
  return { revision: around.revision.number, devices: await Promise.all(withChecksums) };
}

async function readings(around: Around, device: string): Promise<DeviceReading[]> {
  return [...((await readOff(around)).readings[device] ?? [])].reverse();
}

async function card(_: Card, { plan, revision, core }: Around): Promise<Card> {
  const { number, savedAt } = revision;
  return { site: plan.site.name, revision: number, savedAt, card: await core('CARD', plan) };
}

/** Views that follow from the plan and what was typed, by the end of their address behind the site. */
const VIEWS: [RegExp, (view: never, around: Around, found: string[]) => Promise<unknown>][] = [
  [
    /^commissioning$/,
    async (view: CommissioningView, { plan, core }) => ({
      ...view,
      steps: await core('VISIT', { plan, steps: view.steps }),
    }),
  ],
  [/^bench-tests$/, tests],
  [/^bench-tests\/[^/]+$/, judged],
  [/^log$/, log],
  [/^log\/kinds$/, (_: KindOffered[], { plan, core }) => core('KINDS', plan)],
  [/^card$/, card],
  [/^handover$/, handover],
  [/^devices\/([^/]+)\/readings$/, (_: DeviceReading[], around, [device]) => readings(around, device ?? '')],
];

/** Whether a view follows from the plan and what was typed. */
export const follows = (end: string) => VIEWS.some(([address]) => address.test(end));

/** Makes a view anew, by the end of its address; one that does not follow from the plan stays as it is. */
export async function renewed(end: string, view: unknown, around: Around): Promise<unknown> {
  for (const [address, make] of VIEWS) {
    const found = address.exec(end);
    if (found) return make(view as never, around, found.slice(1));
  }
  return view;
}

/** The core's answers, or why there are none. */
export const answering =
  (ask: AskCore) =>
  async <A>(name: string, question: unknown): Promise<A> => {
    const told = await ask<A>(name, question);
    if (!told) throw new NoCore();
    if (told.problem) throw new NotTaken(told.problem);
    return told.data;
  };
