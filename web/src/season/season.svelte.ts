import type { Problem } from '../lib/api/client';
import { Newest } from '../lib/api/newest';
import { ask } from '../lib/engine/engine';
import type { Plan, SeasonAnswer } from '../lib/api/api';
import { perSite } from '../lib/shell/perSite';
import { Conditions } from './conditions.svelte';
import { Spans } from './spans.svelte';

const MOST_BUCKETS = 2400;

/** The plan's next days while it is edited: what was asked, and what came of it. Nothing of it is kept. */
export class Season {
  readonly asked = new Conditions();
  readonly spans = new Spans(() => this.days * 86_400);
  answer = $state.raw<SeasonAnswer>();
  problem = $state<Problem>();
  /** How long the last answer took, from asking to having it (ms). */
  took = $state(0);

  /** The longest that is run here, as the first answer tells (d). */
  private mostDays = $state(Infinity);
  /** Of a long season its beginning is run here. */
  readonly days = $derived(Math.min(this.mostDays, this.asked.days));
  private readonly newest = new Newest();

  constructor(readonly site: string) {}

  /** Runs a plan; only the newest question counts. */
  async run(plan: Plan, buckets: number) {
    const { from, to } = this.spans.shown;
    const asked = performance.now();
    const run = this.asked.inputs(plan);
    const answer = await this.newest.ask((signal) =>
      ask(
        '/api/season/{siteId}',
        this.site,
        {
          run,
          window: {
            fromSeconds: from,
            toSeconds: to,
            buckets: Math.min(MOST_BUCKETS, Math.max(50, Math.round(buckets))),
          },
        },
        signal,
      ),
    );
    if (!answer) return;
    const { data, problem } = answer;
    if (data) {
      this.answer = data;
      this.mostDays = data.mostDays;
    }
    // A plan with a refused field says so at the field; here the last good run stays.
    this.problem = problem?.errors?.some((one) => one.pointer.startsWith('/run/plan/')) ? undefined : problem;
    this.took = performance.now() - asked;
  }
}

/** The season of a site. */
export const seasonOf = perSite((site) => new Season(site));
