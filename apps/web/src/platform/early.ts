/** So long an answer may wait for the page that asked for it; what was not taken by then is old. */
const KEPT_MS = 10_000;

type Asked = {
  readonly answer: Promise<Response>;
  /** Stops it: an answer nobody reads keeps its connection open. */ readonly stop: () => void;
};

const asked = new Map<string, Asked>();

const drop = (path: string): void => {
  asked.get(path)?.stop();
  asked.delete(path);
};

/** What an answer says is wanted next. */
export type Next = (path: string, answer: unknown) => readonly string[];

/** Asks the server while the code that will want the answers is still being fetched. */
export function askEarly(paths: readonly string[], next?: Next): void {
  for (const path of paths) {
    const stopping = new AbortController();
    const answer = fetch(`/api${path}`, { signal: stopping.signal });
    asked.set(path, { answer, stop: () => stopping.abort() });
    answer
      .then(async (response) => {
        // Taken by then, and its page asks on by itself.
        if (next && response.ok && asked.has(path)) askEarly(next(path, await response.clone().json()));
      })
      // Whoever takes it hears that it failed; nobody may.
      .catch(() => undefined);
    setTimeout(() => drop(path), KEPT_MS);
  }
}

/** What was asked for early, once. */
export function takeEarly(path: string): Promise<Response> | undefined {
  const answer = asked.get(path)?.answer;
  asked.delete(path);
  return answer;
}

/** Something changed, so what was asked before is old. */
export const forgetEarly = (): void => [...asked.keys()].forEach(drop);
