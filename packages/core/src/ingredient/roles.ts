import type { Ingredient, IngredientAct } from '../document/pantry.js';

const proteinTypeKinds = new Set(['flour_grain', 'flour_pseudo', 'flour_legume', 'flour_tuber', 'flour_starchy', 'blend']);

export const does = (of: Ingredient, act: IngredientAct): boolean => of.does?.includes(act) ?? false;
/**
 * Whether it binds: a gum, or a seed that gels.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * isGum(ingredients.psyllium_husk); // => true
 */
export const isGum = (of: Ingredient): boolean => of.kind === 'gum' || of.kind === 'binder_seed';
/**
 * Whether it is a starch, and not a starchy flour.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * isStarch(ingredients.tapioca_starch); // => true
 */
export const isStarch = (of: Ingredient): boolean => of.kind === 'starch';
export const isStickyStarch = (of: Ingredient): boolean => does(of, 'sticks');
/**
 * Whether it brings protein and structure, as grain and pulse flours do.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * isProteinType(ingredients.sorghum); // => true
 */
export const isProteinType = (of: Ingredient): boolean => proteinTypeKinds.has(of.kind);
/**
 * Whether it is a ground nut.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * isNut(ingredients.almond_blanched); // => true
 */
export const isNut = (of: Ingredient): boolean => of.kind === 'flour_nut';
/** Ground crackers or cookies: the base of a crumb crust. */
export const isCrumb = (of: Ingredient): boolean => does(of, 'crumb') || (of.madeFrom !== undefined && 'formulaId' in of.madeFrom);
/**
 * What may stand in a blend: it counts in B.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * isBlendable(ingredients.xanthan); // => true
 */
export const isBlendable = (of: Ingredient): boolean =>
  isProteinType(of) || isStarch(of) || isGum(of) || isNut(of) || of.kind === 'fibre' || isPowder(of) || isCrumb(of);
/** Dried milk or egg: weighed with the flours. */
const isPowder = (of: Ingredient): boolean => (of.kind === 'dairy' || of.kind === 'egg') && of.composition.waterShare < 0.1;
export const isEgg = (of: Ingredient): boolean => of.kind === 'egg';
export const isSalt = (of: Ingredient): boolean => of.kind === 'salt';
/** 0 for what is no yeast; one that nobody said the strength of is active dry. */
export const yeastStrengthOf = (of: Ingredient): number => (isYeast(of) ? (of.yeastStrength ?? 1) : 0);
export const isYeast = (of: Ingredient): boolean => of.leavens === 'yeast';
export const isLeavener = (of: Ingredient): boolean => of.kind === 'leavener' && !isYeast(of) && of.leavens !== 'acid';
/** Wakes soda and lifts nothing by itself. */
export const isLeaveningAcid = (of: Ingredient): boolean => of.kind === 'acid' || of.leavens === 'acid';
export const isSoda = (of: Ingredient): boolean => of.leavens === 'soda';
export const isBakingPowder = (of: Ingredient): boolean => of.leavens === 'powder';
export const isPsyllium = (of: Ingredient): boolean => of.gum === 'psylliumHusk' || of.gum === 'psylliumPowder';
/**
 * A gum or seed that is soaked before it meets the flour.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * isSoaked(ingredients.psyllium_husk); // => true
 */
export const isSoaked = (of: Ingredient): boolean => does(of, 'soaks') || of.kind === 'binder_seed';
/** Swells in cold water, then melts; agar and pectin have to be boiled instead. */
export const isGelatine = (of: Ingredient): boolean => does(of, 'setsCold') && of.composition.proteinShare > 0.5;
/** What of an egg it is, in grams of raw white and raw yolk a gram. */
export const eggOf = ({
  eggWhiteGPerG: white = 0,
  eggYolkGPerG: yolk = 0,
}: Ingredient): { readonly white: number; readonly yolk: number } => ({
  white,
  yolk,
});
/**
 * Nothing but water.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * isPouredWater(ingredients.water); // => true
 */
export const isPouredWater = (of: Ingredient): boolean => of.kind === 'liquid' && of.composition.waterShare > 0.999;
/** Thin enough to be measured in spoons at the bowl, water share from it. Judgement: milk, buttermilk, yogurt and juice are, soft cheese is not. */
const POURABLE = 0.82;
/**
 * Whether it pours and is mostly water: milk, buttermilk, plant drinks, juice.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   composition; where the line is drawn: judgement.
 *
 * @example
 * isPourable(ingredients.buttermilk); // => true
 */
export const isPourable = ({ kind, composition }: Ingredient): boolean =>
  (kind === 'liquid' || kind === 'dairy' || kind === 'plant_milk') && composition.waterShare >= POURABLE;
/**
 * Whether it is a fat, solid or liquid.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * isFat(ingredients.butter_unsalted); // => true
 */
export const isFat = (of: Ingredient): boolean => of.kind === 'fat_solid' || of.kind === 'fat_liquid';
/** Any flour, ground nuts too. */
export const isFlour = (of: Ingredient): boolean => (isProteinType(of) ? of.kind !== 'blend' : isNut(of));
/** Dry goods whose own moisture is part of the flour, not of the water that wets the dough. */
export const isDry = (of: Ingredient): boolean =>
  (of.composition.waterShare <= 0.16 || isStarch(of)) && !['fat_solid', 'egg', 'dairy', 'syrup'].includes(of.kind);
/**
 * Not for any dough: kept to read other recipes.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   the gluten class of the table.
 *
 * @example
 * isExcluded(ingredients.rice_white); // => false
 */
export const isExcluded = (of: Ingredient): boolean => of.gluten === 'contains';
