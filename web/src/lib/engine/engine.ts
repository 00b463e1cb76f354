import type { paths } from '../api/api';
import { gate } from '../along/gate.svelte';
import { api, outcome, type Outcome } from '../api/client';
import CoreWorker from './core.worker?worker';
import { LocalCore } from './local';

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

/**
 * Asks the core: the one in this browser where it is there, without a way to the server and back, else the server.
 * The first question is the page's own; with the second somebody works here, and the core is loaded.
 */
export async function ask<Q extends Question>(
  question: Q,
  site: string,
  body: Body<Q>,
  signal?: AbortSignal,
): Promise<Outcome<Answer<Q>>> {
  if (local.isReady()) {
    const told = await askHere(question, site, body, signal);
    if (told) return told;
  } else if (asked++ > 0 && typeof Worker !== 'undefined') {
    local.load();
  }
  const told = await outcome<Answer<Q>>(
    api.POST(question as never, { params: { path: { siteId: site } }, body, signal } as never) as never,
  );
  // Without the server what this browser has answers, as soon as it is there.
  const isAway = told.problem?.status === 0 && gate.along?.isTaken(site);
  return (isAway && (await local.begin()) && (await askHere(question, site, body, signal))) || told;
}

const askHere = <Q extends Question>(question: Q, site: string, body: Body<Q>, signal?: AbortSignal) =>
  named<Answer<Q>>(QUESTIONS[question], body, () => gate.along?.filesOf(site), signal);

/** What the core in this browser says; undefined where it cannot. */
async function named<A>(
  name: string,
  question: unknown,
  filesAtHand?: () => Promise<string | undefined> | undefined,
  signal?: AbortSignal,
): Promise<Outcome<A> | undefined> {
  const asked = { name, question: JSON.stringify(question) };
  let told = await local.ask(asked, signal);
  const files = told.missing === undefined ? undefined : await filesAtHand?.();
  if (files !== undefined) told = await local.ask({ ...asked, files }, signal);
  if (told.answer !== undefined) return { data: told.answer as A };
  if (told.detail !== undefined) return { problem: refusal(told.pointer ?? '', told.detail) };
  // It failed, or something is not at hand here: the server has all of it. A failure is a fault of ours.
  if (told.failed !== undefined && !signal?.aborted) console.warn(`${name} failed here: ${told.failed}`);
  return undefined;
}

/** Asks the core in this browser what a server answers of itself, by its name there; undefined where the core is not here. */
export async function askOnlyHere<A>(name: string, question: unknown): Promise<Outcome<A> | undefined> {
  return (await local.begin()) ? named<A>(name, question) : undefined;
}

/** Brings the core into this browser, for where there is no network. */
export const bringCore = () => local.begin();

/** A refusal as the server sends it. */
function refusal(pointer: string, detail: string) {
  return { type: 'urn:sparen:problem:invalid-field', status: 422, detail, errors: [{ pointer, detail }] };
}
