import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { binomialAtLeast, fAbove, incompleteBeta, lnGamma, tQuantile } from '../math/distributions.js';
import { leastSquares } from '../math/least-squares.js';
import { seeded } from '../math/seeded.js';
import { boxBehnken, fractionalFactorial, fullFactorial, rotatableAlpha, simplexLattice } from '../trials/designs.js';
import { expectedImprovement, quadraticSurface } from '../trials/surface.js';
import { blindSheet, chanceOf, criticalRight, power, tastersNeeded } from '../trials/tasting.js';

type Case = {
  id: string;
  fn: string;
  input: Record<string, never>;
  expect: Record<string, never>;
  tol: Record<string, number>;
  how: string;
};
const cases = JSON.parse(readFileSync(join(__dirname, 'trial-cases.json'), 'utf8')) as Case[];
const digits = (value: number, certified: number) =>
  value === certified ? 16 : -Math.log10(Math.abs(value - certified) / Math.abs(certified));
const near = (value: number, wanted: number, rel = 1e-9, abs = 0) =>
  expect(Math.abs(value - wanted)).toBeLessThanOrEqual(Math.abs(wanted) * rel + abs);
const sorted = (runs: readonly (readonly number[])[]) => runs.map((run) => run.map((x) => Number(x.toFixed(12)) + 0).join()).sort();

const checks: Record<string, (one: Case) => void> = {
  'trials.ols': ({ input, expect: wanted, tol }) => {
    const { X, y } = input as unknown as { X: number[][]; y: number[] };
    const { beta, se, s } = leastSquares(X, y);
    const { beta: b, se: e, s: sd } = wanted as unknown as { beta: number[]; se: number[]; s: number };
    for (const [i, one] of b.entries()) expect(digits(beta[i]!, one)).toBeGreaterThanOrEqual(tol['digits']!);
    for (const [i, one] of e.entries()) expect(digits(se[i]!, one)).toBeGreaterThanOrEqual(tol['digits']!);
    expect(digits(s, sd)).toBeGreaterThanOrEqual(tol['digits']!);
  },
  'taste.critical': ({ input, expect: wanted }) => {
    const { n } = input as unknown as { n: number };
    for (const [alpha, k] of Object.entries(wanted)) expect(criticalRight('triangle', n, Number(alpha))).toBe(k);
  },
  'taste.pairedCritical': ({ input, expect: wanted }) => {
    const { n, sides, alpha } = input as unknown as { n: number; sides: 'one' | 'two'; alpha: number };
    expect(criticalRight('paired', n, alpha, sides)).toBe(wanted['k']);
  },
  'taste.power': ({ input, expect: wanted, tol }) => {
    const { n, p1, alpha } = input as unknown as { n: number; p1: number; alpha: number };
    const found = power('triangle', n, p1, alpha);
    expect(found.critical).toBe(wanted['critical']);
    near(found.power, wanted['power']!, tol['rel']);
  },
  'design.boxBehnken': ({ input, expect: wanted }) =>
    expect(sorted(boxBehnken(3, (input as unknown as { centre: number }).centre))).toEqual(sorted(wanted['runs']!)),
  'design.ccdAlpha': ({ expect: wanted, tol }) => near(rotatableAlpha(3), wanted['rotatable']!, tol['rel']),
  'design.fractional': ({ input, expect: wanted }) => {
    const { k, generators } = input as unknown as { k: number; generators: number[][] };
    expect(sorted(fractionalFactorial(k, generators))).toEqual(sorted(wanted['runs']!));
  },
  'design.simplexLattice': ({ input, expect: wanted }) => {
    const { q, m } = input as unknown as { q: number; m: number };
    expect(sorted(simplexLattice(q, m))).toEqual(sorted(wanted['runs']!));
  },
  'trials.quadratic': ({ input, expect: wanted, tol }) => {
    const { X, y, at } = input as unknown as { X: number[][]; y: number[]; at: number[] };
    const w = wanted as unknown as {
      beta: number[];
      s: number;
      df: number;
      lackF: number;
      lackP: number;
      stationary: number[];
      eig: number[];
      predict: { y: number; lo: number; hi: number };
    };
    const surface = quadraticSurface(X, y);
    const rel = tol['rel'];
    w.beta.forEach((one, i) => near(surface.beta[i]!, one, rel, 1e-9));
    near(surface.s, w.s, rel);
    expect(surface.df).toBe(w.df);
    near(surface.lackOfFit!.f, w.lackF, rel);
    near(surface.lackOfFit!.p, w.lackP, rel);
    w.stationary.forEach((one, i) => near(surface.stationary[i]!, one, rel));
    w.eig.forEach((one, i) => near(surface.eigenvalues[i]!, one, rel));
    const { y: value, low, high } = surface.at(at);
    near(value, w.predict.y, rel);
    near(low, w.predict.lo, rel);
    near(high, w.predict.hi, rel);
  },
  'trials.expectedImprovement': ({ input, expect: wanted, tol }) => {
    const { mu, sd, best } = input as unknown as { mu: number; sd: number; best: number };
    near(expectedImprovement(mu, sd, best), wanted['ei']!, tol['rel'], tol['abs']);
  },
  'dist.tQuantile': ({ input, expect: wanted, tol }) => {
    const { p, df } = input as unknown as { p: number; df: number };
    near(tQuantile(p, df), wanted['q']!, tol['rel']);
  },
  'dist.fSf': ({ input, expect: wanted, tol }) => {
    const { f, d1, d2 } = input as unknown as { f: number; d1: number; d2: number };
    near(fAbove(f, d1, d2), wanted['p']!, tol['rel']);
  },
};

