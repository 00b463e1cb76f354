// The core, compiled for scripts, in a thread of its own: a question in, its answer out, one after the other.
import type { Answered, Asked } from './local';

interface Core {
  answer(name: string, question: unknown, files: unknown): Answered;
}

// Served beside the page, not built into it: it comes from the Java modules.
const core: Promise<Core> = import(/* @vite-ignore */ new URL('/engine/core.js', self.location.origin).href);

core.then(
  () => self.postMessage('ready'),
  () => self.postMessage('absent'),
);

self.addEventListener('message', async ({ data }: MessageEvent<Asked>) => {
  try {
    const { answer } = await core;
    self.postMessage(answer(data.name, JSON.parse(data.question), null));
  } catch (failure) {
    self.postMessage({ failed: String(failure) } satisfies Answered);
  }
});
