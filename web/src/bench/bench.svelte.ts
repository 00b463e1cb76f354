import { api, outcome, type Problem } from '../lib/api/client';
import type { BenchState, Event, KeptScript, Plan, Turn, Walked } from '../lib/api/api';

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
   * Sneaks up on a level: the knob goes to just before it, waits there, and then goes just past it.
   *
   * @param near how close it goes on either side, in the knob's unit
   */
  async sneakUp(knob: string, level: number, falling: boolean, near: number) {
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
    const { data, problem } = await outcome(
      api.POST('/api/bench/{siteId}', {
        params: { path: { siteId: this.site } },
        body: { plan, script: { turns: this.turns }, untilSeconds: this.seconds, live: this.live },
      }),
    );
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
    this.asking?.abort();
    const asking = (this.asking = new AbortController());
    const asked = performance.now();
    try {
      const { data, problem } = await outcome(
        api.POST('/api/bench/{siteId}', {
          params: { path: { siteId: this.site } },
          body: {
            plan,
            script: { turns: this.turns },
            untilSeconds: this.seconds,
            ...(this.live ? { live: true, shownSeconds: this.shownSeconds } : {}),
          },
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

const KNOBS: Record<string, string> = {
  battery_volts: 'battery voltage',
  bus_volts: 'bus voltage',
  state_of_charge: 'true state of charge',
  sun_altitude_degrees: 'height of the sun',
  sun_watts_per_square_metre: 'sun on the arrays',
  local_hour: 'clock',
  local_month: 'month',
  local_weekday: 'day of the week',
  battery_celsius: 'battery temperature',
  air_celsius: 'cabinet temperature',
  battery_amperes: 'battery current',
  ac_load_watts: 'load on AC',
  ac_present: 'AC present',
  surplus_watts: 'surplus',
  bms_talks: 'BMS talks',
  fault: 'fault',
};
const KINDS = [
  ['reported_charge_', 'reported charge'],
  ['regulation_volts_', 'regulation'],
  ['array_volts_', 'array voltage'],
  ['clock_hour_', 'clock of'],
  ['load_watts_', 'load'],
  ['request_', 'request'],
  ['stage_', 'stage'],
  ['volts_', 'voltage at'],
] as const;

/**
 * What a knob is called, from the name of its signal.
 *
 * @param names of parts by their ids
 */
export function knobName(knob: string, names: Record<string, string> = {}): string {
  const kind = KINDS.find(([start]) => knob.startsWith(start));
  if (KNOBS[knob] || !kind) return KNOBS[knob] ?? knob.replaceAll('_', ' ');
  const part = knob.slice(kind[0].length);
  const id = Object.keys(names).find((one) => one.replace(/[^A-Za-z0-9]+/g, '_').toLowerCase() === part);
  return `${kind[1]} ${(id && names[id]) ?? part.replaceAll('_', ' ')}`;
}

/** By what a knob's value is shown: a state of charge is said in percent. */
export const knobScale = (knob: string) => (knob.includes('charge') ? 100 : 1);

/** What a knob counts in. */
export function knobUnit(knob: string): string {
  if (knob.includes('volts')) return 'V';
  if (knob.includes('celsius')) return '°C';
  if (knob.includes('charge')) return '';
  if (knob.includes('hour')) return 'h';
  if (knob.includes('amperes')) return 'A';
  if (knob === 'sun_watts_per_square_metre') return 'W/m²';
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
  if (knob === 'sun_watts_per_square_metre') return { least: 0, most: 1200, step: 10 };
  if (knob.includes('watts')) return { least: 0, most: 5000, step: 10 };
  if (knob === 'local_month') return { least: 1, most: 12, step: 1 };
  if (knob === 'local_weekday') return { least: 1, most: 7, step: 1 };
  if (knob.startsWith('stage_')) return { least: 0, most: 4, step: 1 };
  return { least: 0, most: 1, step: 1 };
}

/** The knobs that most benches need, first; the others behind them. */
export function sortedKnobs(knobs: string[]): { first: string[]; others: string[] } {
  const wanted = (knob: string) =>
    /^(battery_volts|bus_volts|state_of_charge|reported_charge_|volts_|array_volts_|battery_celsius|air_celsius|local_hour|sun_|load_watts_|ac_present|bms_talks)/.test(
      knob,
    );
  return { first: knobs.filter(wanted), others: knobs.filter((knob) => !wanted(knob)) };
}
