import { api, outcome, type Problem } from '../lib/api/client';
import type {
  FitResult,
  HistoryView,
  LoggerFileAbout,
  RecordedTrace,
  Replay,
  SimulatedDay,
} from '../lib/api/api';

/** What was recorded at a site, and what was made of it. */
export class Recorded {
  files = $state.raw<LoggerFileAbout[]>();
  problem = $state.raw<Problem>();
  trace = $state.raw<RecordedTrace>();
  history = $state.raw<HistoryView>();
  simulated = $state.raw<SimulatedDay[]>();
  fit = $state.raw<FitResult>();
  replay = $state.raw<Replay>();
  busy = $state('');

  constructor(readonly site: string) {}

  private get path() {
    return { siteId: this.site };
  }

  async loadFiles() {
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/logger-files', { params: { path: this.path } }),
    );
    this.problem = answer.problem;
    this.files = answer.data ?? this.files;
  }

  /** Files have come or gone: what was made of them is not of these any more. */
  async changed() {
    this.trace = undefined;
    this.history = undefined;
    this.simulated = undefined;
    this.fit = undefined;
    this.replay = undefined;
    await this.loadFiles();
  }

  async loadHistory() {
    const [trace, history] = await Promise.all([
      outcome(
        api.GET('/api/sites/{siteId}/recorded', { params: { path: this.path, query: { buckets: 1200 } } }),
      ),
      outcome(api.GET('/api/reading/{siteId}/history', { params: { path: this.path } })),
    ]);
    this.problem = trace.problem ?? history.problem;
    this.trace = trace.data;
    this.history = history.data;
  }

  async simulate() {
    await this.work('Simulating the same days', async () => {
      const answer = await outcome(
        api.GET('/api/reading/{siteId}/simulated-days', { params: { path: this.path } }),
      );
      this.simulated = answer.data;
      return answer.problem;
    });
  }

  async fitIt() {
    await this.work('Fitting the model to what was recorded', async () => {
      const answer = await outcome(api.GET('/api/reading/{siteId}/fit', { params: { path: this.path } }));
      this.fit = answer.data;
      return answer.problem;
    });
  }

  async replayIt(revision: number | undefined) {
    await this.work('Replaying the rules', async () => {
      const answer = await outcome(
        api.GET('/api/reading/{siteId}/replay', { params: { path: this.path, query: { revision } } }),
      );
      this.replay = answer.data;
      return answer.problem;
    });
  }

  private async work(says: string, act: () => Promise<Problem | undefined>) {
    if (this.busy) return;
    this.busy = says;
    this.problem = await act();
    this.busy = '';
  }
}

/** Days of an answer, each beside what was simulated for it. */
export function besideSimulated(
  days: { date: string; lowestVolts: number }[],
  simulated: SimulatedDay[],
): { date: string; lowestVolts?: number | undefined; simulatedVolts?: number | undefined }[] {
  const recorded = Object.fromEntries(days.map((one) => [one.date, one.lowestVolts]));
  return simulated.map((one) => ({
    date: one.date,
    lowestVolts: recorded[one.date],
    simulatedVolts: one.simulatedLowestVolts,
  }));
}
