import { InputError } from '../../errors.js';
import { conduct } from '../../chill/conduction.js';
import { exposureAt, exposuresOf, placeOf, tableOf } from '../../chill/exposure.js';
import { bandTemperatures } from '../../dough/fat.js';
import { fatWorkBands } from '../../facts/fats.js';
import { firmnessRule, foldHands, proofSolidFat } from '../../facts/laminating.js';
import { mixMakeUps } from '../../ingredient/mixture.js';
import { coldTable } from '../../matter/cold-enthalpy.js';
import { firstReach } from '../../math/interpolate.js';
import { solidFatPercent } from '../../matter/solid-fat.js';
import { doughSlabOf, fatSlabOf, laminationLayers, layerThickness, lockedIn, sheetRun } from './laminate.js';
import { bowlDensityOf, firstPart } from '../plan.js';
import type { ChillResult } from '../../chill/chill.js';
import type { Laminate, Wait } from '../../document/formula.js';
import type { Kitchen } from '../../document/kitchen.js';
import type { DoughResult } from '../../dough/dough.js';
import type { Family } from '../../facts/families.js';
import type { ColdTable } from '../../matter/cold-enthalpy.js';
import type { Layers, RolledSlab, Turn } from './laminate.js';
import type { SolidFatName } from '../../document/pantry.js';
import type { Case } from '../../document/case.js';

/** One stretch of work on the table, and the rest that follows. Times in min from the lock-in, temperatures of the middle in C. */
export type LaminateStep = {
  readonly what: 'lockIn' | 'fold' | 'lastRoll';
  readonly fatLayers: number;
  readonly atMin: number;
  readonly handsMin: number;
  readonly fromC: number;
  /** Warmest when the work ends. */ readonly toC: number;
  readonly restMin: number;
  /** What lies there when the work ends. */ readonly lies: RolledSlab;
  /** Which wait of the rest is its coldest, and the minutes it would take for the next work to end inside the window; null where that is never so. */
  readonly restNeeds: { readonly wait: number; readonly min: number } | null;
  /** Minutes at the table that would bring what is too stiff to the window before this work; null where it is not. */ readonly standMin:
    number | null;
  readonly turn?: Turn;
};

export type LaminateResult = {
  readonly layers: Layers;
  readonly fatUm: number;
  readonly doughUm: number;
  readonly fatVolumeShare: number;
  /** Fat over dough, over both, over the blend. */ readonly rollIn: {
    readonly ofDough: number;
    readonly ofAll: number;
    readonly ofBlend: number;
  };
  readonly fatG: number;
  readonly dough: RolledSlab;
  readonly fat: RolledSlab;
  readonly locked: RolledSlab;
  readonly steps: readonly LaminateStep[];
  /** The last sheet, trim and all. */ readonly sheet: RolledSlab;
  readonly fatName: SolidFatName | null;
  /** Where this fat bends without breaking or smearing; null where its curve is not known. */ readonly bendsC:
    readonly [number, number] | null;
  /** Where fat and dough can both be rolled. */ readonly windowC: readonly [number, number];
  readonly totalMin: number;
  readonly handsMin: number;
  /** Above this the fat runs while the dough proves; null where its curve is not known. */ readonly proofMostC: number | null;
};

/** A rest aims this much under the warm end of the window. */
const AIM_K = 1;
/** A rest is looked at so long for the minutes that it needs. */
const LONGEST_REST_MIN = 240;

/**
 * Fat folded into dough: sizes of every roll, layers, temperatures and minutes.
 *
 * Units    mm, g, C, min; layers in um.
 * Throws   InputError at rows where nothing is rolled in, at sheet.laminate.* out of range.
 * Findings none; laminateFindings judges.
 * Source   laminate.ts; temperatures by conduct, the packet as a slab of its own thickness in its rests and of the rolled one on the table; minutes of hands facts/laminating (judgement).
 */
