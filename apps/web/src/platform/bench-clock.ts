/**
 * The time of the bench: the server's, carried on by the browser's steady counter. Setting the tablet's clock in the middle of a run
 * moves nothing; what is measured in minutes stays minutes.
 */
const KEY = 'north-leaf-clock';
/** Answers are stamped in whole seconds: less than this is no news. */
const NEWS_MS = 1500;

let anchor = Date.now() + storedOffset();
let anchoredAt = performance.now();
let wallAt = Date.now();

export const benchNow = (): number => anchor + (performance.now() - anchoredAt);
export const benchIso = (): string => new Date(benchNow()).toISOString();

/** What the server says it is. */
export function heardServerTime(header: string | null): void {
  const at = header === null ? NaN : Date.parse(header);
  if (!Number.isFinite(at) || Math.abs(at - benchNow()) < NEWS_MS) return;
  moveTo(at);
  try {
    localStorage.setItem(KEY, String(at - Date.now()));
  } catch {
    // A browser that keeps nothing asks again at the next answer.
  }
}

/** A counter may stand still while the device sleeps: then its clock knows better, until the server is heard again. */
export function woke(): void {
  const slept = Date.now() - wallAt - (performance.now() - anchoredAt);
  if (slept > NEWS_MS && slept < 86_400_000) moveTo(benchNow() + slept);
}

function moveTo(at: number): void {
  anchor = at;
  anchoredAt = performance.now();
  wallAt = Date.now();
}

function storedOffset(): number {
  try {
    return Number(localStorage.getItem(KEY)) || 0;
  } catch {
    return 0;
  }
}
