import { api, outcome, type Problem } from '../lib/api/client';
import type { BenchState, Plan, Turn, Walked } from '../lib/api/api';

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
  walked = $state.raw<Walked[]>();
  walking = $state(false);
  /** How long the last answer took (ms). */
  took = $state(0);

  private asking?: AbortController;
  private playing: Promise<void> = Promise.resolve();

  constructor(
    readonly site: string,
    readonly plan: () => Plan | undefined,
  ) {}

  /** Turns a knob now, at once or evenly over a time (s). What was to come of other knobs stays. */
  async turn(knob: string, value: number, overSeconds = 0) {
    const now = this.seconds;
    const kept = this.turns.filter((one) => one.knob !== knob || one.seconds < now || one.overSeconds === 0);
    this.turns = [...kept, { seconds: now, knob, value, overSeconds }];
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
    for (let steps = 0; steps < MOST_STEPS; steps++) {
      const next = this.state?.nextSeconds;
      if (next === undefined || next >= WEEK_SECONDS || (this.state?.events.length ?? 0) > printed) return;
      this.seconds = next;
      await this.play();
    }
  }

  /** From the start again, with nothing turned. */
  async clear() {
    this.turns = [];
    this.seconds = 0;
    this.running = false;
    await this.play();
  }

  /** Takes a script that was made before, and plays it to its end. */
  async take(turns: Turn[]) {
    this.turns = turns;
    this.seconds = Math.max(0, ...turns.map((one) => one.seconds + one.overSeconds));
    await this.play();
  }

  /** Plays the script to where time is; only the newest question counts. */
  play(): Promise<void> {
    this.playing = this.ask();
    return this.playing;
  }

  private async ask() {
    const plan = this.plan();
    if (!plan) return;
    this.asking?.abort();
    const asking = (this.asking = new AbortController());
    const asked = performance.now();
    try {
      const { data, problem } = await outcome(
        api.POST('/api/bench/{siteId}', {
          params: { path: { siteId: this.site } },
          body: { plan, script: { turns: this.turns }, untilSeconds: this.seconds },
          signal: asking.signal,
        }),
      );
      if (data) this.state = data;
      this.problem = problem;
      this.took = performance.now() - asked;
    } catch (failure) {
      if (!asking.signal.aborted) throw failure;
    }
  }

  /** Walks every level of the program up or down. */
  async walk() {
    const plan = this.plan();
    if (!plan) return;
    this.walking = true;
    const { data, problem } = await outcome(
      api.POST('/api/bench/{siteId}/walk', { params: { path: { siteId: this.site } }, body: { plan } }),
    );
    this.walking = false;
    this.walked = data;
    this.problem = problem;
  }
}

/** What a knob is called, from the name of its signal. */
export function knobName(knob: string): string {
  return knob
    .replaceAll('_', ' ')
    .replace(/^(reported charge|volts|array volts|stage|request|clock hour) /, '$1: ');
}

/** What a knob counts in. */
export function knobUnit(knob: string): string {
  if (knob.includes('volts')) return 'V';
  if (knob.includes('celsius')) return '°C';
  if (knob.includes('charge')) return '';
  if (knob.includes('hour')) return 'h';
  if (knob.includes('amperes')) return 'A';
  if (knob.includes('watts')) return 'W';
  return knob.includes('degrees') ? '°' : '';
}

/** Between what a knob can be turned, for its slider. */
export function knobRange(knob: string, nominalVolts: number): { least: number; most: number; step: number } {
  if (knob.startsWith('array_volts')) return { least: 0, most: 200, step: 1 };
  if (knob.includes('volts')) {
    return { least: Math.round(nominalVolts * 0.7), most: Math.round(nominalVolts * 1.4), step: 0.01 };
  }
  if (knob.includes('celsius')) return { least: -30, most: 60, step: 1 };
  if (knob.includes('charge')) return { least: 0, most: 1, step: 0.01 };
  if (knob.includes('hour')) return { least: 0, most: 23.99, step: 0.25 };
  if (knob === 'sun_altitude_degrees') return { least: -30, most: 60, step: 1 };
  if (knob.includes('amperes')) return { least: -100, most: 100, step: 1 };
  if (knob.includes('watts')) return { least: 0, most: 5000, step: 10 };
  if (knob === 'local_month') return { least: 1, most: 12, step: 1 };
  if (knob === 'local_weekday') return { least: 1, most: 7, step: 1 };
  if (knob.startsWith('stage_')) return { least: 0, most: 4, step: 1 };
  return { least: 0, most: 1, step: 1 };
}

/** The knobs that most benches need, first; the others behind them. */
export function sortedKnobs(knobs: string[]): { first: string[]; others: string[] } {
  const wanted = (knob: string) =>
    /^(battery_volts|bus_volts|reported_charge_|volts_|array_volts_|battery_celsius|local_hour|sun_altitude)/.test(
      knob,
    );
  return { first: knobs.filter(wanted), others: knobs.filter((knob) => !wanted(knob)) };
}
