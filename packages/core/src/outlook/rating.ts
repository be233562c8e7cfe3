import { within } from '../errors.js';

/**
 * A five-dot rating on the Outlook's scale.
 *
 * Units    dots 1..5 in, points 0..10 out.
 * Throws   InputError at `path` unless the dots are 1 to 5.
 * Findings none.
 * Source   points = 2.5 (dots - 1), our own scale.
 *
 * @example
 * outlookFromRating('crisp', 5); // => 10
 */
export function outlookFromRating(path: string, dots: number): number {
  return 2.5 * (within(path, dots, 1, 5, 'dots') - 1);
}
