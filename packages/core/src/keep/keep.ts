import { BakeMarch } from '../bake/slab/march.js';
import { bakeUntilOver } from '../bake/doneness.js';
import { conduct } from '../chill/conduction.js';
import { exposureAt, placeOf, tableOf } from '../chill/exposure.js';
import { goesOnOf, isInOven } from '../dough/piece/goes-on.js';
import { learnedOf } from '../document/kitchen.js';
import { within } from '../errors.js';
import {
  bringBackC,
  coolingLimits,
  crispHorizonDays,
  crispLoss,
  fridgeC,
  frozenThroughC,
  keepHorizonDays,
  moistureDiffusivity,
  mouldFree,
  mouldFromAw,
  outOfColdHours,
  packBelowC,
  packShelterAir,
  packSpread,
  thawedC,
  vapourInAir,
} from '../facts/keeping.js';
import { coldGoodDays } from '../facts/cold.js';
import { judged } from '../facts/judgements.js';
import { finding } from '../findings/judge.js';
import { firstReach } from '../math/interpolate.js';
import { coldTable } from '../matter/cold-enthalpy.js';
import { activityAt, tabulateIsotherm } from '../matter/isotherm.js';
import { perDry } from '../matter/make-up.js';
import { bakedSolids, heldWater, rawDoughActivity, solidsOf, waterActivity } from '../matter/sorption.js';
import { vapourPressurePa } from '../matter/thermal.js';
import { roundTo } from '../units/rounding.js';
import { coolPiece, coolToCold } from './cooling.js';
import { eggOf, isEgg } from '../ingredient/roles.js';
import type { BakeResult } from '../bake/bake.js';
import type { BakeProblem } from '../bake/slab/problem.js';
import { rawDays } from './raw-days.js';
import { goesRaw, type Formula, type Pack } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { DoughResult } from '../dough/dough.js';
import type { Family } from '../facts/families.js';
import type { Estimate, Finding, FindingCode } from '../findings/finding.js';
import type { Isotherm } from '../matter/isotherm.js';
import type { MakeUp } from '../matter/make-up.js';
import type { Solids } from '../matter/sorption.js';
import type { SheetResult } from '../sheet/sheet.js';
import type { ColdCooling, Cooled } from './cooling.js';
import type { Edit } from '../document/edits.js';
import type { Ingredient, Pantry } from '../document/pantry.js';
import type { Case } from '../document/case.js';

export type EatingWord = 'snaps' | 'bends' | 'soft';

export type KeepResult = {
  readonly waterActivity: number;
  /** 0..1; above 0.7 it snaps. */ readonly crispness: number;
  readonly word: EatingWord;
  /** Whether it is meant to snap; what is soft, or bakes with its filling on it, keeps, and snaps never. */ readonly meantToSnap: boolean;
  readonly crispDays: Estimate;
  /** Never softens at this humidity, or not within the days that are looked at. */ readonly openEnded: boolean;
  readonly openTrayHours: number | null;
  readonly softAboveMoistureShare: number;
  readonly packedAtC: number;
  readonly coolMin: number;
  /** Cooling: middle against minutes from the oven, and when it may be packed. */ readonly cooling: Pick<
    Cooled,
    'curve' | 'packableMin' | 'peakMiddleC'
  >;
  /** Days until mould is likely in its pack, by the wettest part; null where it is too dry for mould, and where it needs the cold. */
  readonly mouldFreeDays: number | null;
  /** Of crust, filling and topping the wettest. */ readonly wettestActivity: number;
  /** From soft to crisp again in a low oven; null when it is not meant to be crisp. */ readonly bringBack: {
    readonly wantC: number;
    readonly min: number | null;
  } | null;
  /** In this kitchen's freezer and out again at the table; null without a freezer. */ readonly freezing: {
    readonly frozenMin: number | null;
    readonly thawedMin: number | null;
  } | null;
  /** Hours until filling or topping has made the crust soft, and from when they count; null without a filling. */
  readonly crustSoft: { readonly hours: number | null; readonly goesOn: 'baked' | 'after'; readonly fillingAw: number } | null;
  /** Something on it is moist and not acid: it needs the cold. */ readonly needsCold: boolean;
  /** What of it, by name. */ readonly coldBecause: readonly string[];
  /** From 57 C: minutes through 21 C and to 5 C, null for never; null as a whole where nothing that was baked needs the cold. */
  readonly coldCooling: ColdCooling | null;
  /** Egg that meets no heat, g. */ readonly lateRawEggG: number;
  /** Days that it may be kept raw where it is; null where it is baked here. */ readonly rawDays: number | null;
  readonly bakedPieceG: number;
  /** With its filling, less what boils off, and what goes on after the oven. */ readonly wholePieceG: number;
  readonly curve: { readonly days: readonly number[]; readonly activity: readonly number[]; readonly moistureShare: readonly number[] };
};

