import { api, outcome, type Problem } from '../lib/api/client';
import type { Plan, Revision, RunInputs } from '../lib/api/api';
import { perSite } from '../lib/shell/perSite';
import { nameOf, OTHERWISE, shortNameOf, variantOf } from './compared';
import { Conditions } from './conditions.svelte';
import { RunWindow } from './run.svelte';
import { LongWork } from './work.svelte';

/**
 * A run beside the one that is shown, on the same days: of another plan, or of the same one under other conditions. None until one is
 * chosen. A plan as it was is told as what was before; other conditions as what comes after.
 */
export class SecondRun {
  /** The number of a revision, or one of the ways in compared.ts. */
  chosen = $state<number>();
  /** Weather, battery and load of the second, where these are to be others. */
  readonly asked = new Conditions();
  revisions = $state.raw<Revision[]>([]);
  problem = $state<Problem>();
  readonly work: LongWork;
  private readonly before: RunWindow;
  private readonly after: RunWindow;
  /** The run it stands beside. */
  private beside = $state('');

  constructor(readonly site: string) {
    this.work = new LongWork(site, 'comparison');
    this.before = new RunWindow(site, 'before');
    this.after = new RunWindow(site, 'after');
  }

  get name() {
    return nameOf(this.chosen ?? OTHERWISE);
  }

  /** What came of it, once it stands beside a run. */
  besideOf(run: string | undefined) {
    const runs = this.work.done?.comparison;
    if (this.chosen === undefined || !runs || this.beside !== run || this.work.running) return undefined;
    const isAfter = this.chosen === OTHERWISE;
    return {
      id: this.work.done?.work.id ?? '',
      window: isAfter ? this.after : this.before,
      run: isAfter ? runs.after : runs.before,
      name: this.name,
      short: shortNameOf(this.chosen),
      comparison: runs.comparison,
      heads: isAfter ? ['as asked', 'otherwise'] : [this.name, 'now'],
    };
  }

  /** Chooses what stands beside a run with these inputs; other conditions begin with another weather than its. */
  choose(chosen: number | undefined, first: RunInputs) {
    if (chosen === OTHERWISE) this.asked.take({ ...first, weatherNumber: first.weatherNumber + 1 });
    this.chosen = chosen;
  }

  async load() {
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/revisions', { params: { path: { siteId: this.site } } }),
    );
    this.problem = answer.problem;
    this.revisions = answer.data ?? [];
  }

  private async planOf(now: Plan, chosen: number): Promise<Plan | undefined> {
    const variant = variantOf(now, chosen);
    if (variant) return variant;
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/revisions/{number}', {
        params: { path: { siteId: this.site, number: chosen } },
      }),
    );
    this.problem = answer.problem;
    return answer.data?.plan;
  }

  /** Runs it beside a run of a plan, made under conditions. */
  async run(plan: Plan, first: Conditions, run: string) {
    const chosen = this.chosen;
    if (chosen === undefined) return;
    const other = await this.planOf(plan, chosen);
    if (!other || chosen !== this.chosen) return;
    const now = first.inputs(plan);
    const body =
      chosen === OTHERWISE
        ? { before: now, after: { ...this.asked.inputs(plan), from: first.from, days: first.days } }
        : { before: first.inputs(other), after: now };
    this.beside = run;
    await this.work.begin(() =>
      api.POST('/api/season/{siteId}/comparisons', { params: { path: { siteId: this.site } }, body }),
    );
  }
}

/** A run beside another, as the tape draws it. */
export type Beside = NonNullable<ReturnType<SecondRun['besideOf']>>;

/** What stands beside the season of a site. */
export const secondOf = perSite((site) => new SecondRun(site));
