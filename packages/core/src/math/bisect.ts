/**
 * Root of a rising function between two ends, by halving.
 *
 * Units    those of the caller. Sixty halvings narrow any bracket below rounding.
 * Throws   nothing. Where the function does not change sign the nearer end is returned.
 * Findings none.
 * Source   textbook bisection.
 *
 * @example
 * risingRoot((x) => x * x - 2, 0, 2); // => 1.41421356...
 */
export function risingRoot(f: (x: number) => number, low: number, high: number, halvings = 60): number {
  let a = low;
  let b = high;
  for (let i = 0; i < halvings; i++) {
    const middle = 0.5 * (a + b);
    if (f(middle) < 0) a = middle;
    else b = middle;
  }
  return 0.5 * (a + b);
}
