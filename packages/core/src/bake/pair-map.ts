import { bakeUntilOver } from './doneness.js';
import { BakeMarch } from './slab/march.js';
import type { BakeCase } from './bake-case.js';
import type { BakeTimes } from './doneness.js';
import type { BakeProblem } from './slab/problem.js';

/** One pair of thickness and temperature, as it would be written, and what comes of it. */
export type PairCell = BakeTimes & { readonly thicknessMm: number; readonly wantC: number };

/**
 * A map of thickness by temperature: for each pair, when it is dry, through, golden, done and over. One cell a turn, so that
 * whoever runs it can show how far it is, stop it, or share it out: `part` of `parts` takes every so-manieth cell.
 *
 * Units    mm, C, min.
 * Throws   nothing.
 * Findings none.
 * Source   bakeUntilOver, one setting at one temperature and nothing on the piece; everything else as in the problem.
 */
export function* pairMap(
  { problem, rule, thicknessMm: ownMm, firstC }: BakeCase,
  thicknesses: readonly number[],
  temperatures: readonly number[],
  { part = 0, parts = 1 }: { part?: number; parts?: number } = {},
): Generator<PairCell> {
  const march = new BakeMarch(24);
  // What is known of this oven goes with every temperature that could be written.
  const offC = problem.settings[0]!.airC - firstC;
  let n = 0;
  for (const thicknessMm of thicknesses) {
    for (const wantC of temperatures) {
      if (n++ % parts !== part) continue;
      const { times } = bakeUntilOver(march, atPair(problem, thicknessMm / ownMm, wantC + offC), rule, { longestMin: 90 });
      yield { thicknessMm, wantC, ...times };
    }
  }
}

/** The problem with its dough so many times as thick, baked at one temperature throughout. */
function atPair(problem: BakeProblem, timesThick: number, airC: number): BakeProblem {
  const first = problem.settings[0]!;
  const dip = airC - (first.airC - (first.airFromC ?? first.airC));
  return {
    ...problem,
    layers: problem.layers.map((layer, i) => (i === problem.main ? { ...layer, dryMass: layer.dryMass * timesThick } : layer)),
    settings: [{ ...first, covered: false, seconds: 1, airC, airFromC: dip, wallC: first.wallC === null ? null : airC }],
  };
}

/**
 * How well dry and golden meet: minutes between done and over, over the minutes to done; below 0 it is over before it is done.
 *
 * Units    min; a share of the bake.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * windowShare({ doneMin: 20, overMin: 25 }); // => 0.25
 */
export const windowShare = ({ doneMin, overMin }: Pick<PairCell, 'doneMin' | 'overMin'>): number =>
  doneMin === null ? -1 : ((overMin ?? Infinity) - doneMin) / doneMin;
