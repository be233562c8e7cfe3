/** So long an answer may wait for the page that asked for it; what was not taken by then is old. */
const KEPT_MS = 5000;

const asked = new Map<string, Promise<Response>>();

/** Asks the server while the code that will want the answers is still being fetched. */
export function askEarly(paths: readonly string[]): void {
  for (const path of paths) {
    const answer = fetch(`/api${path}`);
    // Whoever takes it hears that it failed; nobody may.
    answer.catch(() => undefined);
    asked.set(path, answer);
    setTimeout(() => asked.delete(path), KEPT_MS);
  }
}

/** What was asked for early, once. */
export function takeEarly(path: string): Promise<Response> | undefined {
  const answer = asked.get(path);
  asked.delete(path);
  return answer;
}

/** Something changed, so what was asked before is old. */
export const forgetEarly = (): void => asked.clear();
