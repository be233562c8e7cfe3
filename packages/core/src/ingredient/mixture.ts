import { InputError } from '../errors.js';
import { isGum, isSalt } from './roles.js';
import { compositionFields, ingredientFields } from '../document/pantry.js';
import type { Fields } from '../document/field.js';
import type { Composition, Ingredient, Lot, Pantry } from '../document/pantry.js';
import type { MakeUp } from '../matter/make-up.js';

/** Where a portion stands in the formula ('/blend/rows/2'), and the lot its row names. */
export type RowOfPortion = { readonly at: string; readonly lotId: string | undefined };
/** An amount of an ingredient, with the lot it comes from when one is known. */
export type Portion = {
  readonly ingredient: Ingredient;
  readonly amountG: number;
  readonly lot: Lot | undefined;
  readonly row?: RowOfPortion;
};

/**
 * The ingredient and lot a row names.
 *
 * Units    none.
 * Throws   InputError at `path` when the pantry has no such ingredient, or it contains gluten by nature.
 * Findings none: proof of gluten is judged by blend and dough.
 * Source   the kitchen's pantry.
 *
 * @example
 * portionOf({ ingredients, lots: {} }, 'rows[0]', 'xanthan', 6).amountG; // => 6
 */
export function portionOf(
  pantry: Pantry,
  path: string,
  ingredientId: string,
  amountG: number,
  lotId?: string,
  row?: RowOfPortion,
): Portion {
  const ingredient = pantry.ingredients[ingredientId];
  if (!ingredient) throw new InputError(path, `is not in the pantry: ${ingredientId}`);
  return { ingredient, amountG, lot: lotFor(pantry, ingredientId, lotId), ...(row ? { row } : {}) };
}

/** The lot named while it is of that ingredient, else the first of `lotsInUse`. */
function lotFor(pantry: Pantry, ingredientId: string, lotId: string | undefined): Lot | undefined {
  const named = lotId === undefined ? undefined : pantry.lots[lotId];
  return named?.ingredientId === ingredientId ? named : lotsInUse(pantry, ingredientId)[0];
}

/**
 * The lots of an ingredient that may be reached for, in the order a baker would: opened before closed, then the earliest best-by,
 * then the least left, then by code. Lots set aside or empty are not among them.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   first expired, first out: common practice, no source.
 *
 * @example
 * lotsInUse({ ingredients, lots: {} }, 'xanthan'); // => []
 */
export function lotsInUse(pantry: Pantry, ingredientId: string): Lot[] {
  const last = '9999-12-31';
  return Object.values(pantry.lots)
    .filter((lot) => lot.ingredientId === ingredientId && lot.setAside === undefined && !(lot.onHandG !== undefined && lot.onHandG <= 0))
    .sort(
      (a, b) =>
        Number(a.openedOn === undefined) - Number(b.openedOn === undefined) ||
        (a.useByOn ?? a.bestByOn ?? last).localeCompare(b.useByOn ?? b.bestByOn ?? last) ||
        Math.sign((a.onHandG ?? Number.MAX_VALUE) - (b.onHandG ?? Number.MAX_VALUE)) ||
        a.code.localeCompare(b.code, 'en', { numeric: true }),
    );
}

/** Composition of a portion: a lot's measured moisture outranks the table, the dry parts keep their proportion. */
export function compositionOf({ ingredient, lot }: Portion): Composition {
  const table = ingredient.composition;
  const moistureShare = lot?.moistureShare;
  if (moistureShare === undefined) return table;
  const scale = (1 - moistureShare) / (1 - table.waterShare);
  const scaled = Object.fromEntries(Object.entries(table).map(([name, share]) => [name, share * scale]));
  return { ...(scaled as Composition), waterShare: moistureShare };
}

