import { cookieSpread } from '../facts/oven.js';
import type { DoughResult } from '../dough/dough.js';
import type { Family } from '../facts/families.js';

/**
 * How far a scooped cookie spreads: its width when it is set over its width when it goes in. 1 for everything else.
 *
 * Warm dough, fat and sugar let it run before it sets; gum and husk hold it.
 *
 * Units    ratio 1 to 2; C.
 * Throws   nothing.
 * Findings none.
 * Source   directions common practice (troubleshooting of the trade), sizes judgement: facts/oven cookieSpread.
 */
export function spreadRatio(
  family: Pick<Family, 'bakesAs' | 'rolled' | 'pieceG' | 'fatPercent' | 'sugarPercent'>,
  dough: DoughResult,
  pieceC: number,
  /** As this kitchen's own goods have shown; 1 is the model. */ factor = 1,
): number {
  if (family.bakesAs !== 'cookie' || family.rolled || !family.pieceG) return 1;
  const { usual, perFat, perSugar, perK, atC, perBinder } = cookieSpread.values;
  const { fat, sugar } = dough.percents;
  const run =
    usual *
    Math.max(0.1, fat / family.fatPercent[1]) ** perFat *
    Math.max(0.1, sugar / Math.max(1, family.sugarPercent[1])) ** perSugar *
    Math.exp(perK * (pieceC - atC) - perBinder * Math.max(0, dough.binderRatio - (dough.needsBinder ? 1 : 0)));
  return Math.min(2, 1 + run * factor);
}

/** Over the whole bake a cookie is on the mean this far spread: it runs in the first third and then stands. */
export const meanSpread = (ratio: number): number => 1 + cookieSpread.values.early * (ratio - 1);
