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

/** Whatever can be weighed. */
export type Ingredient = {
  readonly id: string;
  readonly name: string;
  /** flour_grain, starch, gum, fat_liquid, egg, ... */ readonly kind: string;
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
  readonly basis: Basis;
  readonly source: string;
  /** What this kitchen changed, by field. */ readonly corrected?: Readonly<Record<string, Fact>>;
};

export type GlutenReport = { readonly mgPerKg: number; readonly below: boolean; readonly method: string; readonly on: string };
export type Lot = {
  readonly id: string;
  readonly ingredientId: string;
  readonly code: string;
  /** Measured; outranks the ingredient's water share. */ readonly moistureShare?: number;
  /** No report: not proven. */ readonly report?: GlutenReport;
  readonly setAside?: string;
};

/** What a formula may read of the pantry, corrections merged in. */
export type Pantry = {
  readonly ingredients: Readonly<Record<string, Ingredient>>;
  readonly lots: Readonly<Record<string, Lot>>;
};
