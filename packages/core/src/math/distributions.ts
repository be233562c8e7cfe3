/** Lanczos, g = 7, n = 9: relative error under 1e-14 (coefficients as commonly published, from memory). */
const LANCZOS = [
  0.9999999999998099, 676.5203681218851, -1259.1392167224028, 771.3234287776531, -176.6150291621406, 12.507343278686905,
  -0.13857109526572012, 9.984369578019572e-6, 1.5056327351493116e-7,
];

/** Logarithm of the gamma function, x > 0. */
export function lnGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - lnGamma(1 - x);
  const t = x + 6.5;
  const sum = LANCZOS.reduce((total, c, i) => total + (i === 0 ? c : c / (x - 1 + i)), 0);
  return 0.5 * Math.log(2 * Math.PI) + (x - 0.5) * Math.log(t) - t + Math.log(sum);
}

/**
 * Regularised incomplete beta function I_x(a, b).
 *
 * Units    none; x in 0..1, a and b above 0.
 * Throws   nothing.
 * Findings none.
 * Source   continued fraction by Lentz' method (Abramowitz & Stegun 26.5.8); checked against tabulated t and F quantiles.
 */
export function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  if (x > (a + 1) / (a + b + 2)) return 1 - incompleteBeta(1 - x, b, a);
  const front = Math.exp(lnGamma(a + b) - lnGamma(a) - lnGamma(b) + a * Math.log(x) + b * Math.log(1 - x)) / a;
  const TINY = 1e-300;
  const away = (value: number) => (Math.abs(value) < TINY ? TINY : value);
  let c = 1;
  let d = 1 / away(1 - ((a + b) * x) / (a + 1));
  let fraction = d;
  for (let m = 1; m < 500; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / away(1 + even * d);
    c = away(1 + even / c);
    fraction *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / away(1 + odd * d);
    c = away(1 + odd / c);
    const by = d * c;
    fraction *= by;
    if (Math.abs(by - 1) < 1e-16) break;
  }
  return front * fraction;
}

/**
 * Student's t: probability below t.
 *
 * Units    none; `df` degrees of freedom, above 0.
 * Throws   nothing.
 * Findings none.
 * Source   incompleteBeta (Abramowitz & Stegun 26.7.1).
 */
export function tBelow(t: number, df: number): number {
  const tail = 0.5 * incompleteBeta(df / (df + t * t), df / 2, 0.5);
  return t > 0 ? 1 - tail : tail;
}

/**
 * The t below which a share p lies.
 *
 * Units    share strictly between 0 and 1.
 * Throws   nothing.
 * Findings none.
 * Source   bisection of tBelow; checked against a handbook table.
 */
export function tQuantile(p: number, df: number): number {
  if (p < 0.5) return -tQuantile(1 - p, df);
  let [low, high] = [0, 1];
  while (tBelow(high, df) < p) high *= 2;
  for (let i = 0; i < 200 && high - low > 1e-15 * high; i++) {
    const middle = (low + high) / 2;
    if (tBelow(middle, df) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * Share of an F distribution above f.
 *
 * Units    none; d1 and d2 degrees of freedom.
 * Throws   nothing.
 * Findings none.
 * Source   incompleteBeta (Abramowitz & Stegun 26.6.2).
 */
export const fAbove = (f: number, d1: number, d2: number): number => incompleteBeta(d2 / (d2 + d1 * f), d2 / 2, d1 / 2);

/**
 * Probability of k or more of n, each with chance p.
 *
 * Units    counts; chance 0..1.
 * Throws   nothing.
 * Findings none.
 * Source   incompleteBeta (Abramowitz & Stegun 26.5.24): exact.
 */
export function binomialAtLeast(k: number, n: number, p: number): number {
  if (k <= 0) return 1;
  if (k > n) return 0;
  return incompleteBeta(p, k, n - k + 1);
}
