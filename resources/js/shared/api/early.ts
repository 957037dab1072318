/** Answers that were asked for before the application itself was here: each is given once, to whoever asks the same. */
const asked = new Map<string, Promise<Response>>();

/** As long as an answer counts as fresh everywhere. */
const goodForMs = 15_000;

/** Asks for what the first view will ask for. Never throws; what failed before it was taken is asked for again by the view. */
export function askEarly(path: string): Promise<Response | undefined> {
  const answer = fetch(`/api/v1${path}`, { credentials: 'same-origin', headers: { Accept: 'application/json' } });
  asked.set(path, answer);
  window.setTimeout(() => asked.delete(path), goodForMs);
  return answer.then(
    (response) => response.clone(),
    () => {
      asked.delete(path);
      return undefined;
    },
  );
}

export function takeEarly(path: string): Promise<Response> | undefined {
  const answer = asked.get(path);
  asked.delete(path);
  return answer;
}

/** A write, and signing in above all, may change every answer. */
export const dropEarly = (): void => asked.clear();
