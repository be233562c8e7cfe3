import { EigenvalueDecomposition, Matrix, solve } from 'ml-matrix';
import { fAbove, tQuantile } from '../math/distributions.js';
import { leastSquares, type LeastSquares } from '../math/least-squares.js';
import { normalBelow } from '../math/normal.js';

export type Surface = LeastSquares & {
  /** Lack of fit against replicates; null without any. */ readonly lackOfFit: { readonly f: number; readonly p: number } | null;
  readonly stationary: readonly number[];
  /** Of the matrix of squares: all below zero is a top, all above a bottom, else a saddle. */ readonly eigenvalues: readonly number[];
  readonly at: (x: readonly number[], share?: number) => { readonly y: number; readonly low: number; readonly high: number };
};

/** 1, linear, products i < j, squares. */
const terms = (x: readonly number[]): number[] => [
  1,
  ...x,
  ...x.flatMap((a, i) => x.slice(i + 1).map((b) => a * b)),
  ...x.map((a) => a * a),
];

/**
 * A second-order surface through trials, with what it leaves open.
 *
 * Units    x coded, y those of the caller.
 * Throws   InputError as leastSquares.
 * Findings none.
 * Source   textbook response surface; lack of fit from replicates (NIST/SEMATECH e-Handbook 5, from memory).
 */
export function quadraticSurface(X: readonly (readonly number[])[], y: readonly number[]): Surface {
  const fit = leastSquares(X.map(terms), y);
  const k = X[0]!.length;
  const cross = new Map<string, number>();
  let at = 1 + k;
  for (let i = 0; i < k; i++) for (let j = i + 1; j < k; j++) cross.set(`${i} ${j}`, fit.beta[at++]!);
  const B = new Matrix(
    Array.from({ length: k }, (_, i) =>
      Array.from({ length: k }, (__, j) => (i === j ? fit.beta[at + i]! : cross.get(i < j ? `${i} ${j}` : `${j} ${i}`)! / 2)),
    ),
  );
  const linear = fit.beta.slice(1, 1 + k);
  const stationary = solve(B.clone().mul(-2), Matrix.columnVector([...linear])).to1DArray();
  return {
    ...fit,
    lackOfFit: lackOfFit(X, y, fit),
    stationary,
    eigenvalues: new EigenvalueDecomposition(B).realEigenvalues.sort((a, b) => a - b),
    at: (x, share = 0.95) => {
      const row = terms(x);
      const value = row.reduce((sum, one, j) => sum + one * fit.beta[j]!, 0);
      const h = row.reduce((sum, a, i) => sum + row.reduce((of, b, j) => of + a * fit.unscaledCovariance[i]![j]! * b, 0), 0);
      const half = tQuantile(0.5 + share / 2, fit.df) * fit.s * Math.sqrt(1 + h);
      return { y: value, low: value - half, high: value + half };
    },
  };
}

function lackOfFit(X: readonly (readonly number[])[], y: readonly number[], fit: LeastSquares): Surface['lackOfFit'] {
  const groups = new Map<string, number[]>();
  X.forEach((row, i) => groups.set(row.join(), [...(groups.get(row.join()) ?? []), y[i]!]));
  let pure = 0;
  let pureDf = 0;
  for (const values of groups.values()) {
    const mean = values.reduce((sum, one) => sum + one, 0) / values.length;
    pure += values.reduce((sum, one) => sum + (one - mean) ** 2, 0);
    pureDf += values.length - 1;
  }
  const lackDf = fit.df - pureDf;
  if (pureDf === 0 || lackDf <= 0) return null;
  const lack = fit.residuals.reduce((sum, r) => sum + r * r, 0) - pure;
  const f = lack / lackDf / (pure / pureDf);
  return { f, p: fAbove(f, lackDf, pureDf) };
}

/**
 * How much better than the best so far a trial may be expected to come out.
 *
 * Units    those of the ratings.
 * Throws   nothing.
 * Findings none.
 * Source   expected improvement of a normal forecast (Mockus; Jones, from memory).
 */
export function expectedImprovement(mean: number, sd: number, best: number): number {
  if (sd <= 0) return Math.max(0, mean - best);
  const z = (mean - best) / sd;
  const density = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
  // Far below the best the two parts cancel: their difference by the asymptotic series.
  if (z < -6) return (sd * density * (1 - 3 / z ** 2 + 15 / z ** 4 - 105 / z ** 6)) / z ** 2;
  return (mean - best) * normalBelow(z) + sd * density;
}