/** What a piece has gone through when it is kept. */
type Finished = { readonly dough: DoughResult; readonly sheet: SheetResult; readonly bake: BakeResult; readonly problem: BakeProblem };

/**
 * Stage 6: cooled, packed and kept.
 *
 * Water activity by the same law as the oven's, with the baked factor; crispness falls around a critical activity;
 * a pack lets vapour in at its permeance.
 *
 * Units    d, h, min, C, shares.
 * Throws   InputError at keep.placeId for a place the kitchen does not have, at keep.piecesPerPack out of 1..10000, keep.sellWithinDays out of 0..365, keep.cool[i].
 * Findings keep.notCrisp, keep.softBeforeSold, keep.packedWarm, keep.crustSoftens; unsafe: keep.mayMould, keep.needsCold, keep.coldTooLong, keep.coolsSlowly, keep.rawEgg.
 * Source   facts/keeping: Peleg 1994, Katz & Labuza 1981 from memory; packs are judgement.
 */
export function keepStage(
  { formula, family, kitchen, pantry }: Case,
  { dough, sheet, bake, problem }: Finished,
): { result: KeepResult; findings: Finding[] } {
  const { keep } = formula;
  within('keep.piecesPerPack', keep.piecesPerPack, 1, 10000, 'pieces');
  within('keep.sellWithinDays', keep.sellWithinDays, 0, 365, 'days');
  const solids = bakedSolids(solidsOf(perDry(sheet.makeUp)));
  const cooled = coolPiece({ problem, bakedMin: bake.totalMin }, keep.cool, kitchen);
  const startX = cooled.moistureX;
  const activity = waterActivity(solids, startX);
  const dryPieceG = sheet.pieceG * (1 - sheet.makeUp.water);
  const areaM2 = sheet.body.areaMm2 / 1e6;
  const surroundings = { solids, startX, humidity: kitchen.humidityShare, roomC: kitchen.roomC, isotherm: tabulateIsotherm(solids) };
  const open = openTrayUptake(solids, dryPieceG / 1000 / areaM2, bake.end.thicknessMm / 1000, kitchen.roomC);
  const leak = learnedOf(kitchen, 'pack', packOf(keep.pack, family.id));
  const perDryG =
    keep.pack === 'openTray' ? open : packUptake(kitchen, keep.pack, (dryPieceG * keep.piecesPerPack) / 1000) * (leak?.value ?? 1);
  const course = uptake({ ...surroundings, conductance: perDryG });
  const wetter = uptake({ ...surroundings, startX: Math.min(course.endX, startX + bake.endMoisture.sd), conductance: perDryG });
  const crispDays = Math.min(course.softAfterDays, crispHorizonDays.value);
  const sd = Math.hypot(
    crispDays - Math.min(wetter.softAfterDays, crispHorizonDays.value),
    (leak ? leak.sd / leak.value : packSpread.value) * crispDays,
  );
  const meantToSnap = isMeantToSnap(family, dough);
  const keptAt = keep.placeId === undefined ? null : placeOf('keep.placeId', keep.placeId, kitchen);
  const needsCold = dough.onPiece.some((part) => part.needsCold);
  // What bakes on the piece in a thick layer dries with it; what fills it or comes after stays as wet as it is.
  const moist = dough.onPiece.filter(({ use, baked }) => use === 'filling' || !baked);
  const wettest = Math.max(activity, ...moist.map((part) => part.waterActivity));
  const result: KeepResult = {
    waterActivity: activity,
    crispness: crispnessAt(activity),
    meantToSnap,
    word: wordFor(crispnessAt(activity), activity),
    crispDays: { value: crispDays, sd, basis: leak ? 'learned' : 'judgement' },
    openEnded: course.softAfterDays > crispHorizonDays.value,
    openTrayHours: finite(uptake({ ...surroundings, conductance: open }).softAfterDays * 24),
    softAboveMoistureShare: course.endX / (1 + course.endX),
    packedAtC: cooled.packedAtC,
    coolMin: cooled.coolMin,
    cooling: { curve: cooled.curve, packableMin: cooled.packableMin, peakMiddleC: cooled.peakMiddleC },
    mouldFreeDays: needsCold || keptAt?.kind === 'freezer' ? null : mouldFreeDays(wettest, keptAt?.atC ?? kitchen.roomC),
    wettestActivity: wettest,
    bringBack: snapsDry(family) ? bringBackOf(problem, bake, solids, kitchen) : null,
    freezing: freezingOf(kitchen, sheet, bake, startX),
    crustSoft: crustSoftOf(dough, { solids, startX, dryKgPerM2: dryPieceG / 1000 / areaM2 }, bake, kitchen),
    needsCold,
    coldBecause: [...new Set(dough.onPiece.flatMap(({ needsCold: cold, because }) => (cold ? because : [])))],
    coldCooling: dough.onPiece.some((part) => part.needsCold && part.baked)
      ? coolToCold({ problem, bakedMin: bake.totalMin }, keep.cool, keptAt, kitchen)
      : null,
    lateRawEggG: dough.onPiece.reduce((g, { baked, rawEggG }) => g + (baked ? 0 : rawEggG), 0),
    rawDays: goesRaw(keep) ? rawDays(keptAt, dough.doughEggG) : null,
    bakedPieceG: dryPieceG * (1 + startX),
    wholePieceG: dryPieceG * (1 + startX) + (bake.filling ? bake.filling.massG - bake.filling.boiledG : 0) + dough.lateG / sheet.pieces,
    curve: course.curve,
  };
  // Raw, it is judged as raw dough; what it comes to is judged where it is baked.
  if (result.rawDays !== null) return { result, findings: rawFindings(keep, result.rawDays) };
  return { result, findings: [...foodFindings(formula, kitchen, pantry, result), ...keepFindings(formula, family, kitchen, result)] };
}