export function laminate({ formula, family, kitchen }: Case, plan: Laminate, dough: DoughResult, chill: ChillResult): LaminateResult {
  const { rollIn } = dough;
  if (!rollIn) throw new InputError('rows', 'nothing is rolled in: say on the Dough board that the butter or block is "to roll in"');
  const density = bowlDensityOf(formula);
  const sheetMm = firstPart(formula).thicknessMm;
  const start = doughSlabOf(plan.lockIn, dough.doughG, density, plan.doughMm);
  const fat = fatSlabOf(plan.lockIn, start, plan.borderMm, rollIn.massG);
  const locked = lockedIn(plan.lockIn, start, fat);
  const volume = locked.widthMm * locked.lengthMm * locked.thicknessMm;
  const turns = sheetRun(volume, Math.min(locked.widthMm, locked.lengthMm), plan.folds);
  const last = turns[turns.length - 1]?.folded ?? locked;
  if (sheetMm >= last.thicknessMm) {
    throw new InputError('sheet.parts[0].thicknessMm', `must be thinner than the ${last.thicknessMm.toFixed(0)} mm that lie there folded`);
  }
  const sheet = { widthMm: last.lengthMm, lengthMm: volume / (last.lengthMm * sheetMm), thicknessMm: sheetMm };
  const folds = plan.folds.map(({ parts }) => parts);
  const layers = laminationLayers(plan.lockIn, folds);
  const bendsC = rollIn.fat ? bandTemperatures(rollIn.fat, fatWorkBands.values.laminate as readonly [number, number]) : null;
  const windowC = windowOf(family, bendsC);
  const material = coldTable(
    mixMakeUps([
      { makeUp: dough.makeUp, massG: dough.doughG },
      { makeUp: rollIn.makeUp, massG: rollIn.massG },
    ]),
  );
  const works: readonly Work[] = [
    { what: 'lockIn', lies: locked, tableMm: start.thicknessMm, handsMin: foldHands.values.lockInMin, waits: [], path: '' },
    ...turns.map((turn, i): Work => ({ what: 'fold', turn, lies: turn.folded, tableMm: turn.rolled.thicknessMm, handsMin: foldHands.values.foldMin, waits: plan.folds[i]!.waits, path: `sheet.laminate.folds[${i}].waits` })), // prettier-ignore
    { what: 'lastRoll', lies: sheet, tableMm: sheetMm, handsMin: foldHands.values.lastRollMin, waits: [], path: '' },
  ];
  const steps = coursed(works, plan, { material, startC: chill.endMiddleC, kitchen }, windowC);
  const end = steps[steps.length - 1]!;
  return {
    layers,
    ...layerThickness(layers, sheetMm, { fatG: rollIn.massG, doughG: dough.doughG, doughGPerMl: density }),
    rollIn: {
      ofDough: rollIn.massG / dough.doughG,
      ofAll: rollIn.massG / (rollIn.massG + dough.doughG),
      ofBlend: rollIn.massG / formula.blendG,
    },
    fatG: rollIn.massG,
    dough: start,
    fat,
    locked,
    steps,
    sheet,
    fatName: rollIn.fat,
    bendsC,
    windowC,
    totalMin: end.atMin + end.handsMin,
    handsMin: steps.reduce((sum, { handsMin }) => sum + handsMin, 0),
    proofMostC: rollIn.fat ? runsAbove(rollIn.fat) : null,
  };
}

/** Degrees that hands can hold a packet within. */
const HELD_K = 3;

/** Where dough and fat can both be rolled; where they hardly meet the fat decides, for it is the fat that breaks or smears. */
function windowOf({ rollC: [low, , high] }: Family, bendsC: readonly [number, number] | null): readonly [number, number] {
  if (!bendsC) return [low, high];
  const both = [Math.max(low, bendsC[0]), Math.min(high, bendsC[1])] as const;
  return both[1] - both[0] >= HELD_K ? both : bendsC;
}

type Work = {
  readonly what: LaminateStep['what'];
  readonly turn?: Turn;
  readonly lies: RolledSlab;
  readonly tableMm: number;
  readonly handsMin: number;
  readonly waits: readonly Wait[];
  readonly path: string;
};

/** Work and rest after work and rest, each starting as warm as the one before left the packet. */
function coursed(
  works: readonly Work[],
  plan: Laminate,
  { material, startC, kitchen }: { readonly material: ColdTable; readonly startC: number; readonly kitchen: Kitchen },
  [low, high]: readonly [number, number],
): LaminateStep[] {
  const table = tableOf(kitchen);
  const onTable = (fromC: number, sizeMm: number, min: number) =>
    lastOf(conduct({ form: 'slab', sizeMm: Math.max(2, sizeMm), material, startC: fromC, exposures: [exposureAt(table, min, 'none')], cells: 8 }).middleC, fromC); // prettier-ignore
  let atMin = 0;
  let fromC = startC;
  let fatLayers = laminationLayers(plan.lockIn, []).fatLayers;
  let folded = 0;
  return works.map((work, i): LaminateStep => {
    if (work.turn) {
      folded++;
      fatLayers = laminationLayers(
        plan.lockIn,
        plan.folds.slice(0, folded).map(({ parts }) => parts),
      ).fatLayers;
    }
    const toC = onTable(fromC, work.tableMm, work.handsMin);
    const rest = conduct({
      form: 'slab',
      sizeMm: Math.max(2, work.lies.thicknessMm),
      material,
      startC: toC,
      exposures: exposuresOf(work.path, work.waits, 'film', kitchen),
      cells: 8,
    });
    const restMin = work.waits.reduce((sum, { min }) => sum + min, 0);
    const [before, next] = [works[i - 1], works[i + 1]];
    const step = {
      what: work.what,
      fatLayers,
      atMin,
      handsMin: work.handsMin,
      fromC,
      toC,
      restMin,
      lies: work.lies,
      ...(work.turn ? { turn: work.turn } : {}),
      restNeeds: next && work.waits.length > 0 ? restFor(work, next, { startC: toC, high }, { material, kitchen }) : null,
      standMin: before ? standFor(before.lies, fromC, beginFor(low, fromC, toC, table.atC), { material, kitchen }) : null,
    };
    atMin += work.handsMin + restMin;
    fromC = lastOf(rest.middleC, toC);
    return step;
  });
}

