import { firstReach } from '../math/interpolate.js';
import { coldTable } from '../matter/cold-enthalpy.js';
import { conduct } from './conduction.js';
import { exposureAt, tableOf } from './exposure.js';
import { handlingOf } from '../dough/handling.js';
import type { Case } from '../document/case.js';
import type { Kitchen, Place } from '../document/kitchen.js';
import type { MakeUp } from '../matter/make-up.js';
import { fatWorkBands, solidFatCurves } from '../facts/fats.js';
import { readyAims } from '../facts/cold.js';
import type { SolidFatName } from '../document/pantry.js';
import type { ConductionForm } from './conduction.js';

/** What is made ready before the mixing starts, or kept for another day. */
export const readyThings = ['cutButter', 'butterBends', 'butterCreams', 'coldFlour', 'ballIn', 'ballOut', 'pieIn', 'pieOut'] as const;
export type ReadyThing = (typeof readyThings)[number];

export type MadeReady = {
  readonly thing: ReadyThing;
  readonly sizeMm: number;
  readonly from: { readonly name: string; readonly atC: number };
  readonly to: { readonly name: string; readonly atC: number };
  /** What its middle has to reach. */ readonly untilC: number;
  /** null: never, in that place. */ readonly min: number | null;
};

const none: MakeUp = { water: 0, fat: 0, starch: 0, protein: 0, sugar: 0, fibre: 0, gum: 0, salt: 0, ash: 0 };
/** Butter of 82 % fat. */
const BUTTER: MakeUp = { ...none, water: 0.16, fat: 0.82, protein: 0.01, ash: 0.01 };
const FLOUR: MakeUp = { ...none, water: 0.12, starch: 0.74, protein: 0.09, fibre: 0.04, ash: 0.01 };
/** A pie of crust and fruit, mixed. */
const PIE: MakeUp = { ...none, water: 0.55, fat: 0.1, starch: 0.19, sugar: 0.12, protein: 0.02, fibre: 0.015, salt: 0.003, ash: 0.002 };

/**
 * How long each thing takes that is made ready beforehand: cut butter and flour cold, a block soft enough, a dough ball and a
 * filled raw pie into the freezer and out again.
 *
 * Units    min, mm, C.
 * Throws   nothing; a kitchen without a fridge or freezer leaves out what needs it.
 * Findings none.
 * Source   conduct; aims and usual sizes facts/cold readyAims (judgement), softness from the fat's curve.
 */
export function madeReady(kitchen: Kitchen, dough: MakeUp): MadeReady[] {
  const fridge = kitchen.places.find(({ kind }) => kind === 'fridge');
  const freezer = kitchen.places.find(({ kind }) => kind === 'freezer');
  const table = tableOf(kitchen);
  const aims = readyAims.values;
  const handled: Place = { ...table, name: 'after cutting', atC: aims.cutC };
  const butter = { makeUp: BUTTER, fat: 'butter' as const };
  const list: (MadeReady | null)[] = [
    freezer
      ? timed('cutButter', { ...butter, form: 'sphere', sizeMm: aims.cubeMm }, { from: handled, to: freezer, untilC: aims.cutButterC })
      : null,
    fridge
      ? timed(
          'butterBends',
          { ...butter, form: 'cylinder', sizeMm: aims.blockMm },
          { from: fridge, to: table, untilC: atSolid('butter', 'laminate', 0.85) },
        )
      : null,
    fridge
      ? timed(
          'butterCreams',
          { ...butter, form: 'slab', sizeMm: aims.sliceMm },
          { from: fridge, to: table, untilC: atSolid('butter', 'creamed', 0.5) },
        )
      : null,
    freezer
      ? timed(
          'coldFlour',
          { makeUp: FLOUR, form: 'slab', sizeMm: aims.flourMm, loose: true },
          { from: table, to: freezer, untilC: aims.coldFlourC },
        )
      : null,
    freezer
      ? timed('ballIn', { makeUp: dough, form: 'sphere', sizeMm: aims.ballMm }, { from: table, to: freezer, untilC: aims.frozenC })
      : null,
    freezer && fridge
      ? timed('ballOut', { makeUp: dough, form: 'sphere', sizeMm: aims.ballMm }, { from: freezer, to: fridge, untilC: aims.thawedC })
      : null,
    freezer ? timed('pieIn', { makeUp: PIE, form: 'slab', sizeMm: aims.pieMm }, { from: table, to: freezer, untilC: aims.frozenC }) : null,
    freezer && fridge
      ? timed('pieOut', { makeUp: PIE, form: 'slab', sizeMm: aims.pieMm }, { from: freezer, to: fridge, untilC: aims.thawedC })
      : null,
  ];
  return list.filter((one) => one !== null);
}

