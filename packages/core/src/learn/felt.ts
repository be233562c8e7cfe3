import { blendStage } from '../blend/blend.js';
import { doughStage } from '../dough/dough.js';
import { rightHandWords } from '../dough/water.js';
import { InputError } from '../errors.js';
import { waterSpread } from '../facts/dough.js';
import { families } from '../facts/families.js';
import { learnedThirst } from './thirst.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen, Learned } from '../document/kitchen.js';
import type { Pantry } from '../document/pantry.js';
import type { HandWord } from '../document/bake.js';

/** A dough as it was at the bench: the version baked, how large, what was weighed otherwise (g by row key), the air, and the hand's word. */
export type FeltDough = {
  readonly bakeId: string;
  readonly formula: Formula;
  readonly kitchen: Kitchen;
  readonly pantry: Pantry;
  readonly factor: number;
  readonly weighed: Readonly<Record<string, number>>;
  readonly humidityShare: number;
  readonly word: HandWord;
};

/**
 * What a kitchen has learned of a blend's thirst, worked out anew from every dough of it that a hand judged.
 *
 * Units    factor; 1 is the rule.
 * Throws   nothing; a dough that cannot be worked out any more is left out.
 * Findings none.
 * Source   learnedThirst; each dough against the untaught rule, in the air of its day.
 *
 * @example
 * thirstOfBlend('House blend', []); // => null
 */
export function thirstOfBlend(blendName: string, doughs: readonly FeltDough[]): Learned | null {
  const felt = doughs.flatMap((one) => {
    const getsOverWants = ratioAtBench(one);
    return getsOverWants === null ? [] : [{ bakeId: one.bakeId, getsOverWants, word: one.word }];
  });
  if (felt.length === 0) return null;
  return {
    what: 'thirstFactor',
    about: blendName,
    ...learnedThirst(felt),
    priorValue: 1,
    priorSd: waterSpread.values.thirst,
    bakeIds: [...new Set(felt.map(({ bakeId }) => bakeId))],
  };
}

function ratioAtBench({ formula, kitchen, pantry, factor, weighed, humidityShare }: FeltDough): number | null {
  const family = families[formula.family];
  if (!family) return null;
  // What is scooped, pressed or poured is not judged by the palm of a rolled dough.
  if (rightHandWords(formula, family).join() !== 'rollsClean') return null;
  const rows = formula.rows.map((row) => ({ ...row, amountG: weighed[row.key] === undefined ? row.amountG : weighed[row.key]! / factor }));
  const untaught = { ...kitchen, humidityShare, learned: [] };
  const theCase = { formula: { ...formula, rows }, family, kitchen: untaught, pantry };
  try {
    const { result } = blendStage(theCase);
    return doughStage(theCase, result).result.getsOverWants;
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}
