import { juicyFrom } from '../facts/filling.js';
import { isEgg, isGum, isProteinType, isSalt, isStarch } from '../ingredient/roles.js';
import { makeUpOf, type Portion } from '../ingredient/mixture.js';
import { isInOven } from './goes-on.js';
import type { Row } from '../document/formula.js';
import type { MakeUp } from '../matter/make-up.js';

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
  /** Milk, cream or cheese is in it: it needs the cold. */ readonly dairy: boolean;
};

/** The filling that bakes, and the one that comes after; null where there is none. */
export function fillingMixes(rows: readonly { readonly row: Row; readonly portion: Portion }[]): {
  readonly baked: FillingMix | null;
  readonly late: FillingMix | null;
} {
  const fillings = rows.filter(({ row, portion }) => row.use === 'filling' && portion.amountG > 0);
  return {
    baked: mixOf(fillings.filter(({ row }) => isInOven(row)).map(({ portion }) => portion)),
    late: mixOf(fillings.filter(({ row }) => !isInOven(row)).map(({ portion }) => portion)),
  };
}

function mixOf(portions: readonly Portion[]): FillingMix | null {
  if (portions.length === 0) return null;
  const sum = (is: (portion: Portion) => boolean, of = (portion: Portion) => portion.amountG) =>
    portions.filter(is).reduce((g, portion) => g + of(portion), 0);
  const makeUp = makeUpOf(portions);
  const massG = sum(() => true);
  return {
    massG,
    makeUp,
    fruitWaterG: sum(
      ({ ingredient: { kind, composition } }) => (kind === 'filling' || kind === 'inclusion') && composition.waterShare >= juicyFrom.value,
      ({ ingredient, amountG }) => amountG * ingredient.composition.waterShare,
    ),
    sugarG: sum(({ ingredient }) => ingredient.kind === 'sugar' || ingredient.kind === 'syrup'),
    saltG: sum(({ ingredient }) => isSalt(ingredient)),
    starchG: sum(({ ingredient }) => isStarch(ingredient)),
    flourG: sum(({ ingredient }) => isProteinType(ingredient)),
    gumG: sum(({ ingredient }) => isGum(ingredient)),
    eggG: sum(({ ingredient }) => isEgg(ingredient)),
    dairy: portions.some(({ ingredient }) => ingredient.kind === 'dairy'),
  };
}
