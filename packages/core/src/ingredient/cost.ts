import { sumG } from './mixture.js';
import { leavesOf } from './parts.js';
import { isPouredWater } from './roles.js';
import type { Lot, Pantry } from '../document/pantry.js';
import type { Portion } from './mixture.js';

/**
 * What a gram of a lot cost, in the smallest coin; undefined where the pack or its price is not known.
 *
 * Units    smallest coin a g.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * costPerG({ packCostMinor: 450, packG: 900 }); // => 0.5
 */
export function costPerG(lot: Lot | undefined): number | undefined {
  if (lot?.packCostMinor === undefined || lot.packG === undefined || lot.packG <= 0) return undefined;
  return lot.packCostMinor / lot.packG;
}

export type Cost = {
  /** Of all that has a price. */ readonly costMinor: number;
  /** Part of the mass that has a price; poured water counts as free. */ readonly pricedShare: number;
};

/**
 * What several portions cost, and how much of them has a price at all.
 *
 * Units    smallest coin of the kitchen's currency.
 * Throws   nothing.
 * Findings none.
 * Source   pack size and price of the lots chosen; a preparation costs what went into it.
 */
export function costOf(portions: readonly Portion[], pantry: Pantry): Cost {
  const leaves = portions.flatMap((portion) => leavesOf(pantry, portion));
  let costMinor = 0;
  let pricedG = 0;
  for (const { ingredient, lot, amountG } of leaves) {
    const perG = isPouredWater(ingredient) ? 0 : costPerG(lot);
    if (perG === undefined) continue;
    costMinor += perG * amountG;
    pricedG += amountG;
  }
  const totalG = sumG(leaves);
  return { costMinor, pricedShare: totalG > 0 ? pricedG / totalG : 0 };
}