/**
 * A pack round the goods of a family: what is learned of it is about both.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * packOf('tightTin', 'cracker_thin'); // => 'tightTin cracker_thin'
 */
export const packOf = (pack: Pack, familyId: string): string => `${pack} ${familyId}`;

/** Whether a family is crisp as it comes dry from the oven. */
const snapsDry = (family: Family) => crispnessAt(family.finalAw[1]) >= 0.7;
/** Whether a good is meant to be crisp when it is eaten: what bakes with its filling on it is not. */
const isMeantToSnap = (family: Family, { filling }: Pick<DoughResult, 'filling'>) => filling.baked === null && snapsDry(family);

/**
 * Days until mould is likely at room temperature; null below the activity that moulds need.
 *
 * Units    activity 0..1; C; days, at most a year.
 * Throws   nothing.
 * Findings none.
 * Source   facts/keeping mouldFree, between its two temperatures in the logarithm of the days, and on beyond them.
 *
 * @example
 * mouldFreeDays(0.85, 21); // => 10.6
 */
export function mouldFreeDays(activity: number, atC: number): number | null {
  if (activity <= mouldFromAw.value) return null;
  const { at21, at27 } = mouldFree.values;
  const [a, b] = [at21, at27].map((line) => line[0]! - line[1]! * 100 * activity) as [number, number];
  // The two lines cross where it is very wet; warmth never makes it keep longer.
  return Math.min(keepHorizonDays.value, 10 ** (a + (Math.min(0, b - a) * (atC - 21)) / 6));
}

