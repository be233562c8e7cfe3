/**
 * Value of a piecewise linear curve, held flat beyond its ends.
 *
 * Units    those of the caller; `xs` rising, same length as `ys`.
 * Throws   nothing; an empty curve gives 0.
 * Findings none.
 * Source   textbook.
 *
 * @example
 * onCurve([0, 10], [0, 5], 4); // => 2
 */
export function onCurve(xs: readonly number[], ys: readonly number[], x: number): number {
  const last = xs.length - 1;
  if (last < 0) return 0;
  if (x <= xs[0]!) return ys[0]!;
  if (x >= xs[last]!) return ys[last]!;
  let i = 0;
  while (x > xs[i + 1]!) i++;
  return ys[i]! + ((ys[i + 1]! - ys[i]!) * (x - xs[i]!)) / (xs[i + 1]! - xs[i]!);
}

/**
 * First x at which a sampled series reaches `level`, from below or from above; Infinity when it never does.
 *
 * Units    those of the caller.
 * Throws   nothing.
 * Findings none.
 * Source   linear interpolation between samples.
 *
 * @example
 * firstReach([0, 1, 2], [0, 10, 20], 15, 'rising'); // => 1.5
 */
export function firstReach(xs: readonly number[], ys: readonly number[], level: number, way: 'rising' | 'falling'): number {
  const sign = way === 'rising' ? 1 : -1;
  for (let i = 0; i < xs.length; i++) {
    const now = sign * (ys[i]! - level);
    if (now < 0) continue;
    if (i === 0) return xs[0]!;
    const before = sign * (ys[i - 1]! - level);
    return xs[i - 1]! + ((xs[i]! - xs[i - 1]!) * before) / (before - now);
  }
  return Infinity;
}
