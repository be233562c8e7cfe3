/**
 * Quantile of a list, between its sorted values.
 *
 * Units    those of the caller; share 0..1.
 * Throws   nothing; an empty list gives NaN.
 * Findings none.
 * Source   linear interpolation between order statistics (Hyndman & Fan 1996, type 7).
 *
 * @example
 * quantile([10, 20, 30], 0.25); // => 15
 */
export function quantile(values: readonly number[], share: number): number {
  if (values.length === 0) return NaN;
  const sorted = [...values].sort((a, b) => a - b);
  const x = share * (sorted.length - 1);
  const i = Math.floor(x);
  const low = sorted[i]!;
  const high = sorted[Math.min(sorted.length - 1, i + 1)]!;
  return low === high ? low : low + (x - i) * (high - low);
}