/** How long a packet has to lie in its coldest place for the next work to end no warmer than the window. */
function restFor(
  work: Work,
  next: Work,
  { startC, high }: { readonly startC: number; readonly high: number },
  { material, kitchen }: { readonly material: ColdTable; readonly kitchen: Kitchen },
): LaminateStep['restNeeds'] {
  const places = work.waits.map(({ placeId }, i) => placeOf(`${work.path}[${i}].placeId`, placeId, kitchen));
  const wait = places.reduce((coldest, { atC }, i) => (atC < places[coldest]!.atC ? i : coldest), 0);
  const table = tableOf(kitchen);
  const end = high - AIM_K;
  // How cold it has to begin for the table's minutes to bring it to the window's warm end: it warms nearly as the gap to the room.
  const warmed = conduct({ form: 'slab', sizeMm: Math.max(2, next.tableMm), material, startC: high - 4, exposures: [exposureAt(table, next.handsMin, 'none')], cells: 8 }); // prettier-ignore
  const keeps = (table.atC - lastOf(warmed.middleC, high)) / (table.atC - (high - 4));
  const beginC = keeps > 0.02 ? table.atC - (table.atC - end) / keeps : end;
  const early = work.waits.slice(0, wait);
  const course = conduct({
    form: 'slab',
    sizeMm: Math.max(2, work.lies.thicknessMm),
    material,
    startC,
    exposures: [...exposuresOf(work.path, early, 'film', kitchen), exposureAt(places[wait]!, LONGEST_REST_MIN, 'film')],
    cells: 8,
  });
  const reach = firstReach(course.min, course.middleC, beginC, 'falling');
  const min = Math.max(0, Math.ceil(reach - early.reduce((sum, one) => sum + one.min, 0)));
  return Number.isFinite(reach) ? { wait, min } : null;
}

/** How warm work has to begin for its middle to be at `low`: it warms by the same share of its gap to the table. C. */
function beginFor(low: number, fromC: number, toC: number, tableC: number): number {
  const half = tableC > fromC ? (toC - fromC) / (tableC - fromC) / 2 : 0;
  return (low - half * tableC) / (1 - half);
}

/** Minutes at the table until a packet is as warm as that; null where it is already, or the table never makes it so. */
function standFor(
  lies: RolledSlab,
  fromC: number,
  wantC: number,
  { material, kitchen }: { readonly material: ColdTable; readonly kitchen: Kitchen },
): number | null {
  if (fromC >= wantC) return null;
  const course = conduct({ form: 'slab', sizeMm: Math.max(2, lies.thicknessMm), material, startC: fromC, exposures: [exposureAt(tableOf(kitchen), 90, 'film')], cells: 8 }); // prettier-ignore
  const reach = firstReach(course.min, course.middleC, wantC + 0.5, 'rising');
  return Number.isFinite(reach) ? Math.ceil(reach) : null;
}

const lastOf = (values: readonly number[], otherwise: number): number => values[values.length - 1] ?? otherwise;

/** The warmest whole degree at which a fat still stands between layers. C. */
function runsAbove(fat: SolidFatName): number {
  let at = 0;
  while (at < 50 && solidFatPercent(fat, at + 1) >= proofSolidFat.value) at++;
  return at;
}

/**
 * How firm a fat and a dough are beside each other: 1 is the dough at the temperature its family is rolled at.
 *
 * Units    C in; firmness over that of the dough at its own roll.
 * Throws   nothing.
 * Findings none.
 * Source   facts/laminating firmnessRule (fat: solid share squared, from memory; dough and the meeting of both: judgement).
 *
 * @example
 * firmnessAt('butter', families.pie_flaky, 16).fat; // => about 0.903877
 */
export function firmnessAt(
  fat: SolidFatName,
  family: Pick<Family, 'rollC'>,
  atC: number,
): { readonly fat: number; readonly dough: number } {
  const { fatPower, doughPerK } = firmnessRule.values;
  const [low, high] = fatWorkBands.values.laminate as readonly [number, number];
  return {
    fat: (solidFatPercent(fat, atC) / ((low + high) / 2)) ** fatPower,
    dough: Math.exp(-doughPerK * (atC - family.rollC[1])),
  };
}
