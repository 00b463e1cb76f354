import type { RunInputs, RunSummary, WorkView } from '../api/api';
import { instant } from '../sentence/quantity';
import type { Watching } from '../engine/local';
import { isRunHere, runHere } from './local';
import type { Server } from './server.svelte';
import { json, problem, type AskCore } from './views';

interface Begun {
  site: string;
  view: WorkView;
  request: RunInputs;
  stop: AbortController;
  /** It is made once more, for the core has it no longer. */
  again?: Promise<unknown> | undefined;
}

/** What is asked of a run that is over, by the end of its address, and what the core here calls it. */
const LOOKS: [address: RegExp, name: string, count: (query: URLSearchParams, index: string) => number][] = [
  [/^view$/, 'RUN_VIEW', (query) => Number(query.get('buckets'))],
  [/^events$/, 'RUN_EVENTS', (query) => Number(query.get('most') ?? 100)],
  [/^part$/, 'RUN_PART', () => 0],
  [/^events\/(\d+)\/chain$/, 'RUN_CHAIN', (_, index) => Number(index)],
];

/** The site whose season an address is about. */
export const seasonOf = (path: string) => /^\/api\/season\/([^/?]+)\//.exec(path)?.[1];

/** Runs that the core in this browser makes while the server cannot be reached: asked for and looked into as the server's are. */
export class RunsHere {
  private readonly begun = new Map<string, Begun>();

  constructor(
    private readonly askCore: AskCore,
    private readonly account: () => string,
    private readonly filesOf: (site: string) => Promise<string | undefined>,
  ) {}

  /** What is asked of runs: the server's, or those of this browser while it does not answer. */
  async reach(
    request: Request,
    path: string,
    site: string,
    server: Pick<Server, 'answer'>,
  ): Promise<Response> {
    const asked = request.clone();
    const [, run] = /\/(?:work|runs)\/([^/?]+)/.exec(path) ?? [];
    const response = isRunHere(run) ? undefined : await server.answer(request, false);
    const answer = response ?? (await this.answer(asked, path, site));
    if (answer) return answer;
    throw new TypeError('not at hand without a network');
  }

  /** The answer to a request about a site's season; undefined for what only the server does. */
  private async answer(request: Request, path: string, site: string): Promise<Response | undefined> {
    const [, end = '', query = ''] = /^\/api\/season\/[^/?]+\/([^?]+)\??(.*)$/.exec(path) ?? [];
    const asked = new URLSearchParams(query);
    if (end === 'runs' && request.method === 'POST')
      return this.begin(site, (await request.json()) as RunInputs);
    if (end === 'climate') {
      const place = { longitudeDegrees: 0, elevationMetres: 0, timeZone: 'UTC' };
      return this.ask('CLIMATE', { ...place, latitudeDegrees: Number(asked.get('latitude')) });
    }
    const [, kind, id = '', rest = ''] = /^(work|runs)\/([^/]+)\/?(.*)$/.exec(end) ?? [];
    const one = this.begun.get(id);
    if (!one) return undefined;
    if (kind === 'work' && rest === 'cancel' && one.view.work.state === 'RUNNING') {
      const view = this.told(one, { state: 'CANCELLED' });
      one.stop.abort();
      return json(view);
    }
    if (kind === 'work')
      return json({ ...one.view, ...(asked.get('asked') === 'true' && { request: one.request }) });
    return this.look(one, rest, asked);
  }

  private begin(site: string, request: RunInputs): Response {
    const id = runHere();
    const work = { id, kind: 'run', state: 'RUNNING', progress: 0, before: 0 } as const;
    const about = { ...work, account: this.account(), createdAt: instant() };
    const stop = new AbortController();
    const one: Begun = { site, request, stop, view: { work: about, message: '', days: [], yearsSoFar: [] } };
    this.begun.set(id, one);
    void this.run(one);
    return json(one.view, 202);
  }

  private async run(one: Begun) {
    const answer = await this.make(one, {
      progress: (progress) => this.told(one, { progress }),
      stop: one.stop.signal,
    });
    if (one.view.work.state === 'CANCELLED') return;
    if (answer?.data) this.told(one, { state: 'DONE', progress: 1 }, { run: answer.data });
    else this.told(one, { state: 'FAILED' }, { message: answer?.problem?.detail ?? 'The core is not here.' });
  }

  private make(one: Begun, watching?: Watching) {
    const question = { id: one.view.work.id, run: one.request };
    return this.askCore<RunSummary>('RUN', question, () => this.filesOf(one.site), watching);
  }

  private told(one: Begun, about: Partial<WorkView['work']>, more: Partial<WorkView> = {}): WorkView {
    return (one.view = { ...one.view, work: { ...one.view.work, ...about }, ...more });
  }

  private look(one: Begun, end: string, query: URLSearchParams): Promise<Response> | undefined {
    for (const [address, name, count] of LOOKS) {
      const found = address.exec(end);
      if (found)
        return this.ask(
          name,
          {
            id: one.view.work.id,
            from: Number(query.get('from') ?? 0),
            to: Number(query.get('to') ?? 3.2e8),
            count: count(query, found[1] ?? ''),
            ...(query.get('subject') && { subject: query.get('subject') }),
            ...(query.get('skip') && { skip: Number(query.get('skip')) }),
          },
          one,
        );
    }
    return undefined;
  }

  private async ask(name: string, question: unknown, one?: Begun): Promise<Response> {
    let told = await this.askCore(name, question);
    // The core keeps few runs, and none once it was stopped: the same run is made once more, for all who look.
    if (one && told?.problem?.errors?.[0]?.pointer === '/id') {
      one.again ??= this.make(one).finally(() => (one.again = undefined));
      await one.again;
      told = await this.askCore(name, question);
    }
    if (told?.data !== undefined) return json(told.data);
    return told?.problem
      ? json(told.problem, told.problem.status)
      : problem(503, 'The core is not in this browser.');
  }
}
