import { coreVersion } from '../core-version.js';
import { bakeReadings, bakeSpread, dayToDay } from '../facts/oven.js';
import { bakeUntilOver } from '../bake/doneness.js';
import { BakeMarch } from '../bake/slab/march.js';
import { nudged } from '../bake/slab/problem.js';
import { ovenNudge, together } from '../bake/slab/samples.js';
import { toneAt } from '../bake/tone.js';
import { trueBakes } from '../facts/learning.js';
import { independent, sdsOf, updated, widening } from '../math/belief.js';
import { onCurve } from '../math/interpolate.js';
import type { BakeCase } from '../bake/bake-case.js';
import type { BakeNudge } from '../bake/slab/problem.js';
import type { Learned } from '../document/kitchen.js';
import type { Belief } from '../math/belief.js';

/** A load as it was baked, and what was read of it. */
export type BakedLoad = {
  readonly bakeId: string;
  /** As the kitchen would have had it with nothing learned of this oven from bakes. */ readonly theCase: BakeCase;
  /** Thickness as measured over as written; left out: not measured. */ readonly thicknessRatio?: number;
  /** Minutes in the oven. */ readonly min: number;
  /** Taken out because it was done, not by the clock. */ readonly byEye: boolean;
  /** Mass lost over mass before. */ readonly lostShare?: number;
  readonly topTone?: number;
};

const ROUNDS = 3;
/** Steps of the finite differences: K, logs. */
const STEPS = [1, 0.03, 0.05] as const;
const COARSE = { toleranceK: 3.2, toleranceX: 1.2e-2 };
const CELLS = 20;
/** No more than this many sds of the prior at a round: beyond, the model is no longer straight. */
const MOST_SD = 1.5;
/** Bakes that are looked at, the latest: an oven changes, and each costs time. */
export const MOST_LOADS = 12;

/**
 * What bakes say of an oven: how far its air is off, how well it gives heat, how fast it browns, all three together.
 *
 * Each load brings up to three readings (when it was called done, what it lost, the tone of its top). What else could have moved them
 * (thickness, water, starting temperature, the day) widens each; the three numbers are found by Gauss-Newton with the prior held. A load
 * that nothing of this can explain counts for less, the less it is explained: one bad bake in five does not carry the rest away.
 *
 * Units    K; logs of factors; value and sd are those of the offset.
 * Throws   nothing; no load with a reading gives null.
 * Findings none.
 * Source   Bayes' rule with a normal prior, linearised, the noise of a load Student's t by reweighting (textbook); prior of the case's own unknowns, noise facts/oven bakeReadings, dayToDay (judgement).
 */
export function learnedOven(ovenId: string, loads: readonly BakedLoad[]): Learned | null {
  const used = loads.slice(-MOST_LOADS).filter((load) => load.byEye || load.lostShare !== undefined || load.topTone !== undefined);
  const [first] = used;
  if (!first) return null;
  const { ovenC, heatLog, browningLog } = first.theCase.unknowns;
  const priorSd = [ovenC, heatLog, browningLog];
  const prior = independent([0, 0, 0], priorSd);
  const march = new BakeMarch(CELLS);
  const noises = used.map((load) => noiseOf(march, load));
  let at: Belief = prior;
  for (let round = 0; round < ROUNDS; round++) {
    const { mean } = at;
    let next = prior;
    used.forEach((load, n) => {
      const here = predicted(march, load, ovenNudge(mean));
      const slopes = STEPS.map((step, i) => {
        const moved = predicted(march, load, ovenNudge(mean.map((one, j) => one + (i === j ? step : 0))));
        return moved.map((value, k) => (value - here[k]!) / step);
      });
      const read = observed(load);
      const usable = read.map((value, k) => (value !== null && Number.isFinite(here[k]!) && slopes.every((of) => Number.isFinite(of[k]!)) ? k : -1)).filter((k) => k >= 0); // prettier-ignore
      const X = usable.map((k) => slopes.map((of) => of[k]!));
      // About this point the reading is here + X (theta - mean).
      const y = usable.map((k, r) => read[k]! - here[k]! + X[r]!.reduce((sum, slope, i) => sum + slope * mean[i]!, 0));
      const R = usable.map((a) => usable.map((b) => noises[n]![a]![b]!));
      const off = usable.map((k) => read[k]! - here[k]!);
      const wider = widening(trueBakes.values.freedom, off, X, at.covariance, R);
      next = updated(
        next,
        X,
        y,
        R.map((row) => row.map((one) => one * wider)),
      );
    });
    at = {
      ...next,
      mean: next.mean.map((one, i) => Math.max(mean[i]! - MOST_SD * priorSd[i]!, Math.min(mean[i]! + MOST_SD * priorSd[i]!, one))),
    };
  }
  return {
    what: 'oven',
    about: ovenId,
    coreVersion,
    value: at.mean[0]!,
    sd: sdsOf(at)[0]!,
    priorValue: 0,
    priorSd: ovenC,
    joint: { mean: at.mean, covariance: at.covariance },
    bakeIds: [...new Set(used.map(({ bakeId }) => bakeId))],
  };
}

/** When done (min), share lost and tone of the top, as read. */
const observed = ({ min, byEye, lostShare, topTone }: BakedLoad): (number | null)[] => [
  byEye ? min : null,
  lostShare ?? null,
  topTone ?? null,
];

/** The same three as the model has them. */
function predicted(march: BakeMarch, { theCase, thicknessRatio, min }: BakedLoad, by: BakeNudge): number[] {
  const measured: BakeNudge = thicknessRatio === undefined ? {} : { thicknessShare: thicknessRatio - 1 };
  const problem = nudged(theCase.problem, together([by, measured]));
  const { trajectory, times } = bakeUntilOver(march, problem, theCase.rule, { ...COARSE, atLeastMin: min });
  const { startX } = problem.layers[problem.main]!;
  const x = onCurve(trajectory.min, trajectory.moistureX, min);
  return [
    times.doneMin ?? Infinity,
    (startX - x) / (1 + startX),
    toneAt(onCurve(trajectory.min, trajectory.browningTop, min), problem.rawLightness),
  ];
}

/** Covariance of the three readings of a load: their own noise, and what this bake had of its own. */
function noiseOf(march: BakeMarch, load: BakedLoad): number[][] {
  const { unknowns } = load.theCase;
  const read = bakeReadings.values;
  const own = [read.doneMin, read.lossShare, read.tone];
  const here = predicted(march, load, {});
  const nuisances: BakeNudge[] = [
    { thicknessShare: load.thicknessRatio === undefined ? unknowns.thicknessShare : read.measuredThicknessShare },
    { waterOfDough: unknowns.waterOfDough },
    { startC: bakeSpread.values.startC },
    { ovenC: dayToDay.values.ovenC },
    { heatLog: dayToDay.values.heatLog },
    { browningLog: dayToDay.values.browningLog },
  ];
  const columns = nuisances.map((by) => {
    const moved = predicted(march, load, by);
    return moved.map((value, k) => (Number.isFinite(value) && Number.isFinite(here[k]!) ? value - here[k]! : 0));
  });
  return own.map((sd, a) => own.map((_, b) => (a === b ? sd ** 2 : 0) + columns.reduce((sum, column) => sum + column[a]! * column[b]!, 0)));
}
