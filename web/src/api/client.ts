import createClient, { type Middleware } from 'openapi-fetch';
import { takeEarly } from './early';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];

/** What went wrong, in words for the person; `status` 0 means the server could not be reached. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    detail: string,
    readonly field?: string,
  ) {
    super(detail);
  }
}

function token() {
  return document.cookie
    .split('; ')
    .find((c) => c.startsWith('XSRF-TOKEN='))
    ?.slice('XSRF-TOKEN='.length);
}

export function csrfHeader(): Record<string, string> {
  const value = token();
  return value ? { 'X-XSRF-TOKEN': value } : {};
}

const csrf: Middleware = {
  async onRequest({ request }) {
    if (request.method !== 'GET') {
      if (!token()) await fetch('/api/me');
      Object.entries(csrfHeader()).forEach(([k, v]) => request.headers.set(k, v));
    }
    return request;
  },
};

export const api = createClient<paths>({
  baseUrl: location.origin,
  // Looked up at each call, not once, so that tests can stand in for the network.
  fetch: (request) => takeEarly(request) ?? fetch(request),
});
api.use(csrf);

/** The data of an answer, or a {@link Problem}. */
export async function ask<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let result;
  try {
    result = await call;
  } catch {
    throw new Problem(0, "The server can't be reached just now. Check the network, then try again.");
  }
  if (!result.response.ok) {
    const body = (result.error ?? {}) as { detail?: string; field?: string };
    throw new Problem(result.response.status, body.detail ?? fallback(result.response.status), body.field);
  }
  return result.data as T;
}

/** Sends something past the typed interface; what it answers, or a {@link Problem}. */
export async function posted(path: string, type: string, body: BodyInit, signal?: AbortSignal): Promise<Response> {
  if (!token()) await fetch('/api/me');
  let response: Response;
  try {
    response = await fetch(path, { method: 'POST', headers: { 'Content-Type': type, ...csrfHeader() }, body, signal });
  } catch {
    throw new Problem(0, "The server can't be reached just now. Check the network, then try again.");
  }
  if (!response.ok) {
    const problem = (await response.json().catch(() => ({}))) as { detail?: string; field?: string };
    throw new Problem(response.status, problem.detail ?? fallback(response.status), problem.field);
  }
  return response;
}

/** A file that the server makes of something, or a {@link Problem}. */
export async function askFile(path: string, body: unknown): Promise<Blob> {
  return (await posted(path, 'application/json', JSON.stringify(body))).blob();
}

/** A file that the server has. */
export async function askBlob(path: string): Promise<Blob> {
  let response: Response;
  try {
    response = await fetch(path);
  } catch {
    throw new Problem(0, "The server can't be reached just now. Check the network, then try again.");
  }
  if (!response.ok) throw new Problem(response.status, fallback(response.status));
  return response.blob();
}

function fallback(status: number) {
  if (status === 401) return 'You are signed out. Sign in again to go on.';
  if (status === 403) return 'Your account may not do this.';
  if (status === 404) return 'There is nothing here for you.';
  return 'The server could not do this. Try again in a moment.';
}
