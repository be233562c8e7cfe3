import { eggParts, yeastStrength } from '../facts/mixing.js';
import type { Ingredient } from '../document/pantry.js';

const proteinTypeKinds = new Set(['flour_grain', 'flour_pseudo', 'flour_legume', 'flour_tuber', 'flour_starchy', 'blend']);
const stickyStarches = new Set(['rice_sweet', 'tapioca_starch', 'pregel_starch']);

export const isGum = (of: Ingredient): boolean => of.kind === 'gum' || of.kind === 'binder_seed';
export const isStarch = (of: Ingredient): boolean => of.kind === 'starch';
export const isStickyStarch = (of: Ingredient): boolean => stickyStarches.has(of.id);
export const isProteinType = (of: Ingredient): boolean => proteinTypeKinds.has(of.kind);
export const isNut = (of: Ingredient): boolean => of.kind === 'flour_nut';
/** Ground crackers or cookies: the base of a crumb crust. */
export const isCrumb = (of: Ingredient): boolean =>
  of.id === 'cracker_crumb_gf' || (of.madeFrom !== undefined && 'formulaId' in of.madeFrom);
/** What may stand in a blend: it counts in B. */
export const isBlendable = (of: Ingredient): boolean =>
  isProteinType(of) ||
  isStarch(of) ||
  isGum(of) ||
  isNut(of) ||
  of.kind === 'fibre' ||
  of.id.startsWith('milk_powder') ||
  of.id === 'egg_white_dry' ||
  of.id === 'egg_whole_dry' ||
  isCrumb(of);
export const isEgg = (of: Ingredient): boolean => of.kind === 'egg';
export const isSalt = (of: Ingredient): boolean => of.kind === 'salt';
/** Acids that wake soda and lift nothing by themselves. */
const leaveningAcids = new Set(['cream_of_tartar', 'sapp', 'mcp', 'salp']);
/** 0 for what is no yeast. */
export const yeastStrengthOf = (of: Ingredient): number => (yeastStrength.values as Readonly<Record<string, number>>)[of.id] ?? 0;
export const isYeast = (of: Ingredient): boolean => yeastStrengthOf(of) > 0;
export const isLeavener = (of: Ingredient): boolean => of.kind === 'leavener' && !isYeast(of) && !leaveningAcids.has(of.id);
export const isLeaveningAcid = (of: Ingredient): boolean => of.kind === 'acid' || leaveningAcids.has(of.id);
export const isSoda = (of: Ingredient): boolean => of.id === 'baking_soda' || of.id === 'potassium_bicarb';
export const isBakingPowder = (of: Ingredient): boolean => of.id === 'baking_powder' || of.id === 'baking_powder_tartar';
/** What of an egg it is, in grams of raw white and raw yolk a gram. */
export const eggOf = (of: Ingredient): { readonly white: number; readonly yolk: number } => {
  const [white, yolk] = (eggParts.values as Readonly<Record<string, readonly [number, number]>>)[of.id] ?? [0, 0];
  return { white, yolk };
};
export const isPouredWater = (of: Ingredient): boolean => of.id === 'water';
/** Dry goods whose own moisture is part of the flour, not of the water that wets the dough. */
export const isDry = (of: Ingredient): boolean =>
  (of.composition.waterShare <= 0.16 || isStarch(of)) && !['fat_solid', 'egg', 'dairy', 'syrup'].includes(of.kind);
/** Not for any dough: kept to read other recipes. */
export const isExcluded = (of: Ingredient): boolean => of.gluten === 'contains';
