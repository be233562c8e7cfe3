/** Normal distribution function; Abramowitz & Stegun 26.2.17, absolute error below 7.5e-8 (published). */
export function normalBelow(z: number): number {
  if (z === Infinity) return 1;
  if (z === -Infinity) return 0;
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const poly = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const upper = (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * poly;
  return z >= 0 ? 1 - upper : upper;
}

const A = [-39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239];
const B = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572];
const C = [-0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968, 2.938163982698783];
const D = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416];
const TAIL = 0.02425;
const along = (of: readonly number[], x: number) => of.reduce((sum, c) => sum * x + c, 0);

/**
 * The deviate that a standard normal is below with a given probability.
 *
 * Units    probability strictly between 0 and 1.
 * Throws   nothing.
 * Findings none.
 * Source   Acklam's rational approximation (relative error under 1.2e-9), from memory; checked against tabulated quantiles.
 *
 * @example
 * normalQuantile(0.975); // => 1.95996
 */
export function normalQuantile(probability: number): number {
  if (probability < TAIL) {
    const q = Math.sqrt(-2 * Math.log(probability));
    return along(C, q) / (along(D, q) * q + 1);
  }
  if (probability > 1 - TAIL) return -normalQuantile(1 - probability);
  const q = probability - 0.5;
  const r = q * q;
  return (along(A, r) * q) / (along(B, r) * r + 1);
}
