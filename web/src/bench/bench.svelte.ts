import { api, outcome, type Outcome, type Problem } from '../lib/api/client';
import { Newest } from '../lib/api/newest';
import { ask } from '../lib/engine/engine';
import { believable, duration, fixed } from '../lib/sentence/quantity';
import type {
  BenchState,
  Event,
  KeptScript,
  LevelWalk,
  NamedSignal,
  Plan,
  Turn,
  Walked,
} from '../lib/api/api';

/** How fast time goes at the bench (×). */
export const SPEEDS = [1, 10, 60, 600] as const;

const WEEK_SECONDS = 604_800;
const MOST_STEPS = 60;

/** A program on the bench: what was turned, how far it has gone, and how everything stands. The script is all there is to it. */
export class Bench {
  turns = $state.raw<Turn[]>([]);
  seconds = $state(0);
  state = $state.raw<BenchState>();
  problem = $state<Problem>();
  speed = $state<number>(10);
  running = $state(false);
  /** Whether a model battery answers; otherwise every voltage is imposed. */
  live = $state(false);
  /** How much of a live bench's time its strip shows (s). */
  shownSeconds = $state(600);
  kept = $state.raw<KeptScript[]>([]);
  walked = $state.raw<Walked[]>();
  through = $state.raw<LevelWalk>();
  walking = $state(false);
  /** What was asked for and could not be, such as a switching that never comes. */
  notice = $state('');
  /** How long the last answer took (ms). */
  took = $state(0);

  private readonly newest = new Newest();
  private playing: Promise<void> = Promise.resolve();

  constructor(
    readonly site: string,
    readonly plan: () => Plan | undefined,
  ) {}

  /**
   * Turns a knob, or several together, now, at once or evenly over a time (s); from where it stands or from where is told. What was to come of other knobs stays.
   * It is played once, so that whatever is pressed next comes after all of it.
   */
  async turn(knob: string | string[], value: number, overSeconds = 0, from?: number) {
    const now = this.seconds;
    const knobs = [knob].flat();
    const kept = this.turns.filter(
      (one) => !knobs.includes(one.knob) || one.seconds < now || one.overSeconds === 0,
    );
    const turned = knobs.flatMap((one) => [
      ...(from === undefined ? [] : [{ seconds: now, knob: one, value: from, overSeconds: 0 }]),
      { seconds: now, knob: one, value, overSeconds },
    ]);
    this.turns = [...kept, ...turned];
    await this.play();
  }

  /** From the start again, with a battery behind it or with every voltage imposed. */
  async setLive(live: boolean) {
    this.live = live;
    await this.clear();
  }

  /** Turns a knob of a live bench that is set at the start: everything begins anew with it. */
  async setAtStart(knob: string, value: number) {
    const kept = this.turns.filter((one) => one.knob !== knob);
    this.turns = [{ seconds: 0, knob, value, overSeconds: 0 }, ...kept];
    await this.play();
  }

  /**
   * Crosses a level slowly: the knob goes to just before it, waits there, and then goes just past it.
   *
   * @param near how close it goes on either side, in the knob's unit
   */
  async crossSlowly(knob: string, level: number, falling: boolean, near: number) {
    const now = this.seconds;
    const side = falling ? near : -near;
    const others = this.turns.filter((one) => one.knob !== knob || one.seconds < now);
    const together = knob === 'bus_volts' ? ['battery_volts', 'bus_volts'] : [knob];
    this.turns = [
      ...others,
      ...together.map((one) => ({ seconds: now, knob: one, value: level + side, overSeconds: 30 })),
      ...together.map((one) => ({ seconds: now + 60, knob: one, value: level - side, overSeconds: 2 })),
    ];
    await this.play();
  }

  /** Lets time go on by so much (s). */
  async forward(by: number) {
    this.seconds = Math.min(WEEK_SECONDS, this.seconds + by);
    await this.play();
  }

  /**
   * To the next switching, past whatever only begins or ends a delay; not beyond what happens by itself. Asked again before the answer
   * is there, it waits for that first.
   */
  async toNext() {
    await this.playing;
    const printed = this.state?.events.length ?? 0;
    const began = this.seconds;
    for (let steps = 0; steps < MOST_STEPS; steps++) {
      if ((this.state?.events.length ?? 0) > printed) return;
      const next = this.state?.nextSeconds;
      if (next === undefined || next >= WEEK_SECONDS) break;
      this.seconds = next;
      await this.play();
    }
    if ((this.state?.events.length ?? 0) > printed) return;
    // Time stays where it was: a silent jump would be a week that nobody asked for.
    const looked = this.state?.nextSeconds === undefined ? 0 : this.seconds - began;
    this.seconds = began;
    await this.play();
    this.notice =
      looked > 0
        ? `Nothing switches in ${duration(Math.round(looked / 60) * 60)} as the knobs stand.`
        : 'Nothing switches by itself as the knobs stand.';
  }

