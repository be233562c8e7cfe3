import { frozenThroughC } from '../facts/keeping.js';
import { firstReach } from '../math/interpolate.js';
import { coldTable } from '../matter/cold-enthalpy.js';
import { benchWindow, conductionForm } from './chill.js';
import { conduct } from './conduction.js';
import { exposureAt, tableOf } from './exposure.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen, Place } from '../document/kitchen.js';
import type { DoughResult } from '../dough/dough.js';
import type { Family } from '../facts/families.js';
import type { ColdTable } from '../matter/cold-enthalpy.js';

/** One way to get a dough cold: places in turn, and what the table gives after it. */
export type ChillWay = {
  readonly thicknessMm: number;
  readonly waits: readonly { readonly placeId: string; readonly name: string; readonly min: number }[];
  /** Workable minutes on the table afterwards, and after how long there they begin. */ readonly benchMin: number;
  readonly benchFromMin: number;
};

/** Into the freezer for another day, and out of it again. Minutes; null when not within the time looked at. */
export type FrozenDough = {
  readonly placeId: string;
  /** Middle at -12 C. */ readonly frozenMin: number | null;
  /** Out of the freezer until it rolls: in the fridge, and on the table. */ readonly fridgeMin: number | null;
  readonly tableMin: number | null;
};

export type ChillWays = { readonly ways: readonly ChillWay[]; readonly frozen: FrozenDough | null };

const LONGEST_MIN = 300;
const OVERNIGHT_MIN = 720;
const THAW_MIN = 1440;
/** A thick slab pressed to this is cold in a fraction of the time. */
const THIN_MM = 15;

/**
 * The ways this kitchen has to bring a dough to its target, the quickest first, and what freezing it would take.
 *
 * Units    min, mm.
 * Throws   nothing for a formula whose chill stage was worked out.
 * Findings none.
 * Source   conduct; the target is the formula's, the workable window the family's.
 */
export function chillWays(formula: Formula, family: Family, kitchen: Kitchen, dough: DoughResult): ChillWays {
  const material = coldTable(dough.makeUp);
  const fat =
    dough.solidFat === null ? {} : { fat: { name: dough.solidFat, shareOfDough: dough.makeUp.fat, melted: dough.fatPieces === 0 } };
  const { chill } = formula;
  const table = tableOf(kitchen);
  const [low, , high] = family.rollC;
  const cool = (thicknessMm: number, waits: readonly { readonly place: Place; readonly min: number }[], tableMin = 60) =>
    conduct({
      form: conductionForm(chill.form),
      sizeMm: thicknessMm,
      material,
      startC: dough.doughAtC,
      exposures: [...waits.map(({ place, min }) => exposureAt(place, min, chill.wrap)), exposureAt(table, tableMin, 'none')],
      ...fat,
    });
  const bench = (thicknessMm: number, waits: readonly { readonly place: Place; readonly min: number }[]): ChillWay => {
    const outMin = waits.reduce((sum, { min }) => sum + min, 0);
    const course = cool(thicknessMm, waits);
    const out = course.min.findIndex((at) => at >= outMin - 1e-6);
    const { benchMin, benchFromMin } = benchWindow({ ...course, startMin: 0, outMin }, out, low, high);
    return { thicknessMm, waits: waits.map(({ place: { id, name }, min }) => ({ placeId: id, name, min })), benchMin, benchFromMin };
  };
  const until = (thicknessMm: number, place: Place, startingWith: readonly { place: Place; min: number }[] = []): number | null => {
    const before = startingWith.reduce((sum, { min }) => sum + min, 0);
    const course = cool(thicknessMm, [...startingWith, { place, min: LONGEST_MIN }], 0.5);
    const min = firstReach(course.min, course.middleC, chill.targetC, 'falling') - before;
    return Number.isFinite(min) && min <= LONGEST_MIN ? Math.max(1, Math.ceil(min)) : null;
  };
  const cold = kitchen.places.filter(({ kind, atC }) => kind !== 'rack' && kind !== 'bench' && atC < chill.targetC);
  const sizes = chill.thicknessMm > 1.2 * THIN_MM ? [chill.thicknessMm, THIN_MM] : [chill.thicknessMm];
  const ways: ChillWay[] = cold.flatMap((place) =>
    sizes.flatMap((mm) => {
      const min = until(mm, place);
      return min === null ? [] : [bench(mm, [{ place, min }])];
    }),
  );
  const fridge = cold.find(({ kind }) => kind === 'fridge');
  const freezer = kitchen.places.find(({ kind }) => kind === 'freezer');
  const alone = freezer && until(chill.thicknessMm, freezer);
  if (fridge && freezer && alone && alone >= 6) {
    const first = { place: freezer, min: Math.round(alone / 2) };
    const min = until(chill.thicknessMm, fridge, [first]);
    if (min !== null) ways.push(bench(chill.thicknessMm, [first, { place: fridge, min }]));
  }
  if (fridge) ways.push(bench(chill.thicknessMm, [{ place: fridge, min: OVERNIGHT_MIN }]));
  const length = ({ waits }: ChillWay) => waits.reduce((sum, { min }) => sum + min, 0);
  ways.sort((a, b) => length(a) - length(b));
  return {
    ways,
    frozen: freezer ? frozenDough(formula, kitchen, { material, doughAtC: dough.doughAtC, rollsFromC: low }, { freezer, fridge }) : null,
  };
}

function frozenDough(
  formula: Formula,
  kitchen: Kitchen,
  { material, doughAtC, rollsFromC }: { readonly material: ColdTable; readonly doughAtC: number; readonly rollsFromC: number },
  { freezer, fridge }: { readonly freezer: Place; readonly fridge: Place | undefined },
): FrozenDough {
  const { chill } = formula;
  const at = (place: Place, startC: number, min: number) =>
    conduct({
      form: conductionForm(chill.form),
      sizeMm: chill.thicknessMm,
      material,
      startC,
      exposures: [exposureAt(place, min, chill.wrap)],
      cells: 16,
    });
  const reach = (place: Place, startC: number, toC: number, way: 'rising' | 'falling') => {
    const { min, middleC } = at(place, startC, THAW_MIN);
    const found = firstReach(min, middleC, toC, way);
    return Number.isFinite(found) ? Math.ceil(found) : null;
  };
  // In the fridge it comes to the fridge's own temperature and no further: near enough counts as thawed.
  const inFridge = fridge ? Math.min(rollsFromC, fridge.atC - 1) : rollsFromC;
  return {
    placeId: freezer.id,
    frozenMin: freezer.atC < frozenThroughC.value ? reach(freezer, doughAtC, frozenThroughC.value, 'falling') : null,
    fridgeMin: fridge ? reach(fridge, freezer.atC, inFridge, 'rising') : null,
    tableMin: reach(tableOf(kitchen), freezer.atC, rollsFromC, 'rising'),
  };
}
