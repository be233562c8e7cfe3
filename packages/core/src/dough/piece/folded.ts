import { foldedBleeds } from '../../facts/filling.js';
import { makeUpOf, sumG } from '../../ingredient/mixture.js';
import { juiceOf, mixOf } from './filling-mix.js';
import type { Pantry } from '../../document/pantry.js';
import type { PlacedRow } from './components.js';
import type { MakeUp } from '../../matter/make-up.js';

/** Pieces folded into a dough: fruit, chips, nuts, cheese. They keep their water but for what bleeds. */
export type FoldedIn = {
  readonly massG: number;
  readonly makeUp: MakeUp;
  /** Water that the dough gets of it. */ readonly bleedsG: number;
  readonly names: readonly string[];
};

/**
 * What is folded into a dough, and what of its water the dough gets until it goes into the oven.
 *
 * Units    g; `min` from folding in to the oven.
 * Throws   nothing.
 * Findings none.
 * Source   facts/filling foldedBleeds and juice (judgement).
 */
export function foldedIn(placed: readonly PlacedRow[], min: number, pantry: Pantry): FoldedIn | null {
  const pieces = placed.filter(({ row, portion }) => row.use === 'foldIn' && portion.amountG > 0);
  const portions = pieces.map(({ portion }) => portion);
  const mix = mixOf(portions, pantry);
  if (!mix) return null;
  return {
    massG: sumG(portions),
    makeUp: makeUpOf(portions),
    bleedsG: Math.min(mix.fruitWaterG, foldedBleeds.value * mix.fruitWaterG + juiceOf(mix, min)),
    names: portions.map(({ ingredient }) => ingredient.name),
  };
}
