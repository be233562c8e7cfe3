import { bakeSpread } from '../facts/oven.js';
import { haltonNormal } from '../math/halton.js';
import { BakeMarch } from './march.js';
import { bakeUntilOver } from './doneness.js';
import { nudged } from './problem.js';
import type { DoneRule } from './doneness.js';
import type { BakeNudge, BakeProblem } from './problem.js';

/** What the unknowns of a kitchen are worth, one standard deviation each. */
export type BakeUnknowns = {
  /** K */ readonly ovenC: number;
  readonly thicknessShare: number;
  /** Share of the dough. */ readonly waterOfDough: number;
  readonly startC: number;
  readonly heatLog: number;
  readonly browningLog: number;
};
export const unknownNames = ['ovenC', 'thicknessShare', 'waterOfDough', 'startC', 'heatLog', 'browningLog'] as const;

/** One bake that could happen: when it is done, and when it is over-baked; Infinity for never within the time looked at. */
export type BakeSample = { readonly doneMin: number; readonly overMin: number };

/** Samples that a plan of looks is made from: enough for its shares to stand within about 2 points. */
export const SAMPLES = 200;

/** Fewer cells and longer steps than a single bake: a minute's tenth, where the samples themselves stray by minutes. */
const COARSE = { toleranceK: 3.2, toleranceX: 1.2e-2 };
const COARSE_CELLS = 20;

/**
 * What is unknown about a bake in this kitchen.
 *
 * Units    one sd each: K, shares, logs.
 * Throws   nothing.
 * Findings none.
 * Source   facts/oven bakeSpread (judgement); a measured oven, guide bands and a weighed bake narrow it.
 */
export function unknownsOf(known: {
  readonly ovenC: number;
  readonly banded: boolean;
  readonly heatLog?: number;
  readonly browningLog?: number;
}): BakeUnknowns {
  const sd = bakeSpread.values;
  return {
    ovenC: known.ovenC,
    thicknessShare: known.banded ? sd.thicknessBandsShare : sd.thicknessShare,
    waterOfDough: sd.waterOfDough,
    startC: sd.startC,
    heatLog: known.heatLog ?? sd.heatTransferLog,
    browningLog: known.browningLog ?? sd.browningLog,
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
  for (let i = 0; i < count; i++) yield bakeSample(march, problem, rule, unknowns, haltonNormal(i + 20, unknownNames.length));
}

/** The bake whose unknowns lie `z` standard deviations off, in the order of `unknownNames`. */
export function bakeSample(
  march: BakeMarch,
  problem: BakeProblem,
  rule: DoneRule,
  unknowns: BakeUnknowns,
  z: readonly number[],
): BakeSample {
  const by = Object.fromEntries(unknownNames.map((name, n) => [name, unknowns[name] * z[n]!])) as BakeNudge;
  const { times } = bakeUntilOver(march, nudged(problem, by), rule, COARSE);
  return { doneMin: times.doneMin ?? Infinity, overMin: times.overMin ?? Infinity };
}
