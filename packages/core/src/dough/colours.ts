import { asparagineOfKind } from '../facts/acrylamide.js';
import { lightestDough, lightnessOfKind, reducingOfKind, wetDarkens } from '../facts/colour.js';
import { absorptionOf, lightnessOfAbsorption } from '../matter/lightness.js';
import { compositionOf, type Portion } from '../ingredient/mixture.js';

/** What the oven asks of a dough's colour, and of what comes with it. */
export type DoughColours = {
  /** Free asparagine, mg per kg of dry matter. */ readonly asparagineMgPerKgDry: number;
  /** Ammonium bicarbonate, g per 100 g of blend. */ readonly ammoniaPercent: number;
  /** Sugars that reduce (of milk, honey, fruit, syrups), of the dry matter: they brown first. */ readonly reducingShare: number;
  /** CIELAB L* before it bakes. */ readonly rawLightness: number;
};

/**
 * How a dough looks before it bakes, and what in it browns first.
 *
 * Units    share of the dry matter; CIELAB L*.
 * Throws   nothing.
 * Findings none.
 * Source   Kubelka & Munk 1931: absorption over scattering of the powders, by their dry matter less fat, times what wetting does;
 *          the ingredients' own lightness and reducing sugars, else those of their kind (facts/colour).
 *
 *          asparagine by kind: facts/acrylamide.
 *
 * @param portions of the dough, preparations opened up
 */
export function doughColours(portions: readonly Portion[], blendG: number): DoughColours {
  let [dryG, reducingG, colouringG, absorption, asparagineMg, ammoniaG] = [0, 0, 0, 0, 0, 0];
  for (const portion of portions) {
    const { ingredient, amountG } = portion;
    const { waterShare, fatShare, sugarsShare } = compositionOf(portion);
    dryG += amountG * (1 - waterShare);
    reducingG += amountG * sugarsShare * (ingredient.reducingShareOfSugars ?? reducingOfKind.values[ingredient.kind] ?? 0);
    asparagineMg += (amountG / 1000) * (asparagineOfKind.values[ingredient.kind] ?? 0);
    if (ingredient.leavens === 'ammonia') ammoniaG += amountG;
    const own = ingredient.rawLightness ?? lightnessOfKind.values[ingredient.kind];
    if (own === undefined) continue;
    const solidsG = amountG * Math.max(0, 1 - waterShare - fatShare);
    colouringG += solidsG;
    absorption += solidsG * absorptionOf(own);
  }
  const rawLightness = colouringG > 0 ? lightnessOfAbsorption((wetDarkens.value * absorption) / colouringG) : lightestDough.value;
  return {
    asparagineMgPerKgDry: dryG > 0 ? (1000 * asparagineMg) / dryG : 0,
    ammoniaPercent: (100 * ammoniaG) / blendG,
    reducingShare: dryG > 0 ? reducingG / dryG : 0,
    rawLightness: Math.min(lightestDough.value, rawLightness),
  };
}
