import type { Composition } from '../document/pantry.js';
import type { LabelNutrient, LabelRule } from './rounding.js';

/**
 * What 100 g of something would show on a panel before rounding.
 *
 * Units    g, mg sodium and kcal per 100 g.
 * Throws   nothing.
 * Findings none.
 * Source   US carbohydrate is by difference, fibre included; EU carbohydrate is what is digested. Energy 4 / 9 / 4 / 2 kcal per g of
 *          protein, fat, carbohydrate and fibre, of what is `other` as said: alcohol 7, acids 3, polyols 2.4 (Reg. (EU) 1169/2011 Annex XIV; US general factors with 2 for fibre); salt = sodium x 2.5.
 */
export function panelOf(c: Composition, rule: LabelRule, otherKcalPerG = 4): Readonly<Record<LabelNutrient, number>> {
  const digested = (c.starchShare + c.sugarsShare + c.otherShare) * 100;
  const otherKcal = (otherKcalPerG - 4) * c.otherShare * 100;
  const fibre = c.fibreShare * 100;
  return {
    energyKcal: 4 * c.proteinShare * 100 + 9 * c.fatShare * 100 + 4 * digested + 2 * fibre + otherKcal,
    fat: c.fatShare * 100,
    saturatedFat: c.saturatedFatShare * 100,
    carbohydrate: rule === 'us' ? digested + fibre : digested,
    sugars: c.sugarsShare * 100,
    fibre,
    protein: c.proteinShare * 100,
    sodiumMg: c.sodiumShare * 100000,
    salt: c.sodiumShare * 250,
  };
}
