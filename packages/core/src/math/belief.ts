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
 * How many times wider the noise of readings is to be taken, for how far they are from what is believed: 1 for what is as expected.
 *
 * Units    none; as squaredDistance.
 * Throws   Error where a covariance is not positive definite.
 * Findings none.
 * Source   Student's t as a normal whose width is not known: its mean precision given the readings (textbook); never narrower than said.
 *
 * @param freedom degrees of freedom: the fewer, the sooner a reading is thought to be something else
 */
export function widening(
  freedom: number,
  off: readonly number[],
  X: readonly (readonly number[])[],
  covariance: readonly (readonly number[])[],
  noise: readonly (readonly number[])[],
): number {
  return off.length === 0 ? 1 : Math.max(1, (freedom + squaredDistance(off, X, covariance, noise)) / (freedom + off.length));
}

const ROUNDS = 12;

/**
 * What is believed after readings that know nothing of each other, any of which may be something else: the less one is explained, the less
 * it counts.
 *
 * Units    as updated; `sd` is the noise of each reading.
 * Throws   Error where a covariance is not positive definite.
 * Findings none.
 * Source   updated, each reading widened by what is believed after it, again and again.
 *
 * @example
 * updatedRobustly(independent([0], [1]), [[1], [1], [1]], [0.5, 0.5, 20], [1, 1, 1], 4); // => mean about 0.5, not 5
 */
export function updatedRobustly(
  prior: Belief,
  X: readonly (readonly number[])[],
  y: readonly number[],
  sd: readonly number[],
  freedom: number,
): Belief {
  let at = prior;
  for (let round = 0; round < ROUNDS; round++) {
    const variance = y.map((value, i) => {
      const off = value - X[i]!.reduce((sum, slope, k) => sum + slope * at.mean[k]!, 0);
      return sd[i]! ** 2 * widening(freedom, [off], [X[i]!], at.covariance, [[sd[i]! ** 2]]);
    });
    at = updated(prior, X, y, variance.map((one, i) => variance.map((_, j) => (i === j ? one : 0)))); // prettier-ignore
  }
  return at;
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
