import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('../api/client', () => ({ cookie: () => 'a token' }));
const { Server } = await import('./server.svelte');

const request = (init: RequestInit = {}) => new Request('http://sparen/api/session', init);
const answers = (status: number) =>
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(null, { status })));
const breaks = () => vi.stubGlobal('fetch', () => Promise.reject(new TypeError('the line is broken')));

describe('the server, as far as it can be reached', () => {
  beforeEach(() => vi.stubGlobal('navigator', { onLine: true }));
  afterEach(() => vi.unstubAllGlobals());

  it.each([502, 503, 504])(
    'is away where something else answers %d for it, and back with its own answer',
    async (status) => {
      const server = new Server();
      answers(status);
      expect(await server.answer(request(), false)).toBeUndefined();
      expect(server.isAway).toBe(true);
      answers(401);
      expect((await server.answer(request(), false))?.status).toBe(401);
      expect(server.isAway).toBe(false);
    },
  );

  it('is not even asked where there is no network', async () => {
    vi.stubGlobal('navigator', { onLine: false });
    vi.stubGlobal('fetch', () => expect.fail('asked'));
    const server = new Server();
    expect(await server.answer(request(), true)).toBeUndefined();
    expect(server.isAway).toBe(true);
  });

  it('is away where the line breaks; who gave up asking hears of that instead', async () => {
    const server = new Server();
    breaks();
    expect(await server.answer(request(), false)).toBeUndefined();
    expect(server.isAway).toBe(true);
    const givenUp = AbortSignal.abort();
    await expect(server.answer(request({ signal: givenUp }), false)).rejects.toThrow('the line is broken');
  });

  it('is sent what waited with when that was made, and with the token of the page', async () => {
    let sent: Request | undefined;
    vi.stubGlobal('fetch', (one: Request) => {
      sent = one;
      return Promise.resolve(new Response('{}'));
    });
    await new Server().post(
      'http://sparen/api/sites/x/log',
      { says: 'seen' },
      'POST',
      '2026-11-30T08:00:00Z',
    );
    expect(sent?.headers.get('Sparen-Made-At')).toBe('2026-11-30T08:00:00Z');
    expect(sent?.headers.get('X-XSRF-TOKEN')).toBe('a token');
    expect(await sent?.text()).toBe('{"says":"seen"}');
  });
});