describe('trial check cases', () => {
  it.each(cases.map((one) => [`${one.id} ${one.fn} (${one.how})`, one] as const))('%s', (_title, one) => {
    expect(checks[one.fn]).toBeDefined();
    checks[one.fn]!(one);
  });
});

describe('NIST Statistical Reference Datasets', () => {
  // Wampler1 and 2: y is a polynomial of x = 0..20 without error, certified coefficients 1 and 10^-i (NIST StRD, exact by definition).
  const x = Array.from({ length: 21 }, (_, i) => i);
  const poly = (coefficient: (power: number) => number) =>
    x.map((one) => [0, 1, 2, 3, 4, 5].reduce((sum, power) => sum + coefficient(power) * one ** power, 0));
  const X = x.map((one) => [0, 1, 2, 3, 4, 5].map((power) => one ** power));
  it.each([
    ['Wampler1', () => 1, 8],
    ['Wampler2', (power: number) => 10 ** -power, 9],
  ] as const)('%s: at least so many correct digits', (_name, of, least) => {
    const { beta } = leastSquares(X, poly(of));
    beta.forEach((one, power) => expect(digits(one, of(power))).toBeGreaterThanOrEqual(least));
  });
  it('a term that the others hold is named, not guessed', () => {
    expect(() => leastSquares([[1, 2, 3], [1, 4, 5], [1, 6, 7], [1, 8, 9]], [1, 2, 3, 4])).toThrow(/term 2 cannot be told/); // prettier-ignore
    expect(() => leastSquares([[1, 2]], [1])).toThrow(/at least as many/);
  });
});

describe('distributions against handbook tables', () => {
  // Student's t, one-sided 0.975 (Fisher and Yates' table, from memory).
  it.each([[1, 12.706], [2, 4.303], [5, 2.571], [10, 2.228], [30, 2.042]])('t with %d degrees', (df, t) => expect(tQuantile(0.975, df)).toBeCloseTo(t, 3)); // prettier-ignore
  // F, upper 5 % (from memory).
  it.each([[161.45, 1, 1], [4.1, 2, 10], [2.71, 5, 20]])('F %d of %d and %d', (f, d1, d2) => expect(fAbove(f, d1, d2)).toBeCloseTo(0.05, 3)); // prettier-ignore
  it('gamma of whole numbers is a factorial', () => {
    expect(Math.exp(lnGamma(6))).toBeCloseTo(120, 9);
    expect(Math.exp(lnGamma(0.5))).toBeCloseTo(Math.sqrt(Math.PI), 12);
  });
  it('the incomplete beta function is symmetric, and a binomial tail by adding', () => {
    for (const v of [0.1, 0.4, 0.8]) expect(incompleteBeta(v, 2.5, 4) + incompleteBeta(1 - v, 4, 2.5)).toBeCloseTo(1, 12);
    // 7 or more of 10 by a coin: (120 + 45 + 10 + 1) / 1024.
    expect(binomialAtLeast(7, 10, 0.5)).toBeCloseTo(176 / 1024, 12);
  });
});

describe('blind tasting', () => {
  // ISO 4120 triangle test, table of minimum correct answers, from memory: 5 %.
  it.each([[6, 5], [12, 8], [18, 10], [24, 13], [30, 15], [36, 18], [48, 22], [60, 27]])('%d tasters need %d right', (n, k) => expect(criticalRight('triangle', n, 0.05)).toBe(k)); // prettier-ignore
  it('six tasters never reach one in a thousand: no number is named', () => expect(criticalRight('triangle', 6, 0.001)).toBeNull());
  it('tasters needed for half and for a third who can tell (exact, power 0.8)', () => {
    expect(tastersNeeded('triangle', 0.5, 0.05, 0.8)).toBe(16);
    expect(tastersNeeded('triangle', 0.3, 0.05, 0.8)).toBe(42);
  });
  it('a chance is a tail: less for more right, and two-sided never less than one-sided', () => {
    expect(chanceOf('triangle', 9, 12)).toBeLessThan(chanceOf('triangle', 8, 12));
    expect(chanceOf('paired', 9, 12, 'two')).toBeCloseTo(2 * chanceOf('paired', 9, 12), 12);
    expect(chanceOf('paired', 6, 12, 'two')).toBe(1);
  });
  it('a sheet shows every order equally often, under numbers that never repeat', () => {
    const sheet = blindSheet('triangle', 12, seeded(4));
    const orders = sheet.map(({ cups }) => cups.map(({ is }) => is).join(''));
    expect(new Set(orders).size).toBe(6);
    for (const order of new Set(orders)) expect(orders.filter((one) => one === order)).toHaveLength(2);
    const codes = sheet.flatMap(({ cups }) => cups.map(({ code }) => code));
    expect(new Set(codes).size).toBe(36);
    for (const code of codes) expect(String(code)).toMatch(/^\d{3}$/);
  });
  it('designs have what their names promise', () => {
    expect(fullFactorial(3)).toHaveLength(8);
    for (const run of simplexLattice(4, 3)) expect(run.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 12);
  });
});
