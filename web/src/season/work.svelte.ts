import { api, outcome, type Problem } from '../lib/api/client';
import type { WorkView } from '../lib/api/api';

type Begin = Promise<{ data?: WorkView; error?: unknown; response: Response }>;

const FIRST_LOOK = 60;
const LATER_LOOKS = 300;

/**
 * Long work of one kind at a site: begun, looked at until it is over, cancelled. Its id is kept for the tab, so that a reload finds it
 * again; what came of the last one stays until the next is done.
 */
export class LongWork {
  /** How far the present one is. */
  now = $state.raw<WorkView>();
  /** The last that was done. */
  done = $state.raw<WorkView>();
  problem = $state<Problem>();

  private asked = 0;

  constructor(
    readonly site: string,
    readonly kind: string,
  ) {}

  private get key() {
    return `sparen-work-${this.site}-${this.kind}`;
  }

  get running() {
    return this.now?.work.state === 'WAITING' || this.now?.work.state === 'RUNNING';
  }

  /** Begins new work; what is going on is cancelled first. */
  async begin(ask: () => Begin) {
    const turn = ++this.asked;
    if (this.running) void this.cancel();
    const { data, problem } = await outcome(ask());
    if (turn !== this.asked) return;
    this.problem = problem;
    if (!data) return;
    sessionStorage.setItem(this.key, data.work.id);
    await this.follow(data, turn);
  }

  /** Finds the work again that was begun before a reload, and goes on with it. */
  async resume(found: (view: WorkView) => void = () => {}) {
    const id = sessionStorage.getItem(this.key);
    if (!id || this.now) return;
    const turn = ++this.asked;
    const { data } = await this.look(id, true);
    // One that is no longer kept is no trouble: there is just nothing to go on with.
    if (!data || turn !== this.asked) return;
    found(data);
    await this.follow(data, turn);
  }

  private async follow(first: WorkView, turn: number) {
    let view = first;
    for (let looks = 0; ; looks++) {
      this.now = view;
      if (!this.running) break;
      await new Promise((resolve) => setTimeout(resolve, looks < 15 ? FIRST_LOOK : LATER_LOOKS));
      if (turn !== this.asked) return;
      const { data, problem } = await this.look(view.work.id);
      if (turn !== this.asked) return;
      this.problem = problem;
      if (data) view = data;
      // A server that is away for a moment, or restarts, is asked again.
      else if (problem?.status === 404 || problem?.status === 401) return;
    }
    if (view.work.state === 'DONE') this.done = view;
    if (view.work.state === 'FAILED') {
      this.problem = { type: 'about:blank', status: 0, detail: view.message };
    }
  }

  private look(id: string, asked = false) {
    return outcome(
      api.GET('/api/season/{siteId}/work/{id}', {
        params: { path: { siteId: this.site, id }, query: { asked } },
      }),
    );
  }

  async cancel() {
    const id = this.now?.work.id;
    if (!id) return;
    const { problem } = await outcome(
      api.POST('/api/season/{siteId}/work/{id}/cancel', { params: { path: { siteId: this.site, id } } }),
    );
    this.problem = problem;
  }
}
