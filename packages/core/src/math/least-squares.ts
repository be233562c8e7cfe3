import { Matrix, QrDecomposition } from 'ml-matrix';
import { InputError } from '../errors.js';

export type LeastSquares = {
  readonly beta: readonly number[];
  /** Standard error of each. */ readonly se: readonly number[];
  /** Residual standard deviation; NaN without a degree of freedom. */ readonly s: number;
  readonly df: number;
  readonly residuals: readonly number[];
  /** (X'X)^-1, for what a prediction strays by. */ readonly unscaledCovariance: readonly (readonly number[])[];
};

/** A column this close to the others' span is one of them. */
const SINGULAR = 1e-12;

/**
 * Linear least squares by Householder QR, columns scaled to unit length first.
 *
 * Units    those of the caller; a row a reading, a column a term.
 * Throws   InputError at X for fewer rows than columns, and for a column that the others already hold, naming it by number.
 * Findings none.
 * Source   textbook; checked against certified values of the NIST Statistical Reference Datasets.
 */
export function leastSquares(X: readonly (readonly number[])[], y: readonly number[]): LeastSquares {
  const [n, p] = [X.length, X[0]?.length ?? 0];
  if (n < p || p === 0) throw new InputError('X', `needs at least as many readings as terms, got ${n} for ${p}`);
  const lengths = Array.from({ length: p }, (_, j) => Math.hypot(...X.map((row) => row[j]!)) || 1);
  const scaled = new Matrix(X.map((row) => row.map((x, j) => x / lengths[j]!)));
  const qr = new QrDecomposition(scaled);
  const R = qr.upperTriangularMatrix;
  const lost = Array.from({ length: p }, (_, j) => j).find((j) => Math.abs(R.get(j, j)) < SINGULAR * p);
  if (lost !== undefined) throw new InputError('X', `term ${lost} cannot be told from those before it`);
  let beta = qr.solve(Matrix.columnVector([...y])).to1DArray();
  // One round of refinement wins back what rounding took.
  const off = (b: readonly number[]) => y.map((value, i) => value - b.reduce((sum, one, j) => sum + one * scaled.get(i, j), 0));
  const more = qr.solve(Matrix.columnVector(off(beta))).to1DArray();
  beta = beta.map((one, j) => one + more[j]!);
  const residuals = off(beta);
  const df = n - p;
  const s = df > 0 ? Math.sqrt(residuals.reduce((sum, r) => sum + r * r, 0) / df) : NaN;
  const inverse = new QrDecomposition(R).solve(Matrix.eye(p));
  const unscaled = inverse.mmul(inverse.transpose());
  const unscaledCovariance = Array.from({ length: p }, (_, i) =>
    Array.from({ length: p }, (__, j) => unscaled.get(i, j) / (lengths[i]! * lengths[j]!)),
  );
  return {
    beta: beta.map((one, j) => one / lengths[j]!),
    se: unscaledCovariance.map((row, j) => s * Math.sqrt(row[j]!)),
    s,
    df,
    residuals,
    unscaledCovariance,
  };
}
