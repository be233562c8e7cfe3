/**
 * Input that no dough could have: thrown by the core, and by nothing else on purpose.
 * `path` is where the value stands in the formula, kitchen or pantry ('chill.thicknessMm', 'rows[2].amountG').
 */
export class InputError extends Error {
  constructor(
    readonly path: string,
    message: string,
    /** Where a limit was broken: for whoever says it in other units. */ readonly limit?: BrokenLimit,
  ) {
    super(message);
    this.name = 'InputError';
  }
}

/** A number that is out of its range, in the core's unit. */
export type BrokenLimit = { readonly low: number; readonly high: number; readonly got: number; readonly unit: string };
/** What is wrong, and where. */
export type Refusal = { readonly path: string; readonly message: string; readonly limit?: BrokenLimit };
/** What came of a question, or what of it was wrong: over a border (a worker, a thread) an error would lose its path. */
export type Reply<A> = { readonly ok: true; readonly answer: A } | { readonly ok: false; readonly refused: Refusal };

/**
 * An error of ours as a value that crosses a border.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * refusalOf(new InputError('chill.minutes', 'must be a number')); // => { path: 'chill.minutes', message: 'must be a number' }
 */
export const refusalOf = ({ path, message, limit }: InputError): Refusal => ({ path, message, ...(limit ? { limit } : {}) });

/**
 * Does something that may find its input wrong; anything but that ends in an error of ours.
 *
 * Units    none.
 * Throws   whatever is no InputError.
 * Findings none.
 * Source   none.
 *
 * @example
 * replyTo(() => within('a', 9, 0, 5, 'g')); // => { ok: false, refused: { path: 'a', message: 'must be from 0 to 5 g, got 9', limit: { low: 0, high: 5, got: 9, unit: 'g' } } }
 */
export function replyTo<A>(work: () => A): Reply<A> {
  try {
    return { ok: true, answer: work() };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { ok: false, refused: refusalOf(error) };
  }
}

/**
 * Returns the value when it is a finite number within [low, high].
 *
 * Units    none of its own: `unit` only words the message.
 * Throws   InputError at `path` for anything else: not a number, too small, too large.
 * Findings none.
 * Source   the limits are the caller's.
 *
 * @example
 * within('chill.thicknessMm', 12, 1, 200, 'mm'); // => 12
 */
export function within(path: string, value: number, low: number, high: number, unit: string): number {
  if (typeof value !== 'number' || !Number.isFinite(value)) throw new InputError(path, 'must be a number');
  if (value < low || value > high) {
    const limit = { low, high, got: value, unit };
    throw new InputError(path, `must be from ${low} to ${high} ${unit}, got ${Number(value.toPrecision(6))}`.trim(), limit);
  }
  return value;
}
