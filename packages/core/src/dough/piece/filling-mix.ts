import { juice, juicyFrom } from '../../facts/filling.js';
import { isEgg, isGum, isProteinType, isSalt, isStarch } from '../../ingredient/roles.js';
import { openedUp, type Leaf } from '../../ingredient/safety/hygiene.js';
import { compositionOf, makeUpOf, sumG, type Portion } from '../../ingredient/mixture.js';
import { isInOven } from './goes-on.js';
import type { PlacedRow } from './components.js';
import type { Pantry } from '../../document/pantry.js';
import type { MakeUp } from '../../matter/make-up.js';

/** Everything of a batch that is filling and goes on at one time: in the oven, or after it. */
export type FillingMix = {
  readonly massG: number;
  readonly makeUp: MakeUp;
  /** Water of fruit and vegetables, g. */ readonly fruitWaterG: number;
  readonly sugarG: number;
  readonly saltG: number;
  readonly starchG: number;
  readonly flourG: number;
  readonly gumG: number;
  readonly eggG: number;
  /** Of it, what nobody has cooked yet: it has to set in the oven. */ readonly unsetEggG: number;
  /** Milk, cream or cheese is in it. */ readonly dairy: boolean;
};

/** The filling that bakes, and the one that comes after; null where there is none. */
export function fillingMixes(
  rows: readonly PlacedRow[],
  pantry: Pantry,
): {
  readonly baked: FillingMix | null;
  readonly late: FillingMix | null;
} {
  const fillings = rows.filter(({ row, portion }) => row.use === 'filling' && portion.amountG > 0);
  return {
    baked: mixOf(
      fillings.filter(({ row }) => isInOven(row)).map(({ portion }) => portion),
      pantry,
    ),
    late: mixOf(
      fillings.filter(({ row }) => !isInOven(row)).map(({ portion }) => portion),
      pantry,
    ),
  };
}

/** Several portions as one mix that stands in the oven, or with its sugar. null for none. */
export function mixOf(portions: readonly Portion[], pantry: Pantry): FillingMix | null {
  if (portions.length === 0) return null;
  const leaves = portions.flatMap((portion) => openedUp(pantry, portion));
  const sum = (is: (leaf: Leaf) => boolean) => leaves.filter(is).reduce((g, { amountG }) => g + amountG, 0);
  const makeUp = makeUpOf(portions);
  const massG = sumG(portions);
  return {
    massG,
    makeUp,
    fruitWaterG: portions.reduce((g, portion) => g + fruitWaterOf(portion, pantry), 0),
    sugarG: sum(({ ingredient }) => ingredient.kind === 'sugar' || ingredient.kind === 'syrup'),
    saltG: sum(({ ingredient }) => isSalt(ingredient)),
    starchG: sum(({ ingredient }) => isStarch(ingredient)),
    flourG: sum(({ ingredient }) => isProteinType(ingredient)),
    gumG: sum(({ ingredient }) => isGum(ingredient)),
    eggG: sum(({ ingredient }) => isEgg(ingredient)),
    unsetEggG: sum(({ ingredient, cooked }) => isEgg(ingredient) && !cooked),
    dairy: leaves.some(({ ingredient }) => ingredient.kind === 'dairy'),
  };
}

const waterOf = (portion: Portion) => portion.amountG * compositionOf(portion).waterShare;

/** What was cooked and thickened beforehand gives no more juice; what ran off before is no longer there. */
function fruitWaterOf(portion: Portion, pantry: Pantry): number {
  const leaves = openedUp(pantry, portion);
  const allG = leaves.reduce((g, leaf) => g + waterOf(leaf), 0);
  const fruitG = leaves.filter(isJuicy).reduce((g, leaf) => g + waterOf(leaf), 0);
  return allG > 0 ? fruitG * Math.min(1, waterOf(portion) / allG) : 0;
}

const isJuicy = ({ ingredient: { kind, composition, origin, does }, cooked }: Leaf): boolean =>
  !cooked &&
  !does?.includes('ready') &&
  origin === 'plant' &&
  (kind === 'filling' || kind === 'inclusion') &&
  composition.waterShare >= juicyFrom.value;

/**
 * Juice that fruit and vegetables have given after some minutes with sugar and salt; Infinity counts the heat of the oven in.
 *
 * Units    g; min.
 * Throws   nothing.
 * Findings none.
 * Source   facts/filling juice (judgement).
 */
export function juiceOf({ fruitWaterG, sugarG, saltG }: FillingMix, min: number): number {
  const { heatShare, perSugar, perSalt, mostShare, setMin } = juice.values;
  const drawn = Math.min(mostShare * fruitWaterG, perSugar * sugarG + perSalt * saltG);
  if (Number.isFinite(min)) return fruitWaterG > 0 ? drawn * (1 - Math.exp(-min / setMin)) : 0;
  return Math.min(mostShare * fruitWaterG, heatShare * fruitWaterG + drawn);
}
