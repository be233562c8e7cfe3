import { bakedPolymerShare, gabIsotherm, norrishSucrose, polymers, saltIons, sucroseGlass, sucroseSolubility } from '../facts/sorption.js';
import { risingRoot } from '../math/bisect.js';
import type { Gab } from '../facts/sorption.js';
import type { MakeUp } from './make-up.js';

/** Solids that hold water, on any one basis (per kg dough or per kg dry). `polymerScale` is 1 in the oven, lower once baked and dried. */
export type Solids = {
  readonly starch: number;
  readonly protein: number;
  readonly fibre: number;
  readonly gum: number;
  readonly sugar: number;
  readonly salt: number;
  readonly polymerScale: number;
  /** Cooled and dry, sugar is a glass that takes water as one; hot in the oven it is a solution. */ readonly glassySugar: boolean;
};

export const waterMolarMass = 0.0180153;

/** The water-holding solids of a make-up, on its own basis. `dissolvedSugar` is the share of the sugar that is in solution. */
export function solidsOf(of: MakeUp, dissolvedSugar = 1): Solids {
  const { starch, protein, fibre, gum, salt } = of;
  return { starch, protein, fibre, gum, salt, sugar: of.sugar * dissolvedSugar, polymerScale: 1, glassySugar: false };
}

/** The same solids after gelatinising, drying and cooling. */
export const bakedSolids = (of: Solids): Solids => ({ ...of, polymerScale: bakedPolymerShare.value, glassySugar: true });

/**
 * Water that solids hold at a water activity: each at the same activity, summed.
 *
 * Units    activity 0..1; the answer on the basis of the solids (kg per kg).
 * Throws   nothing.
 * Findings none.
 * Source   GAB for polymers, Norrish 1966 for sugar in solution, GAB for sugar as a glass, ideal ions for salt; summed after Salwin & Slawson 1959.
 *
 * @example
 * heldWater({ ...none, starch: 1 }, 0.5); // => about 0.13
 */
export function heldWater(by: Solids, activity: number): number {
  let water = 0;
  for (const name of polymers) {
    if (by[name] > 0) water += by.polymerScale * by[name] * gab(gabIsotherm.values[name], activity);
  }
  if (by.sugar > 0) water += by.sugar * (by.glassySugar ? glassySucroseWater(activity) : sucroseWater(activity));
  if (by.salt > 0) {
    const { ions, kgPerMol, osmotic } = saltIons.values;
    water += (by.salt * -osmotic * ions * waterMolarMass) / (kgPerMol * Math.log(activity));
  }
  return water;
}

/**
 * Water activity of solids that hold a given amount of water.
 *
 * Units    water on the basis of the solids; activity 0..1.
 * Throws   nothing; no water gives 0.
 * Findings none.
 * Source   inverse of heldWater, by bisection (monotone).
 *
 * @example
 * waterActivity(solidsOf(cracker), 0.054); // => 0.268
 */
export function waterActivity(by: Solids, water: number): number {
  if (water <= 0) return 0;
  return risingRoot((activity) => heldWater(by, activity) - water, 1e-7, 1 - 1e-9);
}

/**
 * Water activity of a raw dough: only sugar that fits into its water is dissolved and counts.
 *
 * Units    make-up as shares of the dough; activity 0..1.
 * Throws   nothing.
 * Findings none.
 * Source   heldWater with sucrose solubility (facts/sorption).
 */
export function rawDoughActivity(of: MakeUp): { activity: number; dissolvedSugar: number } {
  const dissolvedSugar = of.sugar > 0 ? Math.min(1, (sucroseSolubility.value * of.water) / of.sugar) : 1;
  return { activity: waterActivity(solidsOf(of, dissolvedSugar), of.water), dissolvedSugar };
}

const gab = ({ m0, c, k }: Gab, a: number) => (m0 * c * k * a) / ((1 - k * a) * (1 - k * a + c * k * a));

/** Amorphous sucrose holds less than a solution of the same activity would, up to where the two laws cross. */
function glassySucroseWater(activity: number): number {
  const solution = sucroseWater(activity);
  return activity < sucroseGlass.values.belowAw ? Math.min(solution, gab(sucroseGlass.values, activity)) : solution;
}

/** kg water per kg sucrose at an activity: Norrish solved for the mole fraction of water, by Newton on its logarithm. */
function sucroseWater(activity: number): number {
  const { k, kgPerMol } = norrishSucrose.values;
  const target = Math.log(activity);
  let x = activity;
  for (let i = 0; i < 30; i++) {
    const solute = 1 - x;
    const move = (Math.log(x) + k * solute * solute - target) / (1 / x - 2 * k * solute);
    // Rising and concave from below: a step past the ends is halved back inside.
    const next = x - move;
    x = next <= 0 ? 0.5 * x : next >= 1 ? 0.5 * (1 + x) : next;
    if (Math.abs(move) < 1e-13) break;
  }
  return (x * waterMolarMass) / ((1 - x) * kgPerMol);
}
