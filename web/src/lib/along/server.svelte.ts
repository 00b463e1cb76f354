import { cookie } from '../api/client';

/** So long an answer is waited for where one is at hand already (ms). */
const PATIENCE = 15_000;
/** What says that the server itself is not there, though something answers. */
const NOBODY = [502, 503, 504];

/** The server, as far as it can be reached. */
export class Server {
  /** Whether it did not answer last. */
  isAway = $state(false);

  /** The server's answer; undefined where it gives none. */
  async answer(request: Request, isHurried: boolean): Promise<Response | undefined> {
    if (!navigator.onLine) {
      this.isAway = true;
      return undefined;
    }
    try {
      const patience = isHurried ? AbortSignal.timeout(PATIENCE) : undefined;
      const signal = patience ? AbortSignal.any([request.signal, patience]) : request.signal;
      const response = await fetch(request, { signal });
      if (NOBODY.includes(response.status)) {
        this.isAway = true;
        return undefined;
      }
      this.isAway = false;
      return response;
    } catch (failure) {
      // Whoever asked does not wait any more.
      if (request.signal.aborted) throw failure;
      this.isAway = true;
      return undefined;
    }
  }

  /** A request of its own, past all that waits; with when that was made, of what waited. */
  post(path: string, body: unknown, method = 'POST', madeAt?: string): Promise<Response | undefined> {
    const headers = {
      ...(madeAt && { 'Sparen-Made-At': madeAt }),
      'Content-Type': 'application/json',
      'X-XSRF-TOKEN': cookie('XSRF-TOKEN'),
    };
    const text = typeof body === 'string' ? body : JSON.stringify(body);
    return this.answer(
      new Request(path, { method, headers, ...(method === 'DELETE' ? {} : { body: text }) }),
      false,
    );
  }
}
