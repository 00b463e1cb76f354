import { api, outcome, type Outcome, type Problem } from '../lib/api/client';
import type { BenchTestView, TriedStep } from '../lib/api/api';
import { Kept } from '../lib/shell/kept';

/** What is typed at a step and not kept yet. */
export interface Typed {
  measured: string;
  after: string;
  setTo: string;
  note: string;
}

/** The tests of a site on its bench: the one that goes on, and those before. */
export class BenchTests {
  all = $state.raw<BenchTestView[]>();
  /** Why they could not be read. */
  problem = $state.raw<Problem>();
  /** Why what was done last was refused, and at which step. */
  refused = $state.raw<{ at: string; problem: Problem }>();
  busy = $state('');
  /** What it is measured with: the same for most steps. */
  instrument = $state('');
  typed = $state<Record<string, Typed>>({});
  private readonly kept: Kept<{ instrument: string; typed: Record<string, Typed> }>;

  constructor(readonly site: string) {
    this.kept = new Kept(`test.${site}`);
    const draft = this.kept.read();
    this.instrument = draft?.instrument ?? '';
    this.typed = draft?.typed ?? {};
  }

  get going() {
    return this.all?.find((one) => !one.endedAt);
  }

  get before() {
    return (this.all ?? []).filter((one) => one.endedAt);
  }

  of(step: TriedStep): Typed {
    return this.typed[step.step.id] ?? { measured: '', after: '', setTo: '', note: '' };
  }

  type(step: TriedStep, what: Partial<Typed>) {
    this.typed = { ...this.typed, [step.step.id]: { ...this.of(step), ...what } };
    this.keep();
  }

  keep() {
    this.kept.write({ instrument: this.instrument, typed: this.typed });
  }

  async load() {
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/bench-tests', { params: { path: { siteId: this.site } } }),
    );
    this.all = answer.data ?? this.all;
    this.problem = answer.problem;
  }

  /** As the battery is now: to what each level is set for the test. */
  async battery(volts: number | undefined, percent: number | undefined, arrayWatts: number | undefined) {
    const going = this.going;
    if (!going) return;
    await this.act('battery', () =>
      outcome(
        api.GET('/api/sites/{siteId}/bench-tests/{test}', {
          params: { path: { siteId: this.site, test: going.id }, query: { volts, percent, arrayWatts } },
        }),
      ),
    );
  }

  private path(test: BenchTestView) {
    return { params: { path: { siteId: this.site, test: test.id } } };
  }

  private async act(at: string, call: () => Promise<Outcome<BenchTestView>>): Promise<boolean> {
    if (this.busy) return false;
    this.busy = at;
    const answer = await call();
    this.busy = '';
    this.refused = answer.problem ? { at, problem: answer.problem } : undefined;
    const now = answer.data;
    if (now) this.put(now);
    return !!now;
  }

  /** Takes a test as it is now; what was said of the battery stays. */
  private put(now: BenchTestView) {
    const old = this.all?.find((one) => one.id === now.id);
    const steps = now.steps.map(
      (one, i) =>
        ({
          ...one,
          setFor: one.setFor ?? old?.steps[i]?.setFor,
          provocation: one.provocation ?? old?.steps[i]?.provocation,
        }) as TriedStep,
    );
    const next = { ...now, steps };
    this.all = old ? this.all?.map((one) => (one.id === now.id ? next : one)) : [next, ...(this.all ?? [])];
  }

  begin() {
    return this.act('begin', () =>
      outcome(
        api.POST('/api/sites/{siteId}/bench-tests', {
          params: { path: { siteId: this.site } },
          body: { id: crypto.randomUUID() },
        }),
      ),
    );
  }

  /** Keeps what was measured at a step, or why it is left out. */
  async measured(test: BenchTestView, step: TriedStep) {
    const typed = this.of(step);
    const number = (text: string) => (text.trim() === '' ? undefined : Number(text.replace(',', '.')));
    const kept = await this.act(step.step.id, () =>
      outcome(
        api.POST('/api/sites/{siteId}/bench-tests/{test}/results', {
          ...this.path(test),
          body: {
            id: crypto.randomUUID(),
            step: step.step.id,
            measured: number(typed.measured),
            afterSeconds: number(typed.after),
            setTo: number(typed.setTo),
            instrument: typed.measured.trim() === '' ? undefined : this.instrument.trim() || undefined,
            note: typed.note,
          },
        }),
      ),
    );
    if (!kept) return;
    this.typed = Object.fromEntries(Object.entries(this.typed).filter(([id]) => id !== step.step.id));
    this.keep();
  }

  plug(test: BenchTestView, what: string) {
    return this.act('plugged', () =>
      outcome(
        api.POST('/api/sites/{siteId}/bench-tests/{test}/plugged', {
          ...this.path(test),
          body: { id: crypto.randomUUID(), what },
        }),
      ),
    );
  }

  unplug(test: BenchTestView, plugged: string) {
    return this.act('plugged', () =>
      outcome(
        api.POST('/api/sites/{siteId}/bench-tests/{test}/plugged/{plugged}/unplugging', {
          params: { path: { siteId: this.site, test: test.id, plugged } },
        }),
      ),
    );
  }

  sign(test: BenchTestView) {
    return this.act('sign', () =>
      outcome(api.POST('/api/sites/{siteId}/bench-tests/{test}/signature', this.path(test))),
    );
  }

  end(test: BenchTestView) {
    return this.act('sign', () =>
      outcome(api.POST('/api/sites/{siteId}/bench-tests/{test}/ending', this.path(test))),
    );
  }
}

/** How a test stands in one sentence. */
export function standing(test: BenchTestView): string {
  const levels = test.steps.length;
  const measured = test.steps.filter((one) => one.last).length;
  const failed = test.steps.filter((one) => one.failure).length;
  if (test.signed) return `Signed: ${levels} levels, all as planned or left out with a reason.`;
  if (measured === 0) return `None of ${levels} levels is measured yet.`;
  const says =
    measured === levels ? `All ${levels} levels measured` : `${measured} of ${levels} levels measured`;
  return failed > 0 ? `${says}, ${failed} failed.` : `${says}.`;
}
