import { readToken } from './token';

declare global {
  var askedEarly: Map<string, Promise<Response>> | undefined;
}

/**
 * Answers that were asked for before the application itself was here: each is given once, to whoever asks the same. On the page, as who
 * asks and who takes are built apart.
 */
const asked = (globalThis.askedEarly ??= new Map<string, Promise<Response>>());

/** As long as an answer counts as fresh everywhere. */
export const goodForMs = 15_000;

const nameOf = (method: string, path: string, content: string | undefined): string => `${method} ${path} ${content ?? ''}`;

/**
 * Asks for what the first view will ask for: reads it, or has it worked out of what is sent. Never throws; what failed before it was taken
 * is asked for again by the view.
 */
export function askEarly(path: string, sent?: object): Promise<Response | undefined> {
  const method = sent ? 'POST' : 'GET';
  const content = sent && JSON.stringify(sent);
  const answer = fetch(`/api/v1${path}`, {
    method,
    credentials: 'same-origin',
    headers: { Accept: 'application/json', ...(content ? { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': readToken() } : {}) },
    ...(content ? { body: content } : {}),
  });
  const name = nameOf(method, path, content);
  asked.set(name, answer);
  window.setTimeout(() => asked.delete(name), goodForMs);
  return answer.then(
    (response) => response.clone(),
    () => {
      asked.delete(name);
      return undefined;
    },
  );
}

export function takeEarly(method: string, path: string, content?: string): Promise<Response> | undefined {
  const name = nameOf(method, path, content);
  const answer = asked.get(name);
  asked.delete(name);
  return answer;
}

/** A write, and signing in above all, may change every answer. */
export const dropEarly = (): void => asked.clear();
