import { api, outcome, type Problem } from '../lib/api/client';
import { Newest } from '../lib/api/newest';
import type { RunPart } from '../lib/api/api';
import type { Span } from './spans.svelte';

/** What the part of a run holds that is shown; nothing while all of it is. */
export class PartOfRun {
  shown = $state.raw<RunPart>();
  problem = $state<Problem>();
  private readonly newest = new Newest();

  constructor(readonly site: string) {}

  /** Looks at a part of the run of some work; only the newest look counts. */
  async look(id: string, span: Span | undefined) {
    if (!span) {
      this.shown = undefined;
      this.problem = undefined;
      return;
    }
    const answer = await this.newest.ask((signal) =>
      outcome(
        api.GET('/api/season/{siteId}/runs/{id}/part', {
          params: { path: { siteId: this.site, id }, query: { ...span } },
          signal,
        }),
      ),
    );
    if (!answer) return;
    this.problem = answer.problem;
    this.shown = answer.data ?? this.shown;
  }
}
