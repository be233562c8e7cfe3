import { eggBinding } from '../facts/mixing.js';
import { coldStrength, gumDoses } from '../blend/gums.js';
import { eggOf, isEgg } from '../ingredient/roles.js';
import type { Ingredient } from '../document/pantry.js';
import type { Family, Window } from '../facts/families.js';
import type { Portion } from '../ingredient/mixture.js';

/** One thing that binds, in the cold sheet and once baked. */
export type Binder = {
  readonly ingredientId: string;
  readonly name: string;
  readonly amountG: number;
  readonly percent: number;
  /** What the family takes of it alone; null where nobody says. */ readonly window: Window | null;
  /** Dose over need in the cold sheet; 0 for egg. */ readonly ofNeed: number;
  /** Grams of xanthan it stands for, cold; null where nobody says. */ readonly asXanthanG: number | null;
  /** Grams of xanthan it stands for once baked. */ readonly bakedAsXanthanG: number;
  /** Water it takes up here. */ readonly gelWaterG: number;
};

/**
 * What binds a dough: gums, seeds and egg, each with its strength and the water it takes.
 *
 * Two needs: to hold a cold sheet, and to set when hot. Gums do both; HPMC, locust bean and egg set in the oven and give next to
 * nothing to the raw sheet.
 *
 * Units    g; percent of the blend.
 * Throws   nothing.
 * Findings none: dough-findings judges them.
 * Source   strength of each gum as the pantry has it (facts/binders); facts/mixing eggBinding; water by the family's gumWaterShare (estimates).
 */
export function bindersOf(portions: readonly Portion[], family: Family, blendG: number): Binder[] {
  const gums = gumDoses(portions, family, blendG).map(({ ingredientId, name, amountG, percent, window, ofNeed, held }): Binder => {
    const dosedG = (percent * blendG) / 100;
    const one = portions.find(({ ingredient }) => ingredient.id === ingredientId)!.ingredient;
    const per = held ? 1 : coldStrength(one);
    const asXanthanG = per === 0 ? null : dosedG * per;
    return {
      ingredientId,
      name,
      amountG,
      percent,
      window,
      ofNeed,
      asXanthanG,
      bakedAsXanthanG: asXanthanG ?? dosedG * (one.hotXanthanPerG ?? 0),
      gelWaterG: held ? 0 : family.gumWaterShare * amountG * (one.waterHoldGPerG ?? 0),
    };
  });
  const eggs = portions
    .filter(({ ingredient, amountG }) => isEgg(ingredient) && amountG > 0)
    .map(({ ingredient, amountG }): Binder => ({
      ingredientId: ingredient.id,
      name: ingredient.name,
      amountG,
      percent: (amountG / blendG) * 100,
      window: family.eggPercent,
      ofNeed: 0,
      asXanthanG: 0,
      bakedAsXanthanG: amountG * wholeEggG(ingredient) * eggBinding.values.perG,
      gelWaterG: 0,
    }));
  return [...gums, ...eggs];
}

/** Grams of whole egg that a gram of a part of it sets like: dried white is eight times the white. */
function wholeEggG(of: Ingredient): number {
  const { whiteShare, yolkShare, whiteOfEgg, yolkOfEgg } = eggBinding.values;
  const { white, yolk } = eggOf(of);
  return white + yolk === 0 ? 1 : (white * whiteShare) / whiteOfEgg + (yolk * yolkShare) / yolkOfEgg;
}
