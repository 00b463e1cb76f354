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

/** What was measured, as it was read last: a page asks about the same files again and again. */
let files: { text: string; read: unknown } = { text: '', read: null };

function read(text: string | undefined): unknown {
  if (!text) return null;
  if (text !== files.text) files = { text, read: JSON.parse(text) };
  return files.read;
}

self.addEventListener('message', async ({ data }: MessageEvent<Asked>) => {
  try {
    const { answer } = await core;
    self.postMessage(answer(data.name, JSON.parse(data.question), read(data.files)));
  } catch (failure) {
    self.postMessage({ failed: String(failure) } satisfies Answered);
  }
});
