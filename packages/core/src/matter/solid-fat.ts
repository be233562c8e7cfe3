import { solidFatCurves } from '../facts/fats.js';
import { onCurve } from '../math/interpolate.js';
import type { SolidFatName } from '../document/pantry.js';

/**
 * Share of a fat that is solid at rest at a temperature, in percent of the fat.
 *
 * Units    C in, percent out.
 * Throws   nothing.
 * Findings none.
 * Source   facts/fats, within 5 points.
 *
 * @example
 * solidFatPercent('butter', 10); // => 48
 */
export function solidFatPercent(fat: SolidFatName, atC: number): number {
  const curve = solidFatCurves.values[fat];
  return onCurve(curve.atC, curve.solidPercent, atC);
}
