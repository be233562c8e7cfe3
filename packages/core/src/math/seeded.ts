/**
 * Chance that can be repeated: numbers from 0 to 1, the same for the same seed.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   mulberry32, public domain; 2^32 numbers before it repeats.
 */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = state;
    mixed = Math.imul(mixed ^ (mixed >>> 15), mixed | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** A normal deviate from two of them (Box and Muller 1958). */
export const normalFrom = (next: () => number): number => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
