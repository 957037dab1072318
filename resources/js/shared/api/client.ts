import type { ZodMiniType } from 'zod/mini';
import { dropEarly, takeEarly } from './early';
import { readToken } from './token';
import { noteHeld } from '../lib/openable';

export interface FieldFault {
  path: string;
  message: string;
}

/** Why a call failed, in terms a screen can act on. */
type ApiErrorKind = 'offline' | 'signed-out' | 'invalid' | 'stale' | 'not-found' | 'refused' | 'away' | 'server' | 'contract';

export class ApiError extends Error {
  constructor(
    readonly kind: ApiErrorKind,
    message: string,
    readonly fields: FieldFault[] = [],
    /** Where something else has been kept meanwhile: what is answered otherwise, as it stands. */
    readonly current?: unknown,
  ) {
    super(message);
    this.name = 'ApiError';
  }
}

const kindOfStatus: Record<number, ApiErrorKind> = {
  401: 'signed-out',
  403: 'refused',
  404: 'not-found',
  412: 'stale',
  413: 'invalid',
  422: 'invalid',
  429: 'invalid',
  502: 'away',
  503: 'away',
  504: 'away',
};

/** How an answer is read: by a schema, or by one that is fetched once there is an answer. */
export type Reader<T> = ZodMiniType<T> | (() => Promise<ZodMiniType<T>>);

interface Call {
  method: 'GET' | 'POST' | 'PUT' | 'DELETE';
  body?: unknown;
  /** Sent as it stands, in place of a body: a file somebody chose. */
  text?: string;
  headers?: Record<string, string>;
  signal?: AbortSignal;
}

/** The description of the interface that this page was built on, in a few letters. */
export const contract = import.meta.env.VITE_CONTRACT ?? '';

/**
 * Whether the server holds to the very description this page was built on. Its answers are held to that by tests, so they are not checked
 * once more while a phone waits; a server or a held answer of another version is.
 */
const isOfThisContract = ({ headers }: Response): boolean => contract !== '' && headers.get('X-Contract') === contract;

/** Calls the server and reads the answer; throws an `ApiError` whatever goes wrong. */
export async function callApi<T>(path: string, reader: Reader<T>, call: Call): Promise<T> {
  let response = await send(path, call);
  if (response.status === 419) {
    // The sign-in was renewed elsewhere: a read brings the new token, then the write is tried once more.
    await send('/pulse', { method: 'GET' });
    response = await send(path, call);
  }
  const body = await readJson(response);
  if (body === undefined && response.ok && response.status !== 204)
    throw new ApiError('away', 'The server cannot be reached just now. What you entered is still here.');
  const read = async (what: unknown): Promise<{ success: true; data: T } | { success: false }> => {
    if (isOfThisContract(response)) return { success: true, data: what as T };
    return (typeof reader === 'function' ? await fetched(reader) : reader).safeParse(what);
  };
  if (!response.ok) throw await failure(response.status, body, read);
  const parsed = await read(body);
  if (!parsed.success) throw new ApiError('contract', 'The server answered in a way this page does not know. Load the page again.');
  return parsed.data;
}

export const getJson = <T>(path: string, reader: Reader<T>, signal?: AbortSignal): Promise<T> =>
  callApi(path, reader, signal ? { method: 'GET', signal } : { method: 'GET' });

async function fetched<T>(reader: () => Promise<ZodMiniType<T>>): Promise<ZodMiniType<T>> {
  try {
    return await reader();
  } catch {
    throw new ApiError('offline', 'No connection. What you entered is still here.');
  }
}

async function send(path: string, { method, body, text, headers, signal }: Call): Promise<Response> {
  const content = text ?? (body === undefined ? undefined : JSON.stringify(body));
  const early = takeEarly(method, path, content);
  if (method !== 'GET' && !early) dropEarly();
  try {
    const response = await (early ??
      fetch(`/api/v1${path}`, {
        method,
        credentials: 'same-origin',
        headers: {
          Accept: 'application/json',
          ...(content === undefined ? {} : { 'Content-Type': 'application/json' }),
          ...(method === 'GET' ? {} : { 'X-XSRF-TOKEN': readToken() }),
          ...headers,
        },
        ...(content === undefined ? {} : { body: content }),
        ...(signal ? { signal } : {}),
      }));
    noteHeld(response.headers.get('X-Held-Since') ?? undefined);
    return response;
  } catch (fault) {
    if (signal?.aborted) throw fault;
    throw new ApiError('offline', 'No connection. What you entered is still here.');
  }
}

async function readJson(response: Response): Promise<unknown> {
  try {
    return await response.json();
  } catch {
    return undefined;
  }
}

async function failure(status: number, body: unknown, read: (what: unknown) => Promise<{ success: boolean; data?: unknown }>): Promise<ApiError> {
  const problem = typeof body === 'object' && body !== null ? (body as Record<string, unknown>) : {};
  const detail =
    typeof problem.detail === 'string'
      ? problem.detail
      : status === 413
        ? 'That is more than can be taken at once.'
        : 'The server cannot be reached just now. What you entered is still here.';
  const fields = Array.isArray(problem.fields) ? (problem.fields as FieldFault[]) : [];
  return new ApiError(kindOfStatus[status] ?? 'server', detail, fields, problem.current === undefined ? undefined : (await read(problem.current)).data);
}

/** Takes the packs of the next sessions along, while there is a network. */
export async function takeAlong(sessionIds: number[]): Promise<boolean> {
  if (!('serviceWorker' in navigator)) return false;
  if (!navigator.serviceWorker.controller) throw new ApiError('away', 'Nothing keeps answers on this device yet.');
  for (const id of sessionIds)
    for (const path of [`/api/v1/sessions/${id}/run`, `/api/v1/sessions/${id}`]) {
      const { status } = await fetch(path, { headers: { Accept: 'application/json' } });
      if (status >= 500) throw new ApiError('away', 'The server cannot be reached just now.');
    }
  return true;
}
