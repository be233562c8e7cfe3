/** So long an answer may wait for the page that asked for it; what was not taken by then is old. */
const KEPT_MS = 5000;

type Asked = {
  readonly answer: Promise<Response>;
  /** Stops it: an answer nobody reads keeps its connection open. */ readonly stop: () => void;
};

const asked = new Map<string, Asked>();

const drop = (path: string): void => {
  asked.get(path)?.stop();
  asked.delete(path);
};

/** Asks the server while the code that will want the answers is still being fetched. */
export function askEarly(paths: readonly string[]): void {
  for (const path of paths) {
    const stopping = new AbortController();
    const answer = fetch(`/api${path}`, { signal: stopping.signal });
    // Whoever takes it hears that it failed; nobody may.
    answer.catch(() => undefined);
    asked.set(path, { answer, stop: () => stopping.abort() });
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
