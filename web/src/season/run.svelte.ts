import { api, outcome, type Problem } from '../lib/api/client';
import { Newest } from '../lib/api/newest';
import type { Linked, NumberedEvent, Plan, RunInputs, RunView } from '../lib/api/api';
import { differences } from '../lib/plan/planPath';
import { perSite } from '../lib/shell/perSite';
import { Conditions } from './conditions.svelte';
import { Spans } from './spans.svelte';
import { LongWork } from './work.svelte';

const MOST_BUCKETS = 2400;
const MOST_MARKS = 500;
/** What happened so near to an instant (s) is what it is about. */
const NEAR = 2;

/** The two runs of a comparison; a run alone is the first. */
export type Side = 'before' | 'after';

/** A window of a run that is over, and its events. */
export class RunWindow {
  view = $state.raw<RunView>();
  /** Of which work the view is. */
  of = $state('');
  marks = $state.raw<NumberedEvent[]>([]);
  /** How many events the window has. */
  total = $state(0);
  problem = $state<Problem>();
  /** How long the last look took (ms). */
  took = $state(0);
  private readonly newest = new Newest();

  constructor(
    readonly site: string,
    readonly side: Side = 'before',
  ) {}

  /** Looks at a window; only the newest look counts. */
  async look(id: string, from: number, to: number, buckets: number) {
    const asked = performance.now();
    const path = { siteId: this.site, id };
    const window = { from, to, side: this.side };
    const answers = await this.newest.ask((signal) =>
      Promise.all([
        outcome(
          api.GET('/api/season/{siteId}/runs/{id}/view', {
            params: {
              path,
              query: { ...window, buckets: Math.min(MOST_BUCKETS, Math.max(50, Math.round(buckets))) },
            },
            signal,
          }),
        ),
        outcome(
          api.GET('/api/season/{siteId}/runs/{id}/events', {
            params: { path, query: { ...window, most: MOST_MARKS } },
            signal,
          }),
        ),
      ]),
    );
    if (!answers) return;
    const [view, events] = answers;
    this.problem = view.problem ?? events.problem;
    if (view.data) {
      this.view = view.data;
      this.of = id;
    }
    if (events.data) {
      this.marks = events.data.events;
      this.total = events.data.total;
    }
    this.took = performance.now() - asked;
  }
}

/** The season of a site in full: conditions, the run, what of it is shown, the event that is looked into. */
export class SeasonRun {
  readonly asked = new Conditions();
  readonly work: LongWork;
  readonly looked: RunWindow;
  /** Of the run that is shown; of the one that is asked for only until there is one. */
  readonly spans = new Spans(() => this.done?.run?.durationSeconds ?? this.asked.days * 86_400);
  /** The event that is looked into, and how it came about. */
  picked = $state<number>();
  chain = $state.raw<Linked[]>();

  constructor(readonly site: string) {
    this.work = new LongWork(site, 'run');
    this.looked = new RunWindow(site);
  }

  get done() {
    return this.work.done;
  }

  /** What the last run that was begun is made from. */
  private begun?: RunInputs;
  /** Whether days were asked for from elsewhere. */
  private isAsked = false;

  /** Whether what is asked for now is what was begun last. */
  isBegun(plan: Plan): boolean {
    // Read first, so that whoever watches this is told of every change of what is asked for.
    const inputs = this.asked.inputs(plan);
    return this.begun !== undefined && differences(inputs, this.begun).length === 0;
  }

  /** Asks for some days, whatever was asked for before. */
  ask(from: string, days: number) {
    this.asked.from = from;
    this.asked.days = days;
    this.spans.show(undefined);
    this.isAsked = true;
  }

  /** After a reload: goes on with the run that was begun before, under its own conditions. */
  async resume(found: () => void) {
    if (this.isAsked) return;
    await this.work.resume((view) => {
      if (view.request) {
        this.asked.take(view.request);
        this.begun = view.request;
      }
      found();
    });
  }

  async run(plan: Plan) {
    const inputs = this.asked.inputs(plan);
    this.begun = inputs;
    this.picked = undefined;
    await this.work.begin(() =>
      api.POST('/api/season/{siteId}/runs', { params: { path: { siteId: this.site } }, body: inputs }),
    );
  }

  /** Shows an instant of the run with some time around it (s); what switched there is looked into. */
  async visit(seconds: number, around: number) {
    const id = this.done?.work.id;
    if (!id) return;
    this.picked = undefined;
    this.spans.show({ from: seconds - around, to: seconds + around });
    const { data, problem } = await outcome(
      api.GET('/api/season/{siteId}/runs/{id}/events', {
        params: {
          path: { siteId: this.site, id },
          query: { from: seconds - NEAR, to: seconds + NEAR, most: MOST_MARKS },
        },
      }),
    );
    this.looked.problem = problem;
    const there = data?.events.find(({ event }) => ['OPENED', 'EMPTY', 'COLLAPSE'].includes(event.kind));
    if (there) await this.pick(there.index);
  }

  /** Looks into an event: how it came about, and the tape close around it. */
  async pick(index: number, seconds?: number) {
    const id = this.done?.work.id;
    if (!id) return;
    this.picked = index;
    this.chain = undefined;
    if (seconds !== undefined) this.spans.show({ from: seconds - 40, to: seconds + 40 });
    const { data, problem } = await outcome(
      api.GET('/api/season/{siteId}/runs/{id}/events/{index}/chain', {
        params: { path: { siteId: this.site, id, index } },
      }),
    );
    this.looked.problem = problem;
    if (this.picked === index) this.chain = data;
  }
}

/** The season of a site in full. */
export const runOf = perSite((site) => new SeasonRun(site));
