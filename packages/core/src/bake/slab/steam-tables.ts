import { boilingSmoothness, liquidDiffusivity } from '../../facts/oven.js';
import { vapourPressurePa } from '../../matter/thermal.js';

/** Tables that every bake shares: one entry a kelvin from FROM_C, made once. */
export const FROM_C = -45;
export const KELVINS = 400;
export const ATMOSPHERE_PA = 101325;

/** Saturation pressure in atmospheres on [i, i+1): value + f (slope + f bend), f the part of the kelvin. */
export const saturation = new Float64Array(KELVINS + 1);
export const saturationSlope = new Float64Array(KELVINS + 1);
export const saturationBend = new Float64Array(KELVINS + 1);
/** Liquid-path resistance relative to 60 C, and its slope. */
export const liquidFactor = new Float64Array(KELVINS + 1);
export const liquidSlope = new Float64Array(KELVINS + 1);

for (let i = 0; i <= KELVINS; i++) {
  const t = FROM_C + i;
  const [a, b, c] = [t, t + 0.5, t + 1].map((at) => vapourPressurePa(at) / ATMOSPHERE_PA) as [number, number, number];
  const { perK } = liquidDiffusivity.values;
  saturation[i] = a;
  saturationBend[i] = 2 * (a - 2 * b + c);
  saturationSlope[i] = c - a - saturationBend[i]!;
  liquidFactor[i] = Math.exp(-perK * (t - 60));
  liquidSlope[i] = Math.exp(-perK * (t + 1 - 60)) - liquidFactor[i]!;
}

/**
 * Drive of vapour through pores as a potential of y = vapour pressure over one atmosphere. Its slope
 * F(y) = 1 / sqrt((1-y)^2 + w^2) is Stefan diffusion below boiling and turns smoothly into pressure-driven
 * flow at it. The potential is the exact integral of F tabulated piecewise linear; linear above boiling.
 */
export const POTENTIAL_CELLS = 1024;
export const driveSlope = new Float64Array(POTENTIAL_CELLS + 1);
export const drive = new Float64Array(POTENTIAL_CELLS + 1);
export const slopeAtBoiling = 1 / boilingSmoothness.value;

for (let i = 0; i <= POTENTIAL_CELLS; i++) {
  const y = i / POTENTIAL_CELLS;
  driveSlope[i] = 1 / Math.sqrt((1 - y) ** 2 + boilingSmoothness.value ** 2);
  if (i > 0) drive[i] = drive[i - 1]! + (driveSlope[i]! + driveSlope[i - 1]!) / (2 * POTENTIAL_CELLS);
}

/** The potential at y under a pressure, in Pa. */
export function vapourPotentialPa(y: number, pressurePa: number): number {
  if (y >= 1) return pressurePa * (drive[POTENTIAL_CELLS]! + (y - 1) * slopeAtBoiling);
  const z = y * POTENTIAL_CELLS;
  const i = Math.floor(z);
  const f = z - i;
  return pressurePa * (drive[i]! + (f * driveSlope[i]! + 0.5 * f * f * (driveSlope[i + 1]! - driveSlope[i]!)) / POTENTIAL_CELLS);
}
