/**
 * Solves a tridiagonal system in place (Thomas). `below[i] x[i-1] + diagonal[i] x[i] + above[i] x[i+1] = right[i]`.
 *
 * Units    those of the caller. `diagonal` and `right` are overwritten; the solution lands in `x`.
 * Throws   nothing: the caller's matrices are diagonally dominant.
 * Findings none.
 * Source   Thomas algorithm, textbook.
 *
 * @example
 * // 2x = 4
 * solveTridiagonal(new Float64Array(1), Float64Array.of(2), new Float64Array(1), Float64Array.of(4), x, 1); // x[0] = 2
 */
export function solveTridiagonal(
  below: Float64Array,
  diagonal: Float64Array,
  above: Float64Array,
  right: Float64Array,
  x: Float64Array,
  size: number,
): void {
  for (let i = 1; i < size; i++) {
    const w = below[i]! / diagonal[i - 1]!;
    diagonal[i] = diagonal[i]! - w * above[i - 1]!;
    right[i] = right[i]! - w * right[i - 1]!;
  }
  x[size - 1] = right[size - 1]! / diagonal[size - 1]!;
  for (let i = size - 2; i >= 0; i--) x[i] = (right[i]! - above[i]! * x[i + 1]!) / diagonal[i]!;
}
