import { expect, it } from 'vitest';
import type { Outcome } from '../api/client';
import type { Watching } from '../engine/local';
import { RunsHere } from './runsHere';
import type { AskCore } from './views';

const asked: [string, unknown, string | undefined][] = [];
let finish: (outcome: Outcome<unknown> | undefined) => void = () => {};

let watching: Watching | undefined;
let isKept = true;

const askCore: AskCore = async <A>(
  name: string,
  question: unknown,
  files?: () => Promise<string | undefined>,
  watches?: Watching,
) => {
  asked.push([name, question, await files?.()]);
  if (name !== 'RUN' && !isKept) {
    const detail = 'the run is not kept here any more';
    return { problem: { type: '', status: 422, detail, errors: [{ pointer: '/id', detail }] } };
  }
  watching = watches;
  isKept = true;
  if (name !== 'RUN') return { data: { name } } as unknown as Outcome<A>;
  return new Promise<Outcome<A> | undefined>((done) => (finish = done as typeof finish));
};

const away = { answer: () => Promise.resolve(undefined) };
const runs = new RunsHere(
  askCore,
  () => 'liv',
  () => Promise.resolve('{}'),
);

async function reach(
  path: string,
  method = 'GET',
  body?: unknown,
  server = away as Parameters<typeof runs.reach>[3],
) {
  const request = new Request(`http://here${path}`, {
    method,
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  const response = await runs.reach(request, path, 'hut', server);
  return { status: response.status, said: (await response.json()) as { work: { id: string } } };
}

it('makes a run while the server is away, and looks into it as the server would', async () => {
  const begun = await reach('/api/season/hut/runs', 'POST', { days: 365 });
  expect(begun.status).toBe(202);
  const { id } = begun.said.work;
  expect((await reach(`/api/season/hut/work/${id}`)).said.work).toMatchObject({
    state: 'RUNNING',
    account: 'liv',
  });
  watching?.progress?.(0.25);
  expect((await reach(`/api/season/hut/work/${id}`)).said.work).toMatchObject({ progress: 0.25 });
  finish({ data: { verdict: [] } });
  await new Promise((resolve) => setTimeout(resolve));
  const done = await reach(`/api/season/hut/work/${id}?asked=true`);
  expect(done.said).toMatchObject({ work: { state: 'DONE' }, run: { verdict: [] }, request: { days: 365 } });
  expect(asked[0]).toEqual(['RUN', { id, run: { days: 365 } }, '{}']);
  // What is over is not cancelled any more.
  await reach(`/api/season/hut/work/${id}/cancel`, 'POST');
  expect((await reach(`/api/season/hut/work/${id}`)).said.work).toMatchObject({ state: 'DONE' });
  await reach(`/api/season/hut/runs/${id}/view?from=5&to=9&buckets=70&side=before`);
  await reach(`/api/season/hut/runs/${id}/events?from=5&to=9&most=20&subject=lamp`);
  await reach(`/api/season/hut/runs/${id}/events/3/chain`);
  expect(asked.slice(1).map(([name, question]) => [name, question])).toEqual([
    ['RUN_VIEW', { id, from: 5, to: 9, count: 70 }],
    ['RUN_EVENTS', { id, from: 5, to: 9, count: 20, subject: 'lamp' }],
    ['RUN_CHAIN', { id, from: 0, to: 3.2e8, count: 3 }],
  ]);
  // The core keeps few: one it has no longer is made once more, for all who look at once.
  isKept = false;
  asked.length = 0;
  const looks = ['view?buckets=7', 'events'].map((end) => reach(`/api/season/hut/runs/${id}/${end}`));
  await new Promise((resolve) => setTimeout(resolve));
  finish({ data: { verdict: [] } });
  expect((await Promise.all(looks)).map((one) => one.status)).toEqual([200, 200]);
  expect(asked.filter(([name]) => name === 'RUN')).toEqual([['RUN', { id, run: { days: 365 } }, '{}']]);
  // Once the server is back it does not know of it: what was made here is still answered here.
  const back = { answer: () => Promise.resolve(new Response('{}', { status: 404 })) };
  expect((await reach(`/api/season/hut/work/${id}`, 'GET', undefined, back)).said.work).toMatchObject({
    state: 'DONE',
  });
  expect((await reach('/api/season/hut/runs', 'POST', {}, back)).status).toBe(404);
});

it('says why a run could not be made, leaves one that was cancelled, and knows nothing of others', async () => {
  const one = await reach('/api/season/hut/runs', 'POST', {});
  const { id } = one.said.work;
  finish({ problem: { type: '', status: 422, detail: 'a level is missing' } });
  await new Promise((resolve) => setTimeout(resolve));
  expect((await reach(`/api/season/hut/work/${id}`)).said).toMatchObject({
    work: { state: 'FAILED' },
    message: 'a level is missing',
  });
  const other = (await reach('/api/season/hut/runs', 'POST', {})).said.work;
  expect(watching?.stop?.aborted).toBe(false);
  await reach(`/api/season/hut/work/${other.id}/cancel`, 'POST');
  expect(watching?.stop?.aborted).toBe(true);
  finish({ data: {} });
  await new Promise((resolve) => setTimeout(resolve));
  expect((await reach(`/api/season/hut/work/${other.id}`)).said.work).toMatchObject({ state: 'CANCELLED' });
  await expect(reach('/api/season/hut/work/unknown')).rejects.toThrow('without a network');
  await expect(reach('/api/season/hut/years', 'POST', {})).rejects.toThrow('without a network');
});