/** A piece that took up the room's damp (or became half soft) goes into a low oven until it is as dry as it was meant to be. */
function bringBackOf(problem: BakeProblem, bake: BakeResult, solids: Solids, kitchen: Kitchen): KeepResult['bringBack'] {
  const wantC = bringBackC.value;
  const wet = heldWater(solids, Math.max(crispLoss.values.halfAw + 0.1, Math.min(mouldFromAw.value, kitchen.humidityShare)));
  const dryX = Math.max(0.012, Math.min(0.9 * wet, heldWater(solids, crispLoss.values.halfAw - 0.15)));
  const first = problem.settings[0]!;
  const risen = problem.layers.map((layer, i) =>
    i === problem.main
      ? { ...layer, startX: wet, startC: kitchen.roomC, rawVolume: layer.rawVolume * layer.expansion, expansion: 1 }
      : layer,
  );
  const settings = [{ ...first, seconds: 1, airC: wantC, airFromC: wantC - 25, wallC: wantC, covered: false }];
  const { times } = bakeUntilOver(
    new BakeMarch(24),
    { ...problem, layers: risen, settings },
    { dryX, golden: 0, dark: 0 },
    { longestMin: 45 },
  );
  return { wantC, min: times.dryMin };
}

/** Water that a filling gives to the crust it lies on: one face, and the crust's own resistance. */
function crustSoftOf(
  { filling: { baked, late } }: DoughResult,
  { solids, startX, dryKgPerM2 }: { readonly solids: Solids; readonly startX: number; readonly dryKgPerM2: number },
  bake: BakeResult,
  kitchen: Kitchen,
): KeepResult['crustSoft'] {
  const mix = late ?? baked;
  if (!mix) return null;
  const { activity } = rawDoughActivity(mix.makeUp);
  const slope = (heldWater(solids, 0.5) - heldWater(solids, 0.3)) / 0.2;
  const thicknessM = bake.end.thicknessMm / 1000;
  const conductance =
    (2 * moistureDiffusivity.value * (dryKgPerM2 / thicknessM) * slope) / (thicknessM * vapourPressurePa(kitchen.roomC)) / dryKgPerM2;
  const { softAfterDays } = uptake({ solids, startX, humidity: activity, roomC: kitchen.roomC, conductance });
  return { hours: finite(softAfterDays * 24), goesOn: late ? 'after' : 'baked', fillingAw: activity };
}

/** Into the freezer in its pack, and out at the table, wrapped. */
function freezingOf(kitchen: Kitchen, sheet: SheetResult, bake: BakeResult, moistureX: number): KeepResult['freezing'] {
  const freezer = kitchen.places.find(({ kind }) => kind === 'freezer');
  if (!freezer) return null;
  const water = moistureX / (1 + moistureX);
  const scale = (1 - water) / (1 - sheet.makeUp.water);
  const { water: _, ...dry } = sheet.makeUp;
  const makeUp = { water, ...Object.fromEntries(Object.entries(dry).map(([name, share]) => [name, share * scale])) } as MakeUp;
  const horizonMin = 360;
  const cold = conduct({
    form: 'slab',
    sizeMm: Math.max(2, bake.end.thicknessMm),
    material: coldTable(makeUp),
    startC: kitchen.roomC,
    exposures: [exposureAt(freezer, horizonMin, 'film'), exposureAt(tableOf(kitchen), horizonMin, 'film')],
    cells: 8,
  });
  const turn = cold.min.findIndex((min) => min >= horizonMin - 1e-6);
  const frozen = firstReach(cold.min.slice(0, turn + 1), cold.middleC.slice(0, turn + 1), frozenThroughC.value, 'falling');
  const thawed = firstReach(cold.min.slice(turn), cold.middleC.slice(turn), thawedC.value, 'rising');
  return { frozenMin: finite(frozen), thawedMin: finite(thawed - horizonMin) };
}

