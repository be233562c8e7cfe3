import type { LeftOver } from './bake.js';
import type { Basis, Fact } from '../facts/fact.js';
import type { SolidFatName } from '../facts/fats.js';

/** Shares of the mass, 0..1; saturated fat is part of fat, sodium part of ash. */
export type Composition = {
  readonly waterShare: number;
  readonly proteinShare: number;
  readonly fatShare: number;
  readonly saturatedFatShare: number;
  readonly sugarsShare: number;
  readonly starchShare: number;
  readonly fibreShare: number;
  readonly ashShare: number;
  readonly otherShare: number;
  readonly sodiumShare: number;
};

/** What it comes from: vegan, vegetarian and religious limits ask. */
export const origins = ['plant', 'milk', 'egg', 'honey', 'animal', 'mineral', 'microbe'] as const;
export type Origin = (typeof origins)[number];
export const ingredientKinds = [
  'flour_grain',
  'flour_starchy',
  'flour_pseudo',
  'flour_legume',
  'flour_nut',
  'flour_tuber',
  'blend',
  'starch',
  'gum',
  'binder_seed',
  'fibre',
  'fat_solid',
  'fat_liquid',
  'egg',
  'liquid',
  'dairy',
  'plant_milk',
  'sugar',
  'syrup',
  'salt',
  'leavener',
  'acid',
  'flavour',
  'inclusion',
  'filling',
  'excluded',
] as const;
export type IngredientKind = (typeof ingredientKinds)[number];

/** How far heat has made it safe to eat as it is. Pasteurised: in its pack, kept cold. Cooked: by its maker, or by us to a known core. */
export const heats = ['raw', 'pasteurised', 'heatTreated', 'cooked'] as const;
export type Heat = (typeof heats)[number];

/** One thing an ingredient is made of: grams of it in a gram of the finished ingredient. Their sum passes 1 where water was driven off. */
export type IngredientPart = { readonly ingredientId: string; readonly gPerG: number; readonly lotId?: string };

/** Whatever can be weighed. */
export type Ingredient = {
  readonly id: string;
  readonly name: string;
  readonly kind: IngredientKind;
  readonly composition: Composition;
  readonly spoonedGPerMl?: number;
  readonly packedGPerMl?: number;
  readonly pieceG?: number;
  readonly waterHoldGPerG?: number;
  readonly setsAtC?: number;
  readonly xanthanPerG?: number;
  readonly grit?: number;
  readonly flavour?: number;
  readonly solidFat?: SolidFatName;
  readonly allergens: readonly string[];
  readonly gluten: 'free' | 'needsProof' | 'contains';
  readonly origin: Origin;
  /** Of an ingredient of the kitchen's own: somebody read its label for allergens. Left out: nobody said, and none is not known. */
  readonly labelRead?: boolean;
  /** Left out where it does not matter, or is not known. */ readonly heat?: Heat;
  /** Of a preparation: what its middle came to, C; left out: nobody said. */ readonly cookedToC?: number;
  /** Its label keeps it at 5 C or colder, whatever its acid. */ readonly needsCold?: true;
  /** Below pH 4.6. */ readonly acid?: true;
  /** Its water lies in drops in fat, where little grows. */ readonly waterInFat?: true;
  /** Energy of what its composition calls other: alcohol, acids, polyols. Left out: as carbohydrate. */ readonly otherKcalPerG?: number;
  /** Its label says lactose-free; it still is of milk. */ readonly lactoseFree?: true;
  readonly teaspoonG?: number;
  readonly particleUm?: number;
  readonly note?: string;
  readonly basis: Basis;
  readonly source: string;
  /** What this kitchen changed, by field ('composition.proteinShare', 'waterHoldGPerG'). */ readonly corrected?: Readonly<
    Record<string, Fact>
  >;
  /** A crumb, a filling, a ready blend: what it was made from, and of what. */
  readonly madeFrom?:
    | { readonly formulaId: string; readonly version: number }
    | { readonly blendId: string; readonly version: number }
    | { readonly preparationId: string };
  readonly parts?: readonly IngredientPart[];
};

/** `below`: less than `mgPerKg` was found, which then is the limit of detection. */
export type GlutenReport = { readonly mgPerKg: number; readonly below: boolean; readonly method: string; readonly on: string };
/** `until` is its last day, 2027-03-31. */
export type GlutenCertificate = { readonly number: string; readonly by: string; readonly until: string };
export type Lot = {
  readonly id: string;
  readonly ingredientId: string;
  readonly code: string;
  readonly supplier?: string;
  /** Left now; left out where nobody counts it. */ readonly onHandG?: number;
  /** Calendar days, 2026-11-25: past it the taste may have gone; smell and taste decide. */ readonly bestByOn?: string;
  /** Past it nobody eats it, whatever it smells of. */ readonly useByOn?: string;
  readonly openedOn?: string;
  readonly packG?: number;
  /** Of one pack, in the smallest coin. */ readonly packCostMinor?: number;
  /** Measured; outranks the ingredient's water share. */ readonly moistureShare?: number;
  /** No report: not proven. */ readonly report?: GlutenReport;
  /** A maker's own certificate, beside or in place of a report. */ readonly certificate?: GlutenCertificate;
  /** Who took the mark on the bag for proof, and why; a home kitchen may. */ readonly acceptedOnBag?: string;
  /** Why it is taken without a report: only where no grain is in it. */ readonly acceptedWithoutReport?: string;
  /** Why it is not used. */ readonly setAside?: string;
  /** Where it lies, a place of the kitchen. */ readonly placeId?: string;
  /** The bake that left it. */ readonly from?: { readonly bakeId: string; readonly what: LeftOver };
};

/** What a formula may read of the pantry, corrections merged in. */
export type Pantry = {
  readonly ingredients: Readonly<Record<string, Ingredient>>;
  readonly lots: Readonly<Record<string, Lot>>;
  /** The day it was read, 2026-11-25: old reports and best-by dates are judged by it. */ readonly on?: string;
};
