import { handWords, waterSpread } from '../facts/dough.js';
import { normalBelow } from '../math/normal.js';
import type { HandWord } from '../document/bake.js';

/** What a hand said of a dough: its water over what the untaught rule says it wants. */
export type Felt = { readonly getsOverWants: number; readonly word: HandWord };

const LOW = 0.6;
const HIGH = 1.6;
const STEPS = 400;
const WORDS = 5;

/**
 * How thirsty a blend is against the rule, from what hands said of its doughs.
 *
 * The prior is the rule itself with its spread; each word says that the true ratio of water in to water wanted lies in that word's band,
 * blurred by how far two hands differ; now and then a word is a slip and says nothing.
 *
 * Units    factor on the water that flours and starches want; 1 is the rule.
 * Throws   nothing; nothing felt gives the prior.
 * Findings none.
 * Source   Bayes' rule on a grid; prior and blur facts/dough waterSpread, bands facts/dough handWords (judgement).
 *
 * @example
 * learnedThirst([{ getsOverWants: 1, word: 'cracks' }]); // => { value: above 1, sd: below the prior's }
 */
export function learnedThirst(felt: readonly Felt[]): { readonly value: number; readonly sd: number } {
  const { thirst, feel, lapse } = waterSpread.values;
  const at = Array.from({ length: STEPS + 1 }, (_, i) => LOW + ((HIGH - LOW) * i) / STEPS);
  const weight = at.map((factor) => {
    const prior = -0.5 * ((factor - 1) / thirst) ** 2;
    return felt.reduce(
      (log, one) => log + Math.log(lapse / WORDS + (1 - lapse) * Math.max(0, chanceOf(one.word, one.getsOverWants / factor, feel))),
      prior,
    );
  });
  const most = Math.max(...weight);
  const chance = weight.map((log) => Math.exp(log - most));
  const total = chance.reduce((sum, one) => sum + one, 0);
  const value = at.reduce((sum, factor, i) => sum + factor * chance[i]!, 0) / total;
  const variance = at.reduce((sum, factor, i) => sum + (factor - value) ** 2 * chance[i]!, 0) / total;
  return { value, sd: Math.sqrt(variance) };
}

/** Chance that a hand says this word of a dough at a true ratio. */
function chanceOf(word: HandWord, ratio: number, blur: number): number {
  const { sandy, cracks, rollsClean, tacky } = handWords.values;
  const bands: Readonly<Record<HandWord, readonly [number, number]>> = {
    sandy: [-Infinity, sandy],
    cracks: [sandy, cracks],
    rollsClean: [cracks, rollsClean],
    tacky: [rollsClean, tacky],
    sticks: [tacky, Infinity],
  };
  const [low, high] = bands[word];
  return normalBelow((high - ratio) / blur) - normalBelow((low - ratio) / blur);
}