/** It snaps below this water activity. */
const snapsBelowAw = crispLoss.values.halfAw - crispLoss.values.width * Math.log(0.7 / 0.3);

/** 1 crisp to 0 limp at a water activity. */
export function crispnessAt(activity: number): number {
  const { halfAw, width } = crispLoss.values;
  return 1 / (1 + Math.exp((activity - halfAw) / width));
}

export type UptakeInput = {
  readonly solids: Solids;
  /** kg water per kg dry. */ readonly startX: number;
  readonly humidity: number;
  readonly roomC: number;
  /** kg/s Pa per kg dry. */ readonly conductance: number;
  readonly endActivity?: number;
  /** The solids' own, when several courses share it. */ readonly isotherm?: Isotherm;
};

/**
 * Moisture uptake of a dry piece from its surroundings, and when it stops being crisp.
 *
 * Units    per kg dry; days. Infinity when the air is too dry to soften it.
 * Throws   nothing.
 * Findings none.
 * Source   dX/dt = G psat (humidity - aw(X)), one resistance; time by quadrature over X (Simpson).
 */
export function uptake(input: UptakeInput) {
  const { solids, startX, humidity, roomC, conductance, endActivity = crispLoss.values.halfAw } = input;
  const endX = heldWater(solids, endActivity);
  const drive = conductance * vapourPressurePa(roomC);
  const isotherm = input.isotherm ?? tabulateIsotherm(solids);
  const curve = { days: [0], activity: [activityAt(isotherm, startX)], moistureShare: [startX / (1 + startX)] };
  if (startX >= endX) return { endX, softAfterDays: 0, curve };
  // The air's own activity is never reached: the picture stops just short of it.
  const reachX = heldWater(solids, Math.min(endActivity, Math.max(0.02, humidity - 0.01)));
  const slices = 60;
  const step = (reachX - startX) / slices;
  if (step <= 0) return { endX, softAfterDays: humidity > endActivity ? 0 : Infinity, curve };
  const slowness = (x: number) => 1 / (drive * Math.max(1e-6, humidity - activityAt(isotherm, x)));
  let seconds = 0;
  for (let i = 0; i < slices; i++) {
    const x = startX + i * step;
    seconds += (step / 6) * (slowness(x) + 4 * slowness(x + step / 2) + slowness(x + step));
    curve.days.push(seconds / 86400);
    curve.activity.push(activityAt(isotherm, x + step));
    curve.moistureShare.push((x + step) / (1 + x + step));
  }
  return { endX, softAfterDays: humidity > endActivity ? seconds / 86400 : Infinity, curve };
}

/** A still-air layer in series with the piece's own resistance, both faces. kg/s Pa per kg dry. */
function openTrayUptake(solids: Solids, dryKgPerM2: number, thicknessM: number, roomC: number): number {
  const outside = vapourInAir.value / packShelterAir.value;
  const slope = (heldWater(solids, 0.5) - heldWater(solids, 0.3)) / 0.2;
  const inside = (3 * moistureDiffusivity.value * (dryKgPerM2 / thicknessM) * slope) / ((thicknessM / 2) * vapourPressurePa(roomC));
  return 2 / dryKgPerM2 / (1 / outside + 1 / inside);
}

const packUptake = (kitchen: Kitchen, pack: Exclude<Pack, 'openTray'>, dryKg: number) => (judged(kitchen.judgements, pack) * 1e-12) / dryKg;

function wordFor(crispness: number, activity: number): EatingWord {
  if (crispness > 0.7) return 'snaps';
  return activity < mouldFromAw.value ? 'bends' : 'soft';
}

