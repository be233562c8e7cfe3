import { InputError } from '../errors.js';
import { blendPortions } from '../blend/blend.js';
import { withShare } from '../blend/rebalance.js';
import { binderRatioOf, gumDoses, needPerPercent } from '../blend/gums.js';
import { waterWants } from '../dough/water.js';
import { editsBetween } from '../document/edits.js';
import { allergenChange } from '../ingredient/safety/allergens.js';
import { portionOf } from '../ingredient/mixture.js';
import { isExcluded, isGum, isPouredWater } from '../ingredient/roles.js';
import { suitability, suitName, suitsAskedFor } from '../ingredient/safety/suits.js';
import { roundTo } from '../units/rounding.js';
import type { Edit } from '../document/edits.js';
import type { Formula } from '../document/formula.js';
import type { Pantry } from '../document/pantry.js';
import type { Family } from '../facts/families.js';
import type { Allergen } from '../ingredient/safety/allergens.js';
import type { Case } from '../document/case.js';

export type FlourSwap = {
  readonly edits: readonly Edit[];
  readonly wantsBeforeG: number;
  readonly wantsAfterG: number;
  /** What is poured more (or less, negative), in whole steps of the scale. */ readonly pourByG: number;
  readonly bindBefore: number;
  readonly bindAfter: number;
  readonly allergensNew: readonly Allergen[];
  readonly allergensGone: readonly Allergen[];
  /** Limits it has to suit that the newcomer does not, or may not. */ readonly breaks: readonly string[];
};

/**
 * One flour for another by mass, with the water that goes with it; a gum for a gum by strength.
 *
 * Water is corrected by share x difference of water hold x the family's factor, gum terms included, on the poured row.
 *
 * Units    g; bind 1 is the family's need.
 * Throws   InputError at blend.rows[i].ingredientId for a swap that cannot work (potato flour and potato starch), an ingredient with gluten,
 *          one that is not in the pantry, or itself.
 * Findings none: the finished edit is judged like any other.
 * Source   common practice: swap by mass, never by cup; water rule of dough/water; replacement weights facts/binders.
 */
export function swapFlour({ formula, family, kitchen, pantry }: Case, index: number, toId: string): FlourSwap {
  const path = `blend.rows[${index}].ingredientId`;
  const row = formula.blend.rows[index];
  if (!row) throw new InputError(`blend.rows[${index}]`, 'is not a row of this blend');
  const from = portionOf(pantry, path, row.ingredientId, 1).ingredient;
  const to = portionOf(pantry, path, toId, 1).ingredient;
  if (from.id === to.id) throw new InputError(path, `is ${to.name} already`);
  if (isExcluded(to)) throw new InputError(path, `${to.name} contains gluten`);
  // What one takes in water the other drowns in.
  if (from.takenFor === to.id || to.takenFor === from.id) {
    const apart = Math.abs((to.waterHoldGPerG ?? 0) - (from.waterHoldGPerG ?? 0));
    throw new InputError(path, `${from.name} and ${to.name} never swap: their water need differs by ${apart.toFixed(2)} g per g`);
  }
  const swapped = withRow(formula, family, { index, toId, from, to });
  const [before, after] = [formula, swapped].map(
    (one) => waterWants(blendPortions(one, pantry), [], family, { thirstFactor: 1 }).wantsG,
  ) as [number, number];
  const [bindBefore, bindAfter] = [formula, swapped].map((one) =>
    binderRatioOf(gumDoses(blendPortions(one, pantry), family, one.blendG)),
  ) as [number, number];
  const pourAt = formula.rows.findIndex(({ ingredientId, use }) => use === 'dough' && isPouredWater(pantry.ingredients[ingredientId]!));
  const poured = formula.rows[pourAt]?.amountG ?? 0;
  const pourByG = pourAt < 0 ? 0 : Math.max(-poured, roundTo(after - before, kitchen.scaleStepG));
  const rows = formula.rows.map((one, i) => (i === pourAt ? { ...one, amountG: roundTo(one.amountG + pourByG, 0.01) } : one));
  const { brought, gone } = allergenChange(blendPortions(formula, pantry), blendPortions(swapped, pantry));
  return {
    edits: editsBetween(formula, { ...swapped, rows }),
    wantsBeforeG: before,
    wantsAfterG: after,
    pourByG,
    bindBefore,
    bindAfter,
    allergensNew: brought,
    allergensGone: gone,
    breaks: suitsAskedFor(formula.mustSuit, kitchen)
      .filter((suit) => suitability(to, suit) !== 'yes')
      .map(suitName),
  };
}

/** The formula with the newcomer in that row; joined to its own row where it is in the blend already. */
function withRow(
  formula: Formula,
  family: Family,
  {
    index,
    toId,
    from,
    to,
  }: {
    readonly index: number;
    readonly toId: string;
    readonly from: Pantry['ingredients'][string];
    readonly to: Pantry['ingredients'][string];
  },
): Formula {
  const { rows } = formula.blend;
  const row = rows[index]!;
  const [was, will] = [needPerPercent(from, family), needPerPercent(to, family)];
  // A gum is swapped by what it does, not by what it weighs; the flours share the difference.
  const share = isGum(from) && isGum(to) && was > 0 && will > 0 ? (row.share * was) / will : row.share;
  const held = rows.findIndex(({ ingredientId }, i) => i !== index && ingredientId === toId);
  const blendRows =
    held < 0
      ? withShare(
          rows.map((one, i) => (i === index ? withoutLot({ ...one, ingredientId: toId }) : one)),
          index,
          share,
        )
      : joined(rows, index, held);
  return { ...formula, blend: { ...formula.blend, rows: blendRows } };
}

function joined(rows: Formula['blend']['rows'], index: number, held: number): Formula['blend']['rows'] {
  const sum = rows[held]!.share + rows[index]!.share;
  return rows.map((one, i) => (i === held ? { ...one, share: sum } : one)).filter((_, i) => i !== index);
}

const withoutLot = ({ lotId: _lotId, ...row }: Formula['blend']['rows'][number]) => row;
