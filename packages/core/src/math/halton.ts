import { normalQuantile } from './normal.js';

const BASES = [2, 3, 5, 7, 11, 13, 17, 19] as const;

/**
 * Point `index` of the Halton sequence, as standard normal deviates.
 *
 * Units    index from 0; up to 8 dimensions.
 * Throws   nothing.
 * Findings none.
 * Source   Halton 1960; one prime base a dimension.
 */
export function haltonNormal(index: number, dimensions: number): number[] {
  return BASES.slice(0, dimensions).map((base) => normalQuantile(radicalInverse(index + 1, base)));
}

/** The digits of an index mirrored behind the point, in a base: 6 in base 2 is 110, so 0.011 = 3/8. */
export function radicalInverse(index: number, base: number): number {
  let share = 1;
  let sum = 0;
  for (let i = index; i > 0; i = Math.floor(i / base)) {
    share /= base;
    sum += share * (i % base);
  }
  return sum;
}
