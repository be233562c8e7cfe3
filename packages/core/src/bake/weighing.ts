import { within } from '../errors.js';
import { onCurve } from '../math/interpolate.js';
import { BakeMarch } from './slab/march.js';
import { nudged } from './slab/problem.js';
import type { BakeCase } from './bake-case.js';
import type { BakeNudge, BakeProblem } from './slab/problem.js';

/** One tray weighed before and after a bake. */
export type TrayWeighing = { readonly beforeG: number; readonly afterG: number; readonly min: number };

export type LearnedHeat = {
  /** Heat transfer of this oven over that of its kind, and how sure. */ readonly value: number;
  readonly sd: number;
  /** What was weighed, and what the model expected, as shares of the mass before. */ readonly lostShare: number;
  readonly expectedShare: number;
};

/** Beyond this factor the weighing says more about itself than about the oven. */
const FURTHEST = Math.log(2);

/**
 * What a tray that lost so much water says about the oven's heat transfer.
 *
 * The factor is the one that fits the loss best, held by what was known before: what ovens of its kind do, or what earlier trays
 * taught. What else could have changed the loss (temperature, thickness, water) widens its spread.
 *
 * Units    g, min; factor on the convection of the oven's kind.
 * Throws   InputError at weighing.beforeG, .afterG (not above zero, or more after than before), .min out of 1..240.
 * Findings none.
 * Source   Gauss-Newton on one number with a normal prior (textbook); first prior and spreads facts/oven bakeSpread.
 */
export function heatFromWeighing(theCase: BakeCase, weighing: TrayWeighing): LearnedHeat {
  const { beforeG, afterG, min } = weighing;
  within('weighing.beforeG', beforeG, 1, 100000, 'g');
  within('weighing.afterG', afterG, 1, beforeG, 'g');
  within('weighing.min', min, 1, 240, 'min');
  const { heatFactor, unknowns } = theCase;
  const march = new BakeMarch(24);
  const problem = endingAt(theCase.problem, min);
  const lossOf = (by: BakeNudge) => lostShareAt(march, nudged(problem, by), min);
  const lostShare = 1 - afterG / beforeG;
  const expectedShare = lossOf({});
  // What else moves the loss, one sd each.
  const others: BakeNudge[] = [
    { ovenC: unknowns.ovenC },
    { thicknessShare: unknowns.thicknessShare },
    { waterOfDough: unknowns.waterOfDough },
    { startC: unknowns.startC },
  ];
  const noise = Math.hypot(0.002, ...others.map((by) => lossOf(by) - expectedShare));
  const prior = unknowns.heatLog;
  let log = 0;
  let slope = 1;
  for (let i = 0; i < 6; i++) {
    const here = lossOf({ heatLog: log });
    slope = (lossOf({ heatLog: log + 0.05 }) - here) / 0.05;
    const step = ((slope * (lostShare - here)) / noise ** 2 - log / prior ** 2) / (slope ** 2 / noise ** 2 + 1 / prior ** 2);
    log = Math.min(FURTHEST, Math.max(-FURTHEST, log + step));
    if (Math.abs(step) < 1e-4) break;
  }
  const sdLog = 1 / Math.sqrt(slope ** 2 / noise ** 2 + 1 / prior ** 2);
  const value = heatFactor * Math.exp(log);
  return { value, sd: value * sdLog, lostShare, expectedShare };
}

/** Mass lost by a minute, over the mass before. */
function lostShareAt(march: BakeMarch, problem: BakeProblem, min: number): number {
  const { trajectory } = march.run(problem);
  const { startX } = problem.layers[problem.main]!;
  return (startX - onCurve(trajectory.min, trajectory.moistureX, min)) / (1 + startX);
}

/** The bake cut off, or its last setting carried on, at a minute. */
function endingAt(problem: BakeProblem, min: number): BakeProblem {
  let left = min * 60;
  const settings = [];
  for (const setting of problem.settings) {
    if (left <= 0) break;
    const seconds = Math.min(left, setting.seconds);
    settings.push({ ...setting, seconds });
    left -= seconds;
  }
  if (left > 0) settings[settings.length - 1]!.seconds += left;
  return { ...problem, settings };
}