  /** From the start again, with nothing turned. */
  async clear() {
    this.turns = [];
    this.seconds = 0;
    this.running = false;
    await this.play();
  }

  /** Takes a script that was made before, and plays it to its end. */
  async take(turns: Turn[], live = this.live, seconds = 0) {
    this.live = live;
    this.turns = turns;
    this.seconds = Math.max(seconds, ...turns.map((one) => one.seconds + one.overSeconds));
    await this.play();
  }

  /** Reads the scripts that are kept. */
  async readKept() {
    const { data, problem } = await outcome(
      api.GET('/api/sites/{siteId}/bench-scripts', { params: { path: { siteId: this.site } } }),
    );
    this.kept = data ?? this.kept;
    this.problem = problem;
  }

  /** Keeps what was done so far under a name. */
  async keep(name: string) {
    const { data, problem } = await outcome(
      api.PUT('/api/sites/{siteId}/bench-scripts', {
        params: { path: { siteId: this.site } },
        body: { name, live: this.live, seconds: this.seconds, script: { turns: this.turns } },
      }),
    );
    this.kept = data ?? this.kept;
    this.problem = problem;
  }

  async forget(name: string) {
    const { problem } = await outcome(
      api.DELETE('/api/sites/{siteId}/bench-scripts', {
        params: { path: { siteId: this.site }, query: { name } },
      }),
    );
    this.problem = problem;
    if (!problem) this.kept = this.kept.filter((one) => one.script.name !== name);
  }

  /** The same script on another plan: what happens there. */
  async eventsOn(plan: Plan): Promise<Event[] | undefined> {
    const { data, problem } = await ask('/api/bench/{siteId}', this.site, {
      plan,
      script: { turns: this.turns },
      untilSeconds: this.seconds,
      live: this.live,
    });
    this.problem = problem;
    return data?.events;
  }

  /** Plays the script to where time is; only the newest question counts. */
  play(): Promise<void> {
    this.playing = this.ask();
    return this.playing;
  }

  private async ask() {
    const plan = this.plan();
    if (!plan) return;
    this.notice = '';
    const asked = performance.now();
    const answer = await this.newest.ask((signal) =>
      ask(
        '/api/bench/{siteId}',
        this.site,
        {
          plan,
          script: { turns: this.turns },
          untilSeconds: this.seconds,
          ...(this.live ? { live: true, shownSeconds: this.shownSeconds } : {}),
        },
        signal,
      ),
    );
    if (!answer) return;
    if (answer.data) this.state = answer.data;
    this.problem = answer.problem;
    this.took = performance.now() - asked;
  }

  /** Walks every level of the program up or down, alone. */
  async walk() {
    this.walked = await this.walks((plan) => ask('/api/bench/{siteId}/walk', this.site, { plan }));
  }

  /** Walks the program once down and once up, all of it acting. */
  async walkThrough() {
    this.through = await this.walks((plan) => ask('/api/bench/{siteId}/walk-through', this.site, { plan }));
  }

  /** What was walked was another plan. */
  forgetWalks() {
    this.walked = undefined;
    this.through = undefined;
  }

  private async walks<T>(ask: (plan: Plan) => Promise<Outcome<T>>): Promise<T | undefined> {
    const plan = this.plan();
    if (!plan) return undefined;
    this.walking = true;
    const { data, problem } = await ask(plan);
    this.walking = false;
    this.problem = problem;
    return data;
  }
}

/** The stages of a charger, in the order of their ranks. */
export const STAGES: Record<BenchState['chargers'][number]['stage'], string> = {
  BULK: 'bulk',
  ABSORPTION: 'absorption',
  FLOAT: 'float',
  EQUALIZATION: 'equalization',
  OFF: 'off',
};

/** What is turned with most benches stands first; the others behind it. */
const OFTEN: NamedSignal['kind'][] = [
  'VOLTAGE',
  'TRUE_CHARGE',
  'CHARGE',
  'ARRAY_VOLTAGE',
  'TEMPERATURE',
  'HOUR',
  'SUN',
  'LOAD_POWER',
  'PRESENT',
];

/** The knobs that most benches need, first; each output's own clock is not among them. */
export function sortedKnobs(signals: NamedSignal[]): { first: NamedSignal[]; others: NamedSignal[] } {
  const wanted = (one: NamedSignal) => OFTEN.includes(one.kind);
  return { first: signals.filter(wanted), others: signals.filter((one) => !wanted(one)) };
}

/** Set at the start of a live bench only. */
export const setAtStart = (one: NamedSignal) => one.kind === 'TRUE_CHARGE' || one.kind === 'HOUR';

/** A value of a signal as it is shown, with its unit. */
export const shownValue = (one: NamedSignal, value: number) =>
  (one.unit === '%'
    ? `${believable(Math.round(value * one.shownTimes * 10) / 10)} %`
    : `${fixed(value * one.shownTimes, 2)} ${one.unit}`
  ).trim();