/** It stands where food that spoils has to stand. */
const isKeptCold = ({ keep }: Formula, { places }: Kitchen): boolean =>
  (places.find(({ id }) => id === keep.placeId)?.atC ?? Infinity) <= fridgeC.value;

/** Into the coldest fridge there is. */
function intoCold({ keep }: Formula, { places }: Kitchen): Edit[] {
  const [fridge] = places.filter(({ kind, atC }) => kind === 'fridge' && atC <= fridgeC.value).sort((one, other) => one.atC - other.atC);
  const { placeId: from } = keep;
  return fridge ? [{ path: '/keep/placeId', ...(from === undefined ? {} : { from }), to: fridge.id }] : [];
}

/** Raw egg that comes after the oven, as the same weight of pasteurised. */
function pasteurised({ rows }: Formula, pantry: Pantry): Edit[] {
  return rows.flatMap((row, i) => {
    const to = isInOven(row) ? undefined : pasteurisedFor(pantry.ingredients[row.ingredientId], pantry)?.id;
    return to !== undefined ? [{ path: `/rows/${i}/ingredientId`, from: row.ingredientId, to }] : [];
  });
}
/** The pasteurised egg that is most like a raw one: as moist, of as much white and yolk. */
function pasteurisedFor(raw: Ingredient | undefined, { ingredients }: Pantry): Ingredient | undefined {
  if (!raw || !isEgg(raw) || raw.heat !== 'raw') return undefined;
  const [{ white, yolk }, water] = [eggOf(raw), raw.composition.waterShare];
  const off = (one: Ingredient) =>
    Math.abs(eggOf(one).white - white) + Math.abs(eggOf(one).yolk - yolk) + Math.abs(one.composition.waterShare - water);
  return Object.values(ingredients)
    .filter((one) => isEgg(one) && one.heat === 'pasteurised' && off(one) < 0.5)
    .sort((a, b) => off(a) - off(b))[0];
}

/** What can make ill: egg without heat, food that stands warm, food that cools too slowly. */
function foodFindings(formula: Formula, kitchen: Kitchen, pantry: Pantry, result: KeepResult): Finding[] {
  const found: Finding[] = [];
  const unsafe = (code: FindingCode, measured: NonNullable<Finding['measured']>, edits?: readonly Edit[]) =>
    found.push({ ...finding(code, 'fix', 'keep', measured, edits), unsafe: true });
  if (result.lateRawEggG > 0) {
    const edits = pasteurised(formula, pantry);
    unsafe('keep.rawEgg', { path: 'keep.lateRawEggG', value: result.lateRawEggG, high: 0 }, edits);
  }
  const cold = isKeptCold(formula, kitchen);
  if (result.needsCold && !cold) {
    const measured = { path: 'keep.needsCold', value: outOfColdHours.value, high: fridgeC.value, of: result.coldBecause.join(', ') };
    unsafe('keep.needsCold', measured, intoCold(formula, kitchen));
  }
  const { sellWithinDays: low, placeId } = formula.keep;
  const frozen = kitchen.places.find(({ id }) => id === placeId)?.kind === 'freezer';
  if (result.needsCold && cold && !frozen && low > coldGoodDays.value) {
    const measured = { path: 'keep.sellWithinDays', value: low, low, high: coldGoodDays.value, of: result.coldBecause.join(', ') };
    unsafe('keep.coldTooLong', measured, [{ path: '/keep/sellWithinDays', from: low, to: coldGoodDays.value }]);
  }
  const { throughMin, inAllMin } = coolingLimits.values;
  if (result.coldCooling && cold) {
    const { through21Min, to5Min } = result.coldCooling;
    const slow = through21Min === null || through21Min > throughMin;
    if (slow || to5Min === null || to5Min > inAllMin) {
      const [value, high] = slow ? [through21Min ?? Infinity, throughMin] : [to5Min ?? Infinity, inAllMin];
      unsafe(
        'keep.coolsSlowly',
        { path: 'keep.coldCooling', value: Math.min(value, LONGEST_MIN), high, of: slow ? '21' : '5' },
        soonerCold(formula),
      );
    }
  }
  return found;
}
const LONGEST_MIN = 1440;

