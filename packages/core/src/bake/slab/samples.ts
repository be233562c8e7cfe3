import { bakeSpread, dayToDay } from '../../facts/oven.js';
import { untriedSpread } from '../../facts/practice.js';
import { directions } from '../../math/belief.js';
import { haltonNormal } from '../../math/halton.js';
import { BakeMarch } from './march.js';
import { bakeUntilOver } from '../doneness.js';
import { nudged } from './problem.js';
import type { DoneRule } from '../doneness.js';
import type { BakeNudge, BakeProblem } from './problem.js';

/** What the unknowns of a kitchen are worth, one standard deviation each. */
export type BakeUnknowns = {
  /** K */ readonly ovenC: number;
  readonly thicknessShare: number;
  /** Share of the dough. */ readonly waterOfDough: number;
  readonly startC: number;
  readonly heatLog: number;
  readonly browningLog: number;
  /** Oven, heat and browning as an oven's own bakes have tied them together: a column an independent direction. */
  readonly linked?: readonly (readonly number[])[];
};
export const unknownNames = ['ovenC', 'thicknessShare', 'waterOfDough', 'startC', 'heatLog', 'browningLog'] as const;

/** One bake that could happen: when it is done, and when it is over-baked; Infinity for never within the time looked at. */
export type BakeSample = { readonly doneMin: number; readonly overMin: number };

/** Samples that a plan of looks is made from: enough for its shares to stand within about 2 points. */
export const SAMPLES = 200;

/** Fewer cells and longer steps than a single bake: a minute's tenth, where the samples themselves stray by minutes. */
export const COARSE = { toleranceK: 3.2, toleranceX: 1.2e-2 };
export const COARSE_CELLS = 20;

/**
 * What is unknown about a bake in this kitchen.
 *
 * Units    one sd each: K, shares, logs.
 * Throws   nothing.
 * Findings none.
 * Source   facts/oven bakeSpread, facts/practice untriedSpread (judgement); a measured oven, guide bands and a weighed bake narrow it.
 */
export function unknownsOf(known: {
  readonly ovenC: number;
  readonly banded: boolean;
  /** Nobody has baked its kind with these numbers: neither we nor this kitchen. */ readonly untried?: boolean;
  readonly heatLog?: number;
  readonly browningLog?: number;
  /** Covariance of what bakes taught of the oven; each bake strays about it. */
  readonly believed?: readonly (readonly number[])[];
}): BakeUnknowns {
  const sd = bakeSpread.values;
  const kind = known.untried ? untriedSpread.values : { heatLog: 0, browningLog: 0 };
  if (known.believed) {
    const day = [dayToDay.values.ovenC, dayToDay.values.heatLog, dayToDay.values.browningLog];
    const more = [0, kind.heatLog, kind.browningLog];
    const covariance = known.believed.map((row, i) => row.map((one, j) => one + (i === j ? day[i]! ** 2 + more[i]! ** 2 : 0)));
    const [ovenC, heatLog, browningLog] = covariance.map((row, i) => Math.sqrt(row[i]!)) as [number, number, number];
    return { ...unknownsOf({ ovenC, banded: known.banded, heatLog, browningLog }), linked: directions(covariance) };
  }
  return {
    ovenC: known.ovenC,
    thicknessShare: known.banded ? sd.thicknessBandsShare : sd.thicknessShare,
    waterOfDough: sd.waterOfDough,
    startC: sd.startC,
    heatLog: Math.hypot(known.heatLog ?? sd.heatTransferLog, kind.heatLog),
    browningLog: Math.hypot(known.browningLog ?? sd.browningLog, kind.browningLog),
  };
}

/**
 * Bakes that could happen, one a turn: the unknowns are drawn from a Halton sequence, so that few samples cover them evenly.
 * A generator, so that whoever runs it can show how far it is and stop it.
 *
 * Units    min from the door shut.
 * Throws   nothing.
 * Findings none.
 * Source   Halton 1960, bases 2 3 5 7 11 13; normal by Acklam's inverse; the first 20 points are left out.
 */
export function* bakeSamples(problem: BakeProblem, rule: DoneRule, unknowns: BakeUnknowns, count = SAMPLES): Generator<BakeSample> {
  const march = new BakeMarch(COARSE_CELLS);
  for (let i = 0; i < count; i++) yield bakeSample(march, { problem, rule, unknowns }, haltonNormal(i + 20, unknownNames.length));
}

/** The bake whose unknowns lie `z` standard deviations off, in the order of `unknownNames`. */
export function bakeSample(
  march: BakeMarch,
  { problem, rule, unknowns }: { readonly problem: BakeProblem; readonly rule: DoneRule; readonly unknowns: BakeUnknowns },
  z: readonly number[],
): BakeSample {
  const { times } = bakeUntilOver(march, nudgeAt(problem, unknowns, z), rule, COARSE);
  return { doneMin: times.doneMin ?? Infinity, overMin: times.overMin ?? Infinity };
}

/** A bake with its unknowns `z` standard deviations off, in the order of `unknownNames`. */
export const nudgeAt = (problem: BakeProblem, unknowns: BakeUnknowns, z: readonly number[]): BakeProblem =>
  nudged(problem, together(unknownNames.map((name, n) => nudgeOf(unknowns, name, z[n]!))));

/** Numbers of an oven in the order in which they are believed: offset in K, log of heat transfer, log of browning. */
export const ovenNudge = ([ovenC = 0, heatLog = 0, browningLog = 0]: readonly number[]): BakeNudge => ({ ovenC, heatLog, browningLog });
const linkedNames = ['ovenC', 'heatLog', 'browningLog'] as const;

/** One unknown `z` standard deviations off, and what moves with it. */
export function nudgeOf(unknowns: BakeUnknowns, name: (typeof unknownNames)[number], z: number): BakeNudge {
  const column = (linkedNames as readonly string[]).indexOf(name);
  if (!unknowns.linked || column < 0) return { [name]: unknowns[name] * z };
  return ovenNudge(unknowns.linked.map((row) => row[column]! * z));
}

/** Several nudges at once. */
export function together(nudges: readonly BakeNudge[]): BakeNudge {
  const sum: Record<string, number> = {};
  for (const one of nudges) for (const [name, by] of Object.entries(one)) sum[name] = (sum[name] ?? 0) + by;
  return sum;
}
