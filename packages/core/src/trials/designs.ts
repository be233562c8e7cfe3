import { within } from '../errors.js';

/** Runs in coded units, -1 to 1; or shares that sum to one. */
export type Design = readonly (readonly number[])[];

/**
 * Two levels of each factor, all together, the first changing fastest (Yates' order).
 *
 * Units    coded, -1 and 1; a run a row.
 * Throws   InputError at factors out of 1..10.
 * Findings none.
 * Source   definition.
 */
export function fullFactorial(factors: number): number[][] {
  within('factors', factors, 1, 10, 'factors');
  return Array.from({ length: 2 ** factors }, (_, run) => Array.from({ length: factors }, (__, j) => (run & (1 << j) ? 1 : -1)));
}

/**
 * Part of a full factorial: each further factor is the product of some of the first.
 *
 * Units    coded.
 * Throws   InputError at factors out of 1..10.
 * Findings none.
 * Source   definition; generators [[0, 1]] for three factors is C = AB.
 */
export function fractionalFactorial(factors: number, generators: readonly (readonly number[])[]): Design {
  return fullFactorial(factors - generators.length).map((run) => [
    ...run,
    ...generators.map((of) => of.reduce((sign, j) => sign * run[j]!, 1)),
  ]);
}

/**
 * Middles of the edges of a cube, and its centre so many times.
 *
 * Units    coded; a run a row.
 * Throws   nothing.
 * Findings none.
 * Source   Box and Behnken 1960, NIST/SEMATECH e-Handbook 5.3.3.6.2, from memory.
 */
export function boxBehnken(factors: 3 | 4, centre: number): Design {
  const pairs = Array.from({ length: factors }, (_, i) => i).flatMap((i) =>
    Array.from({ length: factors - i - 1 }, (_, k) => [i, i + 1 + k] as const),
  );
  const edges = pairs.flatMap(
    ([i, j]) =>
    [[-1, -1], [1, -1], [-1, 1], [1, 1]].map(([a, b]) => Array.from({ length: factors }, (_, k) => (k === i ? a! : k === j ? b! : 0))), // prettier-ignore
  );
  return [...edges, ...Array.from({ length: centre }, () => Array.from({ length: factors }, () => 0))];
}

/**
 * How far out the star points of a central composite design lie, so that its spread is the same all round.
 *
 * Units    coded.
 * Throws   nothing.
 * Findings none.
 * Source   fourth root of the number of factorial runs.
 */
export const rotatableAlpha = (factors: number): number => 2 ** (factors / 4);

/**
 * Shares in steps of 1/m that sum to one: for blends, whose shares cannot move alone.
 *
 * Units    shares 0..1; a run a row.
 * Throws   nothing.
 * Findings none.
 * Source   Scheffe 1958, definition.
 */
export function simplexLattice(parts: number, m: number): Design {
  const fill = (left: number, places: number): number[][] =>
    places === 1
      ? [[left / m]]
      : Array.from({ length: left + 1 }, (_, k) => fill(left - k, places - 1).map((rest) => [k / m, ...rest])).flat();
  return fill(m, parts);
}
