import { isSoda } from '../ingredient/roles.js';
import type { Portion } from '../ingredient/mixture.js';

/** Soda, what the acid things of the dough can take up of it, and what is left. g. */
export type SodaBalance = { readonly sodaG: number; readonly neutralisedG: number; readonly freeG: number };

/**
 * Soda against the acids of a dough. Baking powder brings its own acid and stays out of it.
 *
 * Units    g.
 * Throws   nothing.
 * Findings none: dough-findings judges free soda.
 * Source   facts/mixing sodaNeutralisedBy (handbook ranges, from memory).
 *
 * @example
 * // 3 g soda and 120 g buttermilk: { sodaG: 3, neutralisedG: 1, freeG: 2 }
 */
export function sodaBalance(portions: readonly Portion[]): SodaBalance {
  const sodaG = sum(portions.filter(({ ingredient }) => isSoda(ingredient)));
  const acidTakesG = portions.reduce((total, { ingredient, amountG }) => {
    return total + amountG * (ingredient.takesSodaGPerG ?? 0);
  }, 0);
  const neutralisedG = Math.min(sodaG, acidTakesG);
  return { sodaG, neutralisedG, freeG: sodaG - neutralisedG };
}

const sum = (portions: readonly Portion[]) => portions.reduce((total, { amountG }) => total + amountG, 0);
