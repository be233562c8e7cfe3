/**
 * Rounds to a step, to the nearest or always one way.
 *
 * Units    those of the caller.
 * Throws   nothing.
 * Findings none.
 * Source   arithmetic.
 *
 * @example
 * roundTo(12.34, 0.5); // => 12.5
 */
export function roundTo(value: number, step: number, way: 'nearest' | 'up' | 'down' = 'nearest'): number {
  const steps = value / step;
  const whole = way === 'up' ? Math.ceil(steps - 1e-9) : way === 'down' ? Math.floor(steps + 1e-9) : Math.round(steps);
  return Number((whole * step).toFixed(6));
}
