import { ingredientFields, strictestGluten } from './document/pantry.js';
import { publishedIngredients } from './ingredient/published.js';
import { isGum } from './ingredient/roles.js';
import type { Fields } from './document/field.js';
import type { BakeEvent, Happened } from './document/bake.js';
import type { Blend, Formula } from './document/formula.js';
import type { Kitchen } from './document/kitchen.js';
import type { Ingredient, Lot, Pantry } from './document/pantry.js';
import type { Preparation } from './document/preparation.js';

/*
 * What an older North Leaf stored, as today's documents. Everything read of the past goes through here: rows of the server, drafts and
 * runs kept in a browser, events that wait, files. Nothing is written back: a version, a bake and its events stay as they were stored.
 *
 * What nobody was asked then is left out, and left out never means none: a label is not read, a custard is raw, a market is the strictest.
 */

/**
 * A formula as it is understood today.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   schema 1, core 1.0 to 1.8: every later member is optional and keeps its meaning when it is left out.
 */
export const liftFormula = (formula: Formula): Formula => formula;
/**
 * A stored blend as today's core has it.
 *
 * Units    those of the document.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 */
export const liftBlend = (blend: Blend): Blend => blend;
/**
 * A stored kitchen as today's core has it.
 *
 * Units    those of the document.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 */
export const liftKitchen = (kitchen: Kitchen): Kitchen => kitchen;
/**
 * A stored preparation as today's core has it.
 *
 * Units    those of the document.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 */
export const liftPreparation = (preparation: Preparation): Preparation => preparation;
/**
 * What happened, as today's core has it.
 *
 * Units    those of the document.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 */
export const liftHappened = (what: Happened): Happened => what;
/**
 * A stored event as today's core has it.
 *
 * Units    those of the document.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 */
export const liftEvent = (event: BakeEvent): BakeEvent => ({ ...event, what: liftHappened(event.what) });

/**
 * A lot: what a bake left was kept with its use-by day under the name of best-by.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   core 1.7 and before.
 *
 * @example
 * liftLot({ id: 'a', ingredientId: 'xanthan', code: '7' }).code; // => '7'
 */
export function liftLot(lot: Lot): Lot {
  if (lot.from === undefined || lot.bestByOn === undefined || lot.useByOn !== undefined) return lot;
  const { bestByOn, ...rest } = lot;
  return { ...rest, useByOn: bestByOn };
}

/**
 * An ingredient: what today's table knows of its safety is joined to what was stored; its composition stays what it was.
 *
 * Of one of the kitchen's own an empty list of allergens is a label not read yet. A crumb of an older bake was baked.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   the published table for its ids: the union of allergens, the stricter gluten class, and traits that were not stored then.
 */
export function liftIngredient(one: Ingredient): Ingredient {
  const today = publishedIngredients()[one.id];
  if (!today) return liftOwn(one);
  return {
    ...Object.fromEntries(later.flatMap((field) => (today[field] === undefined ? [] : [[field, today[field]]]))),
    ...one,
    // What a gum is worth was read from today's table then too, never from what was stored.
    ...(isGum(one) && today.xanthanPerG !== undefined && !one.corrected?.['xanthanPerG'] ? { xanthanPerG: today.xanthanPerG } : {}),
    allergens: joined(one.allergens, one.labelRead ? [] : today.allergens),
    ...Object.fromEntries(
      laterLists.flatMap((field) =>
        today[field] ? [[field, joined((one[field] as readonly string[] | undefined) ?? [], today[field] as readonly string[])]] : [],
      ),
    ),
    gluten: strictestGluten([one.gluten, today.gluten]),
  };
}
/** Members that older documents do not know. */
const later = Object.entries(ingredientFields as Fields).flatMap(([name, { since }]) => (since ? [name as keyof Ingredient] : []));
/** Of them, those that say a list of things: what either says holds. */
const laterLists = later.filter((name) => (ingredientFields as Fields)[name]!.is === 'list' && name !== 'usualParts');

/** Dough and cut pieces that a run left are named by what they are. */
const isRawLeftOver = (id: string): boolean => /^(dough|shaped)-/.test(id);

function liftOwn(one: Ingredient): Ingredient {
  const { madeFrom, parts, id } = one;
  if (madeFrom && 'formulaId' in madeFrom) {
    return isRawLeftOver(id) || one.heat !== undefined ? one : { ...one, heat: 'cooked' };
  }
  return parts || madeFrom ? one : { ...one, labelRead: one.labelRead ?? one.allergens.length > 0 };
}

/** Both lists; what one is sure of is not merely possible. */
function joined(stored: readonly string[], today: readonly string[]): string[] {
  const all = new Set([...stored, ...today]);
  return [...all].filter((code) => !(code.endsWith(':possible') && all.has(code.slice(0, -':possible'.length))));
}

/**
 * What a version was worked out with.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   liftIngredient and liftLot of each.
 */
export const liftPantry = (pantry: Pantry): Pantry => ({
  ...pantry,
  ingredients: Object.fromEntries(Object.entries(pantry.ingredients).map(([id, one]) => [id, liftIngredient(one)])),
  lots: Object.fromEntries(Object.entries(pantry.lots).map(([id, lot]) => [id, liftLot(lot)])),
});
