import { coldGoodDays } from '../../facts/cold.js';
import { heatedAndPackedAw, microbesFromAw } from '../../facts/keeping.js';
import { eggCoreC } from '../../facts/oven.js';
import { rawDoughActivity } from '../../matter/sorption.js';
import { fromPreparation } from '../made.js';
import { makeUpOf, portionOf } from '../mixture.js';
import { isEgg, isPouredWater } from '../roles.js';
import type { Ingredient, Pantry } from '../../document/pantry.js';
import type { Preparation } from '../../document/preparation.js';
import type { Portion } from '../mixture.js';

/** Something bought, and whether a preparation that it went into was heated through. */
export type Leaf = Portion & { readonly cooked: boolean };

/** A preparation in a preparation in a preparation: deeper than this is a ring. */
const DEEPEST = 6;
/** Of a part's mass; so much of what its label keeps cold makes the part one of its kind. */
const MOSTLY = 0.5;
/** Of a part's mass; so little moist food that is not acid does not change what the rest is. */
const TRACE = 0.1;

/** Water share that counts as none. */
const DRY = 0.02;

const isCookedHere = ({ heat, cookedToC }: Ingredient): boolean =>
  heat === 'cooked' || (cookedToC !== undefined && cookedToC >= eggCoreC.value);

/**
 * Preparations taken apart into what they were made from; everything else, crumb and ready blends too, as it is.
 *
 * Egg, dairy, soda, gum, salt, starch, juice and allergens are asked of these, so that it does not matter how something was entered.
 *
 * Units    g.
 * Throws   nothing; a part that is no longer in the pantry is left whole, a ring is cut.
 * Findings none.
 * Source   the parts of every preparation; egg is safe from facts/oven eggCoreC.
 */
export function openedUp(pantry: Pantry, portion: Portion, cooked = false, depth = 0): Leaf[] {
  const { parts, madeFrom } = portion.ingredient;
  const here = cooked || isCookedHere(portion.ingredient);
  if (!parts || parts.length === 0 || !madeFrom || !('preparationId' in madeFrom) || depth >= DEEPEST)
    return [{ ...portion, cooked: here }];
  return parts.flatMap(({ ingredientId, gPerG, lotId }) =>
    pantry.ingredients[ingredientId]
      ? openedUp(pantry, portionOf(pantry, '', ingredientId, gPerG * portion.amountG, lotId), here, depth + 1)
      : [{ ...portion, amountG: gPerG * portion.amountG, cooked: here }],
  );
}

/** Egg that no heat has met yet. What nobody said of an own egg product is raw. */
export const isRawEgg = ({ ingredient, cooked }: Leaf): boolean =>
  isEgg(ingredient) && !cooked && (ingredient.heat === undefined || ingredient.heat === 'raw');

export type PartHygiene = {
  /** Of its water and what is dissolved in it. */ readonly waterActivity: number;
  /** Below pH 4.6, all that is moist in it. */ readonly acid: boolean;
  /** It spoils, or feeds what makes ill, unless it is kept at 5 C. */ readonly needsCold: boolean;
  readonly rawEggG: number;
  /** What of it asks for the cold. */ readonly because: readonly string[];
};

/**
 * What stands on a piece together, judged as food: how moist, how acid, whether it needs the cold, whether raw egg is in it.
 *
 * Needs the cold: over water activity 0.92, or 0.85 where it was not heated and packed, and not acid; or mostly what its own label
 * keeps cold. Water that lies in fat does not count.
 *
 * Units    shares, g.
 * Throws   nothing.
 * Findings none: dough and keep judge.
 * Source   facts/keeping microbesFromAw and heatedAndPackedAw; traits of ingredients.
 */
export function hygieneOf(
  pantry: Pantry,
  portions: readonly Portion[],
  { heated, packed }: { readonly heated: boolean; readonly packed: boolean },
): PartHygiene {
  const leaves = portions.flatMap((portion) => openedUp(pantry, portion));
  const used = leaves.filter(({ amountG }) => amountG > 0);
  const massG = used.reduce((sum, { amountG }) => sum + amountG, 0);
  const moist = used.filter(({ ingredient }) => isMoist(ingredient));
  // Honey in water is a sour syrup, though honey itself is not moist.
  const sour = used.filter(({ ingredient }) => ingredient.acid);
  const bland = moist.filter(({ ingredient }) => !ingredient.acid && !isPouredWater(ingredient));
  const shareOf = (of: readonly Leaf[]) => (massG > 0 ? of.reduce((sum, { amountG }) => sum + amountG, 0) / massG : 0);
  const acid = sour.length > 0 && shareOf(bland) <= TRACE;
  const chilled = used.filter(({ ingredient }) => ingredient.needsCold);
  const allHeated = heated || used.every((leaf) => leaf.cooked || leaf.ingredient.heat === 'cooked');
  const limit = allHeated && packed ? heatedAndPackedAw.value : microbesFromAw.value;
  // Butter alone is wet by its numbers and dry to what grows.
  const free = used.some(({ ingredient }) => !ingredient.waterInFat && ingredient.composition.waterShare > DRY);
  const waterActivity = massG > 0 && free ? activityOf(portions) : 0;
  const wet = moist.length > 0 && waterActivity > limit + 1e-9;
  const needsCold = (wet && !acid) || shareOf(chilled) >= MOSTLY;
  const because = needsCold ? (chilled.length > 0 ? chilled : bland) : [];
  return {
    waterActivity,
    acid,
    needsCold,
    rawEggG: used.filter(isRawEgg).reduce((sum, { amountG }) => sum + amountG, 0),
    because: [...new Set(because.map(({ ingredient }) => ingredient.name))],
  };
}

/**
 * A preparation as it is kept: whether it needs the cold, the raw egg in it, and the most days it may stand where it does; null: as long
 * as it is good.
 *
 * Units    g, d.
 * Throws   InputError as fromPreparation.
 * Findings none: the form says it, and what it goes into is judged by keep.
 * Source   hygieneOf; facts/cold coldGoodDays.
 */
export function keepingOf(preparation: Preparation, pantry: Pantry): PartHygiene & { readonly mostDays: number | null } {
  const ingredient = fromPreparation(preparation, pantry);
  const found = hygieneOf(pantry, [{ ingredient, amountG: 1, lot: undefined }], { heated: isCookedHere(ingredient), packed: false });
  const cold = found.needsCold || found.rawEggG > 0;
  const days = { room: 0, fridge: coldGoodDays.value, freezer: null };
  return { ...found, needsCold: cold, mostDays: cold ? days[preparation.keepAt] : null };
}

/** Sugar that does not fit into the water lies in it as grains: the solution is a full one. */
function activityOf(portions: readonly Portion[]): number {
  const { activity, dissolvedSugar } = rawDoughActivity(makeUpOf(portions));
  return dissolvedSugar < 1 ? Math.min(activity, microbesFromAw.value) : activity;
}

/** Its water is free to anything that grows. */
const isMoist = ({ composition: { waterShare }, waterInFat }: Ingredient) => waterShare > 0.2 && !waterInFat;
