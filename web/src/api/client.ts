import createClient, { type Middleware } from 'openapi-fetch';
import { busy, reached } from './connection';
import { Problem } from './problem';
import type { components, paths } from './schema';

export { Problem };

export type Schemas = components['schemas'];

const RETRIES_MS = [300, 1000, 2500];
/** A busy database is asked again for about a minute; then the screen says so. */
const BUSY_TRIES = 20;

/** Tells the rest of the screen at once whether the server was reached. */
async function told(asked: Promise<Response>): Promise<Response> {
  try {
    const response = await asked;
    reached(true);
    return response;
  } catch (error) {
    // Who stops a request has not lost the server.
    if (!(error instanceof DOMException && error.name === 'AbortError')) {
      reached(false);
    }
    throw error;
  }
}

/** Waits as long as a busy server asks for, again and again; the request keeps its id, so nothing is done twice. */
async function patientFetch(request: Request): Promise<Response> {
  for (let tries = 0; ; tries++) {
    const response = await stubbornFetch(request.clone());
    const after = Number(response.headers.get('Retry-After'));
    if (response.status !== 503 || !after || tries >= BUSY_TRIES) {
      return response;
    }
    busy();
    await new Promise((resolve) => setTimeout(resolve, after * 1000));
    if (request.signal.aborted) {
      return response;
    }
  }
}

/** A lost connection is tried again; the request keeps its id, so nothing is done twice. */
async function stubbornFetch(request: Request): Promise<Response> {
  for (const wait of RETRIES_MS) {
    try {
      return await told(fetch(request.clone()));
    } catch (error) {
      if (request.signal.aborted) {
        throw error;
      }
      await new Promise((resolve) => setTimeout(resolve, wait));
    }
  }
  try {
    return await told(fetch(request));
  } catch {
    throw new Problem(
      0,
      'The shop’s server does not answer. Nothing is lost: try again when it is back.',
      [],
      [],
    );
  }
}

/** Works on plain http in the shop's own network too, where browsers keep randomUUID back. */
export function newRequestId(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) =>
    byte.toString(16).padStart(2, '0'),
  ).join('');
}

function csrfToken(): string {
  const cookie = document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='));
  return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : '';
}

const writes: Middleware = {
  onRequest({ request }) {
    if (request.method !== 'GET') {
      request.headers.set('X-XSRF-TOKEN', csrfToken());
      if (!request.headers.has('Idempotency-Key')) {
        request.headers.set('Idempotency-Key', newRequestId());
      }
    }
    return request;
  },
};

export const api = createClient<paths>({ baseUrl: window.location.origin, fetch: patientFetch });
api.use(writes);

type Outcome<T> = { data?: T; error?: unknown; response: Response };

/** The answer, or the problem thrown: for queries and mutations. What was merely done answers with nothing. */
export async function answer<T>(asked: Promise<Outcome<T>>): Promise<T> {
  const { data, error, response } = await asked;
  if (response.ok) {
    return data as T;
  }
  const problem = (error ?? {}) as {
    detail?: string;
    reasons?: string[];
    errors?: { field: string; message: string }[];
  };
  throw new Problem(
    response.status,
    problem.detail ?? `The server answered ${response.status}.`,
    problem.reasons ?? [],
    problem.errors ?? [],
  );
}

export function seen(version: number) {
  return { 'If-Match': `"${version}"` };
}
