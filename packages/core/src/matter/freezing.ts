import { latentHeatOfIce } from '../facts/thermal.js';
import { heldWater, rawDoughActivity, solidsOf, waterMolarMass } from './sorption.js';
import type { MakeUp } from './make-up.js';

export const gasConstant = 8.314462618;

export type Freezing = {
  /** Where the first ice forms. Far below -25 it only means: no ice in a home freezer. */ readonly firstIceC: number;
  /** Ice as a share of the dough at a temperature. */ readonly iceShareAt: (atC: number) => number;
};

/**
 * Where a dough begins to freeze and how much of it is ice, from the same law as its water activity.
 *
 * Units    make-up as shares of the dough; C; ice as a share of the dough.
 * Throws   nothing.
 * Findings none.
 * Source   freezing point depression of the water's activity; undercooling and slow glass effects left out.
 */
export function freezing(of: MakeUp): Freezing {
  const { activity, dissolvedSugar } = rawDoughActivity(of);
  const solids = solidsOf(of, dissolvedSugar);
  const molarHeat = waterMolarMass * latentHeatOfIce.value;
  const firstIceC = 1 / (1 / 273.15 - (gasConstant * Math.log(activity)) / molarHeat) - 273.15;
  const iceShareAt = (atC: number) => {
    if (atC >= firstIceC) return 0;
    const overIce = Math.exp((-molarHeat / gasConstant) * (1 / (atC + 273.15) - 1 / 273.15));
    return Math.max(0, of.water - heldWater(solids, overIce));
  };
  return { firstIceC, iceShareAt };
}
