import type { paths } from '../api/api';
import { gate } from '../along/gate.svelte';
import { api, outcome, type Outcome } from '../api/client';
import CoreWorker from './core.worker?worker';
import { LocalCore, type Watching } from './local';
import { Pace } from './pace';

/** What the core can be asked wherever it runs, and what it is called in this browser. */
const QUESTIONS = {
  '/api/reading/{siteId}': 'READING',
  '/api/bench/{siteId}': 'BENCH',
  '/api/bench/{siteId}/walk': 'WALK',
  '/api/bench/{siteId}/walk-through': 'WALK_THROUGH',
  '/api/season/{siteId}': 'SEASON',
  '/api/changes/{siteId}': 'CHANGE',
  '/api/dismissals/{siteId}': 'DISMISSAL',
  '/api/scaled/{siteId}': 'SCALED',
  '/api/offers/{siteId}': 'OFFERS',
} as const;

export type Question = keyof typeof QUESTIONS;
type Operation<Q extends Question> = paths[Q]['post'];
export type Body<Q extends Question> =
  Operation<Q>['requestBody']['content'][keyof Operation<Q>['requestBody']['content']];
type Told<Q extends Question> = Operation<Q>['responses'][200]['content'];
export type Answer<Q extends Question> = Told<Q>[keyof Told<Q>];

const local = new LocalCore(() => new CoreWorker());
let asked = 0;

/** So often it answers what the server answered too before somebody waits for it: a script is slow until it has run for a while. */
const WARM_UPS = 4;
/** Questions that may take a while here; what answers a hand that turns a knob does so without a way to the server. */
const paces: { [Q in Question]?: Pace } = {
  '/api/reading/{siteId}': new Pace(),
  '/api/season/{siteId}': new Pace(),
};
const warmed = new Set<Question>();

/**
 * Asks the core where it answers sooner: in this browser, without a way to the server and back, or at the server. The first question is
 * the page's own; with the second somebody works here, and the core is loaded and tries itself on what is asked.
 */
export async function ask<Q extends Question>(
  question: Q,
  site: string,
  body: Body<Q>,
  signal?: AbortSignal,
): Promise<Outcome<Answer<Q>>> {
  if (local.isReady() && isHere(question)) {
    const told = await askHere(question, site, body, signal);
    if (told) return told;
  }
  if (asked++ > 0 && typeof Worker !== 'undefined') {
    local.load();
    if (paces[question]) void warm(question, site, body);
  }
  const told = await Promise.race([
    askThere(question, site, body, signal),
    ...(paces[question]?.isKnown ? [askLate(question, site, body, signal)] : []),
  ]);
  // Without the server what this browser has answers, as soon as it is there.
  const isAway = told.problem?.status === 0 && (local.isReady() || gate.along?.isTaken(site));
  return (isAway && (await local.begin()) && (await askHere(question, site, body, signal))) || told;
}

/** Without a network nobody else can be asked. */
const isHere = (question: Question) => (paces[question]?.isHere ?? true) || !navigator.onLine;

async function askThere<Q extends Question>(
  question: Q,
  site: string,
  body: Body<Q>,
  signal?: AbortSignal,
): Promise<Outcome<Answer<Q>>> {
  const begun = performance.now();
  const told = await outcome<Answer<Q>>(
    api.POST(question as never, { params: { path: { siteId: site } }, body, signal } as never) as never,
  );
  if (told.data) paces[question]?.tookThere(performance.now() - begun);
  return told;
}

async function askHere<Q extends Question>(
  question: Q,
  site: string,
  body: Body<Q>,
  signal?: AbortSignal,
): Promise<Outcome<Answer<Q>> | undefined> {
  const begun = performance.now();
  const told = await named<Answer<Q>>(QUESTIONS[question], body, () => gate.along?.filesOf(site), signal);
  if (told?.data) paces[question]?.tookHere(performance.now() - begun);
  return told;
}

/** Where the server is slower than it was: what this browser says; never anything where it cannot say it. */
async function askLate<Q extends Question>(question: Q, site: string, body: Body<Q>, signal?: AbortSignal) {
  await new Promise((resolve) => setTimeout(resolve, paces[question]?.patience));
  const told = local.isReady() && !signal?.aborted && (await askHere(question, site, body, signal));
  return told || new Promise<never>(() => undefined);
}

/** The core is loaded and answers a kind of question a few times for itself; from then on it is known how long it takes. */
async function warm<Q extends Question>(question: Q, site: string, body: Body<Q>) {
  if (warmed.has(question)) return;
  warmed.add(question);
  if (!(await local.begin())) {
    warmed.delete(question);
    return;
  }
  for (let i = 0; i < WARM_UPS; i++) await askHere(question, site, body);
}

/** What the core in this browser says; undefined where it cannot. */
async function named<A>(
  name: string,
  question: unknown,
  filesAtHand?: () => Promise<string | undefined> | undefined,
  signal?: AbortSignal,
  watching: Watching = {},
): Promise<Outcome<A> | undefined> {
  const asked = { name, question: JSON.stringify(question) };
  let told = await local.ask(asked, signal, watching);
  const files = told.missing === undefined ? undefined : await filesAtHand?.();
  if (files !== undefined) told = await local.ask({ ...asked, files }, signal, watching);
  if (told.answer !== undefined) return { data: told.answer as A };
  if (told.detail !== undefined) return { problem: refusal(told.pointer ?? '', told.detail) };
  // It failed, or something is not at hand here: the server has all of it. A failure is a fault of ours.
  if (told.failed !== undefined && !signal?.aborted && !watching.stop?.aborted)
    console.warn(`${name} failed here: ${told.failed}`);
  return undefined;
}

/** Asks the core in this browser what a server answers of itself, by its name there; undefined where the core is not here. */
export async function askOnlyHere<A>(
  name: string,
  question: unknown,
  files?: () => Promise<string | undefined>,
  watching?: Watching,
): Promise<Outcome<A> | undefined> {
  return (await local.begin()) ? named<A>(name, question, files, undefined, watching) : undefined;
}

/** Brings the core into this browser, for where there is no network. */
export const bringCore = () => local.begin();

/** A refusal as the server sends it. */
function refusal(pointer: string, detail: string) {
  return { type: 'urn:sparen:problem:invalid-field', status: 422, detail, errors: [{ pointer, detail }] };
}