/**
 * What of this a formula asks for: before its mixing, by how its solid fats go in; and what may be made cold or frozen besides.
 *
 * Units    as madeReady.
 * Throws   nothing.
 * Findings none.
 * Source   madeReady; which are wanted: common practice, no source.
 */
export function madeReadyFor(
  { formula, family, kitchen, pantry }: Case,
  dough: MakeUp,
): { readonly before: readonly MadeReady[]; readonly also: readonly MadeReady[] } {
  const before = new Set<ReadyThing>();
  for (const { use, fat, ingredientId } of formula.rows) {
    if (pantry.ingredients[ingredientId]?.kind !== 'fat_solid') continue;
    if (use === 'rollIn') before.add('butterBends');
    if (fat?.state === 'pieces' || fat?.state === 'rubbed') before.add('cutButter');
    if (fat?.state === 'creamed') before.add('butterCreams');
  }
  const handling = handlingOf(formula, family);
  const filled = formula.rows.some(({ use }) => use === 'filling');
  const also = new Set<ReadyThing>([
    ...(before.has('cutButter') ? (['coldFlour'] as const) : []),
    // A batter is not frozen, nor is what is melted into crumbs.
    ...(handling === 'poured' || handling === 'spread' || family.base === 'crumb' ? [] : (['ballIn', 'ballOut'] as const)),
    ...(filled && isPanOrFree(formula) ? (['pieIn', 'pieOut'] as const) : []),
  ]);
  const all = madeReady(kitchen, dough);
  return { before: all.filter(({ thing }) => before.has(thing)), also: all.filter(({ thing }) => also.has(thing)) };
}
const isPanOrFree = ({ sheet }: Case['formula']) =>
  sheet.parts.some(({ shape }) => ['lining', 'base', 'side', 'freeForm'].includes(shape.kind));

type Thing = {
  readonly makeUp: MakeUp;
  readonly form: ConductionForm;
  readonly sizeMm: number;
  readonly fat?: SolidFatName;
  /** Half air, as flour lies in a bowl. */ readonly loose?: boolean;
};

const LONGEST_MIN = 2880;

function timed(
  thing: ReadyThing,
  of: Thing,
  { from, to, untilC }: { readonly from: Place; readonly to: Place; readonly untilC: number },
): MadeReady {
  const solid = coldTable(of.makeUp);
  const material = of.loose
    ? { ...solid, density: 0.5 * solid.density, conductivityAt: (c: number) => 0.35 * solid.conductivityAt(c) }
    : solid;
  const course = conduct({
    form: of.form,
    sizeMm: of.sizeMm,
    material,
    startC: from.atC,
    exposures: [exposureAt(to, LONGEST_MIN, 'none')],
    cells: 16,
    ...(of.fat ? { fat: { name: of.fat, shareOfDough: of.makeUp.fat, melted: false } } : {}),
  });
  const reach = firstReach(course.min, course.middleC, untilC, untilC > from.atC ? 'rising' : 'falling');
  const shown = ({ name, atC }: Place) => ({ name, atC });
  return { thing, sizeMm: of.sizeMm, from: shown(from), to: shown(to), untilC, min: Number.isFinite(reach) ? reach : null };
}

/** Temperature at which a fat stands in a band of its solid share: 0 its soft end, 1 its hard end. */
function atSolid(fat: SolidFatName, band: keyof typeof fatWorkBands.values, along: number): number {
  const [low, high] = fatWorkBands.values[band];
  const middle = low! + along * (high! - low!);
  const { atC, solidPercent } = solidFatCurves.values[fat];
  return firstReach(atC, solidPercent, middle, 'falling');
}
