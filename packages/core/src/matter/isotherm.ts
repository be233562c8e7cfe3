import { leastHeld } from '../facts/sorption.js';
import { heldWater } from './sorption.js';
import type { Solids } from './sorption.js';

/**
 * Water activity at 25 C as a table over moisture, for loops that cannot afford root finding.
 * Stored is ln(activity / X) against u = sqrt(X), X in kg water per kg dry: smooth down to no water at all.
 */
export type Isotherm = { readonly logRatio: Float64Array; readonly stepU: number; readonly cells: number };

const SAMPLES = 400;

/**
 * Tabulates the isotherm of solids per kg dry.
 *
 * Units    solids per kg dry; table up to `toX` kg water per kg dry; `wallWater` kg per kg dry.
 * Throws   nothing.
 * Findings none.
 * Source   heldWater.
 *
 * @param wallWater while matter dries its faces are drier than its mean: of X water the face holds X^2/(X + wallWater). 0 is matter at rest.
 */
export function tabulateIsotherm(
  by: Solids,
  { toX = 1.2, cells = 256, wallWater = 0 }: { toX?: number; cells?: number; wallWater?: number } = {},
): Isotherm {
  const activities = new Float64Array(SAMPLES + 1);
  const waters = new Float64Array(SAMPLES + 1);
  for (let i = 0; i <= SAMPLES; i++) {
    activities[i] = sampledActivity(i / SAMPLES);
    waters[i] = Math.max(heldWater(by, activities[i]!), leastHeld.value * activities[i]!);
  }
  const stepU = Math.sqrt(toX) / cells;
  const logRatio = new Float64Array(cells + 2);
  let j = 0;
  for (let i = 0; i <= cells + 1; i++) {
    const x = Math.max((i * stepU) ** 2, 1e-7);
    const face = Math.max(1e-9, (x * x) / (x + wallWater));
    let activity: number;
    if (face <= waters[0]!) activity = (activities[0]! * face) / waters[0]!;
    else {
      while (j < SAMPLES - 1 && waters[j + 1]! < face) j++;
      const along = (face - waters[j]!) / (waters[j + 1]! - waters[j]!);
      activity = Math.min(0.9999, activities[j]! + (activities[j + 1]! - activities[j]!) * along);
    }
    logRatio[i] = Math.log(activity / x);
  }
  return { logRatio, stepU, cells };
}

/** Water activity at moisture X (kg water per kg dry), 25 C. */
export function activityAt(of: Isotherm, x: number): number {
  const u = Math.sqrt(Math.max(x, 1e-9)) / of.stepU;
  const i = Math.min(of.cells, Math.floor(u));
  const low = of.logRatio[i]!;
  return Math.min(1, Math.max(x, 1e-9) * Math.exp(low + (of.logRatio[i + 1]! - low) * (u - i)));
}

/** Activities crowd at both ends, where the isotherm bends. */
function sampledActivity(z: number): number {
  if (z < 0.5) return 1e-4 + (z / 0.5) ** 1.5 * 0.9;
  return 0.9001 + (1 - (1 - (z - 0.5) / 0.5) ** 2) * 0.0995;
}