/** Raw dough that is to be kept for longer than it may. */
function rawFindings({ sellWithinDays }: Formula['keep'], days: number): Finding[] {
  if (sellWithinDays <= days) return [];
  const measured = { path: 'keep.rawDays', value: days, low: sellWithinDays };
  const edits = [{ path: '/keep/sellWithinDays', from: sellWithinDays, to: days }];
  return [{ ...finding('keep.rawTooLong', 'fix', 'keep', measured, edits), unsafe: true }];
}

/** Half an hour in each place that it cools in, no more. */
function soonerCold({ keep }: Formula): Edit[] {
  return keep.cool.flatMap(({ min }, i) => (min > SOON_MIN ? [{ path: `/keep/cool/${i}/min`, from: min, to: SOON_MIN }] : []));
}
const SOON_MIN = 30;

function keepFindings(formula: Formula, family: Family, kitchen: Kitchen, result: KeepResult): Finding[] {
  const found: Finding[] = [];
  const { keep } = formula;
  const margin = judged(kitchen.judgements, 'mouldMargin');
  if (result.mouldFreeDays !== null && keep.sellWithinDays > result.mouldFreeDays * margin) {
    const to = roundTo(result.mouldFreeDays * margin, 1, 'down');
    const measured = { path: 'keep.mouldFreeDays', value: result.mouldFreeDays, low: keep.sellWithinDays };
    found.push({
      ...finding('keep.mayMould', 'fix', 'keep', measured, [{ path: '/keep/sellWithinDays', from: keep.sellWithinDays, to }]),
      unsafe: true,
    });
  }
  const { crustSoft } = result;
  if (crustSoft?.goesOn === 'after' && crustSoft.hours !== null && crustSoft.hours < 24 * keep.sellWithinDays) {
    const early = formula.rows.flatMap((row, i) =>
      row.use === 'filling' && goesOnOf(row)?.at !== 'serving' && !isInOven(row) ? [{ row, i }] : [],
    );
    const edits = early.map(({ row, i }) => ({
      path: `/rows/${i}/goesOn`,
      from: row.goesOn as never,
      to: { at: 'serving' as const } as never,
    }));
    if (early.length > 0) {
      const measured = { path: 'keep.crustSoft.hours', value: crustSoft.hours, low: 24 * keep.sellWithinDays };
      found.push(finding('keep.crustSoftens', 'watch', 'keep', measured, edits));
    }
  }
  const { meantToSnap } = result;
  if (meantToSnap && result.crispness < 0.7) {
    found.push(
      finding('keep.notCrisp', result.crispness < 0.3 ? 'fix' : 'watch', 'keep', {
        path: 'keep.waterActivity',
        value: result.waterActivity,
        high: snapsBelowAw,
      }),
    );
  } else if (meantToSnap && !result.openEnded && result.crispDays.value < keep.sellWithinDays) {
    const to = roundTo(result.crispDays.value, 1, 'down');
    found.push(
      finding('keep.softBeforeSold', 'watch', 'keep', { path: 'keep.crispDays', value: result.crispDays.value, low: keep.sellWithinDays }, [
        { path: '/keep/sellWithinDays', from: keep.sellWithinDays, to },
      ]),
    );
  }
  if (keep.goes !== 'warm' && result.packedAtC > packBelowC.value && keep.cool.length > 0) {
    const last = keep.cool.length - 1;
    const from = keep.cool[last]!.min;
    const { packableMin } = result.cooling;
    const to = packableMin === null ? undefined : roundTo(from + packableMin - result.coolMin, 1, 'up');
    found.push(
      finding(
        'keep.packedWarm',
        'watch',
        'keep',
        { path: 'keep.packedAtC', value: result.packedAtC, high: packBelowC.value },
        to === undefined ? undefined : [{ path: `/keep/cool/${last}/min`, from, to }],
      ),
    );
  }
  return found;
}

const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);
