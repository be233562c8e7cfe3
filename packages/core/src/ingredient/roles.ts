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
  isCrumb(of);
export const isEgg = (of: Ingredient): boolean => of.kind === 'egg';
export const isSalt = (of: Ingredient): boolean => of.kind === 'salt';
export const isLeavener = (of: Ingredient): boolean => of.kind === 'leavener' && of.id !== 'yeast_dry' && of.id !== 'cream_of_tartar';
export const isPouredWater = (of: Ingredient): boolean => of.id === 'water';
/** Dry goods whose own moisture is part of the flour, not of the water that wets the dough. */
export const isDry = (of: Ingredient): boolean =>
  of.composition.waterShare <= 0.16 && !['fat_solid', 'egg', 'dairy', 'syrup'].includes(of.kind);
/** Not for any dough: kept to read other recipes. */
export const isExcluded = (of: Ingredient): boolean => of.gluten === 'contains';
