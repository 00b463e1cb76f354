import { expect, test } from 'vitest';
import { LocalCore, type Asked, type Thread } from './local';

/** A thread that does what the test says. */
class Told implements Thread {
  readonly asked: Asked[] = [];
  ended = false;
  private readonly listeners: Record<string, ((event: { data?: unknown }) => void)[]> = {};

  postMessage(message: unknown) {
    this.asked.push(message as Asked);
  }
  addEventListener(kind: string, listener: (event: { data?: unknown }) => void) {
    (this.listeners[kind] ??= []).push(listener);
  }
  terminate() {
    this.ended = true;
  }
  says(data: unknown, kind = 'message') {
    this.listeners[kind]?.forEach((listener) => listener({ data }));
  }
}

function loaded(): [LocalCore, Told] {
  const thread = new Told();
  const core = new LocalCore(() => thread);
  core.load();
  thread.says('ready');
  return [core, thread];
}

test('is asked one question at a time, and not what nobody waits for any more', async () => {
  const [core, thread] = loaded();
  const first = core.ask({ name: 'BENCH', question: '1' });
  const given = new AbortController();
  const second = core.ask({ name: 'BENCH', question: '2' }, given.signal);
  const third = core.ask({ name: 'BENCH', question: '3' });
  given.abort();
  expect(thread.asked.map((one) => one.question)).toEqual(['1']);
  thread.says({ answer: 'one' });
  thread.says({ answer: 'three' });
  expect(await first).toEqual({ answer: 'one' });
  expect((await second).answer).toBeUndefined();
  expect(await third).toEqual({ answer: 'three' });
  expect(thread.asked.map((one) => one.question)).toEqual(['1', '3']);
});

test('long work tells how far it is, and ends with its thread; what waits behind it is asked of the next', async () => {
  const threads = [new Told(), new Told()];
  let made = 0;
  const core = new LocalCore(() => threads[made++] as Told);
  core.load();
  threads[0]?.says('ready');
  const far: number[] = [];
  const stop = new AbortController();
  const year = core.ask({ name: 'RUN', question: '{}' }, undefined, {
    progress: (share) => far.push(share),
    stop: stop.signal,
  });
  const next = core.ask({ name: 'READING', question: '{}' });
  threads[0]?.says({ progress: 0.5 });
  stop.abort();
  threads[0]?.says({ answer: 'too late' });
  expect((await year).failed).toBeDefined();
  expect(far).toEqual([0.5]);
  expect(threads[0]?.ended).toBe(true);
  threads[1]?.says('ready');
  threads[1]?.says({ answer: 'read' });
  expect(await next).toEqual({ answer: 'read' });
  expect(threads[1]?.asked.map((one) => one.name)).toEqual(['READING']);
});

test('a thread that breaks fails what it was asked, and is made anew when it is wanted again', async () => {
  let made = 0;
  const threads = [new Told(), new Told(), new Told(), new Told()];
  const core = new LocalCore(() => threads[made++] as Told);
  core.load();
  core.load();
  expect(made).toBe(1);
  expect(core.isReady()).toBe(false);
  threads[0]?.says('ready');
  const lost = core.ask({ name: 'SEASON', question: '{}' });
  threads[0]?.says(undefined, 'error');
  expect((await lost).failed).toBeDefined();
  expect(core.isReady()).toBe(false);
  expect(threads[0]?.ended).toBe(true);
  core.load();
  threads[1]?.says('absent');
  expect(core.isReady(), 'a server without the core goes on being asked itself').toBe(false);
  core.load();
  threads[2]?.says('absent');
  core.load();
  expect(made, 'what does not come is not asked for with every question').toBe(3);
});
