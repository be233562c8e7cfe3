import { isOfDough } from '../document/formula.js';
import { usualFolds } from '../sheet/layers/laminate.js';
import type { Formula, MixStep, Row } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Pantry } from '../document/pantry.js';
import type { Family } from '../facts/families.js';

/**
 * The same formula with its fat folded in: usual folds, and the largest solid fat, where none is rolled in yet, taken out of the mix.
 *
 * Units    as usualFolds.
 * Throws   nothing; null where there is nothing to fold in or no cold to rest it in.
 * Findings none.
 * Source   a rearrangement: grams stay what they were.
 */
export function laminated(formula: Formula, family: Family, kitchen: Kitchen, pantry: Pantry): Formula | null {
  const folds = usualFolds(family, kitchen);
  const held = formula.rows.find(({ use, amountG }) => use === 'rollIn' && amountG > 0);
  const solid = formula.rows.filter((row) => isOfDough(row) && pantry.ingredients[row.ingredientId]?.kind === 'fat_solid');
  const most = held ?? solid.reduce<Row | null>((best, row) => (best && best.amountG >= row.amountG ? best : row), null);
  if (!folds || !most) return null;
  const rows = formula.rows.map((row): Row => {
    if (row.key !== most.key) return row;
    const { fat: _worked, ...folded } = row;
    return { ...folded, use: 'rollIn' };
  });
  return { ...formula, rows, mix: formula.mix.flatMap((step) => without(step, most.key)), sheet: { ...formula.sheet, laminate: folds } };
}

/** A step that no longer touches a row; none where that was all it did. */
function without(step: MixStep, rowKey: string): MixStep[] {
  const of = step.of?.filter((one) => one.rowKey !== rowKey);
  if (!of || of.length === step.of!.length) return [step];
  return of.length === 0 ? [] : [{ ...step, of }];
}
