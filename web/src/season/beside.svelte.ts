import { api, outcome } from '../lib/api/client';
import { Newest } from '../lib/api/newest';
import type { LoggerFileAbout, Trace } from '../lib/api/api';
import { instant } from '../lib/sentence/quantity';
import type { Recorded } from '../lib/tape/recorded';

/** Whether something was recorded between two instants (ms). */
const covers = (files: LoggerFileAbout[], from: number, to: number) =>
  files.some((one) => Date.parse(one.first) < to && Date.parse(one.last) > from);

const YEAR = 365 * 86_400_000;

/** What was recorded at a site on the days that a run is of; where nothing was, a year before: last winter beside the one to come. */
export class RecordedBeside {
  private shown = $state.raw<{ of: Trace; recorded: Recorded }>();
  private files: LoggerFileAbout[] = [];
  private readonly newest = new Newest();

  constructor(readonly site: string) {}

  private get path() {
    return { siteId: this.site };
  }

  async load() {
    const { data } = await outcome(
      api.GET('/api/sites/{siteId}/logger-files', { params: { path: this.path } }),
    );
    this.files = data ?? [];
  }

  /** What stands beside a part of a run, as soon as it is known. */
  beside(trace: Trace): Recorded | undefined {
    return this.shown?.of === trace ? this.shown.recorded : undefined;
  }

  /** Beside a run that begins at an instant (ms), in the buckets of what of it is shown. */
  async look(start: number, trace: Trace) {
    const { fromSeconds, bucketSeconds, usedWatts } = trace;
    const buckets = usedWatts.length;
    const from = start + fromSeconds * 1000;
    const to = from + buckets * bucketSeconds * 1000;
    const years = [0, 1].find((one) => covers(this.files, from - one * YEAR, to - one * YEAR));
    if (years === undefined) {
      this.shown = undefined;
      return;
    }
    const begin = from - years * YEAR;
    const query = {
      from: instant(begin),
      to: instant(begin + (to - from)),
      buckets,
    };
    const answer = await this.newest.ask((signal) =>
      outcome(api.GET('/api/sites/{siteId}/recorded', { params: { path: this.path, query }, signal })),
    );
    if (!answer) return;
    // A trouble with what stands beside it is none of the run's: it is drawn without.
    this.shown = answer.data && {
      of: trace,
      recorded: {
        says: years === 0 ? 'recorded' : 'recorded a year before',
        lowVolts: answer.data.lowVolts,
        highVolts: answer.data.highVolts,
        charge: answer.data.means.CHARGE,
      },
    };
  }
}
