import { juicyFrom } from '../../facts/filling.js';
import { isEgg, isGum, isProteinType, isSalt, isStarch } from '../../ingredient/roles.js';
import { openedUp, type Leaf } from '../../ingredient/safety/hygiene.js';
import { makeUpOf, sumG, type Portion } from '../../ingredient/mixture.js';
import { isInOven } from './goes-on.js';
import type { Row } from '../../document/formula.js';
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
  rows: readonly { readonly row: Row; readonly portion: Portion }[],
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

function mixOf(portions: readonly Portion[], pantry: Pantry): FillingMix | null {
  if (portions.length === 0) return null;
  const leaves = portions.flatMap((portion) => openedUp(pantry, portion));
  const sum = (is: (leaf: Leaf) => boolean, of = (leaf: Leaf) => leaf.amountG) =>
    leaves.filter(is).reduce((g, portion) => g + of(portion), 0);
  const makeUp = makeUpOf(portions);
  const massG = sumG(portions);
  return {
    massG,
    makeUp,
    fruitWaterG: sum(
      // What was cooked and thickened beforehand gives no more juice.
      ({ ingredient: { kind, composition, origin, does }, cooked }) =>
        !cooked &&
        !does?.includes('ready') &&
        origin === 'plant' &&
        (kind === 'filling' || kind === 'inclusion') &&
        composition.waterShare >= juicyFrom.value,
      ({ ingredient, amountG }) => amountG * ingredient.composition.waterShare,
    ),
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
