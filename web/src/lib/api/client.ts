import createClient, { type Middleware } from 'openapi-fetch';
import { gate } from '../along/gate.svelte';
import type { paths } from './api';

/** A field the server refused: where it is in what was sent, and why. */
export interface FieldError {
  pointer: string;
  detail: string;
}

/** Problem details (RFC 9457) as the server sends them, or made here when it did not answer. */
export interface Problem {
  type: string;
  status: number;
  detail: string;
  errors?: FieldError[];
  [member: string]: unknown;
}

/** The outcome of a call: never both. */
export type Outcome<T> = { data: T; problem?: undefined } | { data?: undefined; problem: Problem };

/** Of this page, as the server set it; empty where it did not. */
export function cookie(name: string): string {
  const found = document.cookie.split('; ').find((part) => part.startsWith(`${name}=`));
  return found ? decodeURIComponent(found.slice(name.length + 1)) : '';
}

const forgery: Middleware = {
  onRequest({ request }) {
    if (request.method !== 'GET') request.headers.set('X-XSRF-TOKEN', cookie('XSRF-TOKEN'));
    return request;
  },
};

export const api = createClient<paths>({ baseUrl: '/', fetch: (request) => gate.reach(request) });
api.use(forgery);

let signedOut: () => void = () => {};

/** Says what is to happen when the server no longer knows who is there. */
export function whenSignedOut(act: () => void) {
  signedOut = act;
}

/** Awaits a call of {@link api} and turns every kind of failure into a problem. */
export async function outcome<T>(
  call: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<Outcome<T>> {
  try {
    const { data, error, response } = await call;
    if (response.ok) return { data: data as T };
    if (response.status === 401) signedOut();
    const problem = (error ?? {}) as Partial<Problem>;
    return {
      problem: {
        ...problem,
        type: problem.type ?? 'about:blank',
        status: response.status,
        detail: problem.detail ?? `The server answered ${response.status}.`,
      },
    };
  } catch (failure) {
    if (failure instanceof DOMException && failure.name === 'AbortError') throw failure;
    return {
      problem: {
        type: 'urn:sparen:problem:no-answer',
        status: 0,
        detail: 'Sparen does not answer. Nothing is lost here; check that it runs, then try again.',
      },
    };
  }
}
