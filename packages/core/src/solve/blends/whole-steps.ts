import { InputError } from '../../errors.js';

/**
 * Shares as whole steps of a scale, their sum exact: largest remainder, ties to the first listed.
 *
 * Units    shares 0..1 summing to 1; batch and step in g.
 * Throws   InputError at batchG or stepG unless above 0, or when the batch is not a whole number of steps.
 * Findings none.
 * Source   largest-remainder method (Hamilton's).
 *
 * @example
 * wholeSteps([0.4996, 0.4954, 0.005], 500, 1); // => [250, 248, 2]
 */
export function wholeSteps(shares: readonly number[], batchG: number, stepG: number): number[] {
  if (!(stepG > 0)) throw new InputError('stepG', `must be above 0, got ${stepG}`);
  if (!(batchG > 0)) throw new InputError('batchG', `must be above 0, got ${batchG}`);
  const steps = Math.round(batchG / stepG);
  if (Math.abs(steps * stepG - batchG) > 1e-6 * batchG)
    throw new InputError('batchG', `must be a whole number of ${stepG} g steps, got ${batchG}`);
  const exact = shares.map((share) => share * steps);
  const whole = exact.map((value) => Math.floor(value + 1e-9));
  const left = steps - whole.reduce((sum, value) => sum + value, 0);
  const order = exact
    .map((value, i) => ({ i, rest: value - whole[i]! }))
    .sort((a, b) => (Math.abs(b.rest - a.rest) < 1e-9 ? a.i - b.i : b.rest - a.rest));
  for (let k = 0; k < left; k++) whole[order[k % order.length]!.i]!++;
  return whole.map((count) => Number((count * stepG).toFixed(6)));
}
