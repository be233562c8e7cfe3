import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/** What is believed of several linked numbers: their means, and how they stray together. */
export type Belief = { readonly mean: readonly number[]; readonly covariance: readonly (readonly number[])[] };

/**
 * A belief of numbers that know nothing of each other.
 *
 * Units    those of the caller; one sd each.
 * Throws   nothing.
 * Findings none.
 * Source   definition.
 */
export const independent = (mean: readonly number[], sd: readonly number[]): Belief => ({
  mean,
  covariance: sd.map((one, i) => sd.map((_, j) => (i === j ? one ** 2 : 0))),
});

export const sdsOf = ({ covariance }: Belief): number[] => covariance.map((row, i) => Math.sqrt(row[i]!));

/**
 * What is believed after readings that are linear in the numbers, with normal noise.
 *
 * Units    those of the caller; X has a row a reading, a column a number; `noise` is the covariance of the readings.
 * Throws   Error where a covariance is not positive definite.
 * Findings none.
 * Source   Bayes' rule for the linear normal model (textbook), in the form that inverts the readings' covariance.
 *
 * @example
 * updated(independent([0], [1]), [[1]], [2], [[1]]); // => mean 1, covariance 0.5
 */
export function updated(
  prior: Belief,
  X: readonly (readonly number[])[],
  y: readonly number[],
  noise: readonly (readonly number[])[],
): Belief {
  if (X.length === 0) return prior;
  const V0 = asMatrix(prior.covariance);
  const A = asMatrix(X);
  const m0 = Matrix.columnVector([...prior.mean]);
  // (A V0 A' + R)^-1: as large as the readings are many, which here are few.
  const S = new CholeskyDecomposition(symmetric(A.mmul(V0).mmul(A.transpose()).add(asMatrix(noise))));
  if (!S.isPositiveDefinite()) throw new Error('the readings’ covariance is not positive definite');
  const gain = S.solve(A.mmul(V0)).transpose();
  const mean = m0.clone().add(gain.mmul(Matrix.columnVector([...y]).sub(A.mmul(m0))));
  const V = V0.clone().sub(gain.mmul(A).mmul(V0));
  return { mean: mean.to1DArray(), covariance: symmetric(V).to2DArray() };
}

/**
 * How far readings are from what is believed, in spreads: about as large as the readings are many where they are as expected.
 *
 * Units    none; `off` are the readings less what is expected, X and `noise` as in updated.
 * Throws   Error where a covariance is not positive definite.
 * Findings none.
 * Source   Mahalanobis distance, squared (textbook).
 */
export function squaredDistance(
  off: readonly number[],
  X: readonly (readonly number[])[],
  covariance: readonly (readonly number[])[],
  noise: readonly (readonly number[])[],
): number {
  const A = asMatrix(X);
  const S = new CholeskyDecomposition(symmetric(A.mmul(asMatrix(covariance)).mmul(A.transpose()).add(asMatrix(noise))));
  if (!S.isPositiveDefinite()) throw new Error('the readings’ covariance is not positive definite');
  const d = Matrix.columnVector([...off]);
  return d.transpose().mmul(S.solve(d)).get(0, 0);
}

/**
 * Lower triangle L with L L' the covariance: a column is an independent direction in which the numbers stray together.
 *
 * Units    those of the caller.
 * Throws   nothing for a positive definite covariance.
 * Findings none.
 * Source   Cholesky (textbook).
 */
export function directions(covariance: readonly (readonly number[])[]): number[][] {
  return new CholeskyDecomposition(asMatrix(covariance)).lowerTriangularMatrix.to2DArray();
}

/** Rounding leaves the halves a hair apart. */
const symmetric = (M: Matrix): Matrix => M.clone().add(M.transpose()).mul(0.5);
const asMatrix = (rows: readonly (readonly number[])[]): Matrix => new Matrix(rows.map((row) => [...row]));
