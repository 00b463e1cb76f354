import { api, outcome, type Problem } from '../lib/api/client';
import type { Plan, SeasonAnswer, SeasonRequest } from '../lib/api/api';

/** A span of a run, in seconds since its start. */
export interface Span {
  from: number;
  to: number;
}

const SHORTEST = 2;
const MOST_BUCKETS = 2400;

/** A run of a site's plan through a season: what was asked, and what came of it. */
export class Season {
  from = $state('2026-10-05');
  days = $state(14);
  weather = $state<SeasonRequest['weather']>('DULL');
  seed = $state(1);
  meanCelsius = $state(5);
  /** What the tape shows; the whole run where nothing is chosen. */
  span = $state.raw<Span>();
  answer = $state.raw<SeasonAnswer>();
  problem = $state<Problem>();
  running = $state(false);
  /** How long the last answer took, from asking to having it (ms). */
  took = $state(0);

  private asking?: AbortController;

  constructor(readonly site: string) {}

  get whole(): Span {
    return { from: 0, to: this.days * 86_400 };
  }
  get shown(): Span {
    return this.span ?? this.whole;
  }

  /** Runs a plan; only the newest question counts. */
  async run(plan: Plan, buckets: number) {
    this.asking?.abort();
    const asking = (this.asking = new AbortController());
    const span = this.shown;
    const asked = performance.now();
    this.running = true;
    try {
      const { data, problem } = await outcome(
        api.POST('/api/season/{siteId}', {
          params: { path: { siteId: this.site } },
          body: {
            plan,
            from: this.from,
            days: this.days,
            weather: this.weather,
            seed: this.seed,
            meanCelsius: this.meanCelsius,
            window: {
              fromSeconds: span.from,
              toSeconds: span.to,
              buckets: Math.min(MOST_BUCKETS, Math.max(50, Math.round(buckets))),
            },
          },
          signal: asking.signal,
        }),
      );
      if (data) this.answer = data;
      // A plan with a refused field says so at the field; here the last good run stays.
      this.problem = problem?.errors?.some((one) => one.pointer.startsWith('/plan/')) ? undefined : problem;
      this.took = performance.now() - asked;
      this.running = false;
    } catch (failure) {
      if (!asking.signal.aborted) throw failure;
    }
  }

  /** Shows a span of the run, kept inside it and no shorter than two seconds. */
  show(span: Span | undefined) {
    if (!span) {
      this.span = undefined;
      return;
    }
    const whole = this.whole;
    const length = Math.max(SHORTEST, Math.min(whole.to, span.to - span.from));
    const from = Math.max(0, Math.min(whole.to - length, span.from));
    this.span = length >= whole.to ? undefined : { from, to: from + length };
  }

  /** Closer (below 1) or wider (above 1) about a point, by default the middle. */
  zoom(factor: number, about?: number) {
    const { from, to } = this.shown;
    const point = about ?? (from + to) / 2;
    this.show({ from: point - (point - from) * factor, to: point + (to - point) * factor });
  }

  /** Earlier or later by a share of what is shown. */
  pan(share: number) {
    const { from, to } = this.shown;
    const by = (to - from) * share;
    this.show({ from: from + by, to: to + by });
  }
}

// Not shown anywhere, so nothing needs to react to it.
// eslint-disable-next-line svelte/prefer-svelte-reactivity
const seasons = new Map<string, Season>();

/** The season of a site: the same one on every page. */
export function seasonOf(site: string): Season {
  let season = seasons.get(site);
  if (!season) {
    season = new Season(site);
    seasons.set(site, season);
  }
  return season;
}