const composed = Object.keys(compositionFields) as (keyof Composition)[];
/** A composition made part by part; a part that is not known of it is left out. */
export const compositionBy = (of: (part: keyof Composition) => number | undefined): Composition =>
  Object.fromEntries(
    composed.flatMap((part) => {
      const value = of(part);
      return value === undefined ? [] : [[part, value]];
    }),
  ) as Composition;

/**
 * Composition of several portions together. A part that is not known of all of them is not known of their mixture.
 *
 * Units    g in; shares of the sum out.
 * Throws   nothing; no grams give all zero.
 * Findings none.
 * Source   masses add.
 */
export function mixedComposition(portions: readonly Portion[]): Composition {
  const totalG = sumG(portions);
  const each = portions.filter(({ amountG }) => amountG > 0).map((portion) => ({ amountG: portion.amountG, of: compositionOf(portion) }));
  return compositionBy((part) => {
    let grams = 0;
    for (const { amountG, of } of each) {
      const held = of[part];
      if (held === undefined) return undefined;
      grams += amountG * held;
    }
    return totalG === 0 ? 0 : grams / totalG;
  });
}

const mixing = Object.entries(ingredientFields as Fields).flatMap(([name, field]) =>
  field.is === 'number' && field.mixes ? [name as keyof Ingredient] : [],
);
/**
 * What a mixture has of everything that goes by mass beside its composition: water hold, grit, strength of its gums.
 *
 * Units    each its own.
 * Throws   nothing.
 * Findings none.
 * Source   mean by mass, an approximation; what has none of it counts as none.
 */
export function mixedBehaviour(portions: readonly Portion[]): Partial<Ingredient> {
  const totalG = sumG(portions);
  const mean = (name: keyof Ingredient) =>
    portions.reduce((sum, { ingredient, amountG }) => sum + ((ingredient[name] as number | undefined) ?? 0) * amountG, 0) / totalG;
  return Object.fromEntries(mixing.map((name) => [name, mean(name)]));
}

/**
 * What the heat and moisture models need to know of several portions: shares summing to 1.
 *
 * Units    g in; shares of the sum out.
 * Throws   nothing.
 * Findings none.
 * Source   masses add; fibre of gums is gum, ash of salt is salt, acids and other carbohydrate count as starch (polymer solids).
 */
export function makeUpOf(portions: readonly Portion[]): MakeUp {
  const grams = { water: 0, fat: 0, starch: 0, protein: 0, sugar: 0, fibre: 0, gum: 0, salt: 0, ash: 0 };
  for (const portion of portions) {
    const { amountG, ingredient } = portion;
    const c = compositionOf(portion);
    grams.water += amountG * c.waterShare;
    grams.fat += amountG * c.fatShare;
    grams.starch += amountG * (c.starchShare + c.otherShare);
    grams.protein += amountG * c.proteinShare;
    grams.sugar += amountG * c.sugarsShare;
    grams[isGum(ingredient) ? 'gum' : 'fibre'] += amountG * c.fibreShare;
    grams[isSalt(ingredient) ? 'salt' : 'ash'] += amountG * c.ashShare;
  }
  return mixMakeUps([{ makeUp: grams, massG: 1 }]);
}

/** One make-up from several, by mass; normalised to sum 1. */
export function mixMakeUps(parts: readonly { readonly makeUp: MakeUp; readonly massG: number }[]): MakeUp {
  const names = ['water', 'fat', 'starch', 'protein', 'sugar', 'fibre', 'gum', 'salt', 'ash'] as const;
  const sums = Object.fromEntries(
    names.map((name) => [name, parts.reduce((sum, { makeUp, massG }) => sum + makeUp[name] * massG, 0)]),
  ) as Record<(typeof names)[number], number>;
  const total = names.reduce((sum, name) => sum + sums[name], 0);
  if (total <= 0) return sums;
  return Object.fromEntries(names.map((name) => [name, sums[name] / total])) as unknown as MakeUp;
}

export const sumG = (portions: readonly Portion[]): number => portions.reduce((grams, { amountG }) => grams + amountG, 0);
