import { expect, it, vi } from 'vitest';

const asked: { name: string; files?: string }[] = [];

// A core that wants to see what was measured before it answers.
vi.mock('./core.worker?worker', () => ({
  default: class {
    private listen: (event: { data: unknown }) => void = () => undefined;
    addEventListener(kind: string, listener: (event: { data: unknown }) => void) {
      if (kind !== 'message') return;
      this.listen = listener;
      queueMicrotask(() => listener({ data: 'ready' }));
    }
    postMessage(message: { name: string; files?: string }) {
      asked.push(message);
      const data = message.files ? { answer: { sentences: 2 } } : { missing: 'the profile p-1' };
      queueMicrotask(() => this.listen({ data }));
    }
    terminate() {}
  },
}));

const files = '{"profiles":{"p-1":{}},"weather":{}}';
vi.mock('../along/gate.svelte', () => ({
  gate: {
    along: {
      isTaken: (site: string) => site === 'kvarno',
      filesOf: (site: string) => Promise.resolve(site === 'kvarno' ? files : undefined),
    },
    reach: () => Promise.reject(new TypeError('away')),
  },
}));

it('answers without a network also what names a profile: with what was measured, as it was taken along', async () => {
  vi.stubGlobal('document', { cookie: '' });
  const Native = Request;
  vi.stubGlobal(
    'Request',
    class extends Native {
      constructor(input: string, init?: RequestInit) {
        super(`http://localhost${input}`, init);
      }
    },
  );
  const { ask } = await import('./engine');
  const plan = { site: {}, program: {} } as never;
  expect((await ask('/api/reading/{siteId}', 'kvarno', plan)).data).toEqual({ sentences: 2 });
  expect(asked.map((one) => [one.name, one.files])).toEqual([
    ['READING', undefined],
    ['READING', files],
  ]);
  const elsewhere = await ask('/api/reading/{siteId}', 'skarvholm', plan);
  expect(elsewhere.problem?.status, 'nothing of it was taken along').toBe(0);
});
