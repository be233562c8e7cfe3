import { within } from '../errors.js';
import {
  crispLoss,
  keepHorizonDays,
  microbesFromAw,
  mouldFromAw,
  packBelowC,
  packPermeance,
  packSpread,
  packShelterAir,
  moistureDiffusivity,
  vapourInAir,
} from '../facts/keeping.js';
import { finding } from '../findings/judge.js';
import { activityAt, tabulateIsotherm } from '../matter/isotherm.js';
import { perDry } from '../matter/make-up.js';
import { bakedSolids, heldWater, solidsOf, waterActivity } from '../matter/sorption.js';
import { thermalProperties, vapourPressurePa } from '../matter/thermal.js';
import { exposuresOf } from '../chill/exposure.js';
import { roundTo } from '../units/rounding.js';
import type { BakeResult } from '../bake/bake.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Family } from '../facts/families.js';
import type { Pack } from '../facts/keeping.js';
import type { Estimate, Finding } from '../findings/finding.js';
import type { Isotherm } from '../matter/isotherm.js';
import type { Solids } from '../matter/sorption.js';
import type { SheetResult } from '../sheet/sheet.js';

export type EatingWord = 'snaps' | 'bends' | 'soft';

export type KeepResult = {
  readonly waterActivity: number;
  /** 0..1; above 0.7 it snaps. */ readonly crispness: number;
  readonly word: EatingWord;
  readonly crispDays: Estimate;
  /** Never softens at this humidity, or not within the year that is looked at. */ readonly openEnded: boolean;
  readonly openTrayHours: number | null;
  readonly softAboveMoistureShare: number;
  readonly packedAtC: number;
  readonly coolMin: number;
  readonly bakedPieceG: number;
  readonly curve: { readonly days: readonly number[]; readonly activity: readonly number[]; readonly moistureShare: readonly number[] };
};

/**
 * Stage 6: cooled, packed and kept.
 *
 * Water activity by the same law as the oven's, with the baked factor; crispness falls around a critical activity;
 * a pack lets vapour in at its permeance.
 *
 * Units    d, h, min, C, shares.
 * Throws   InputError at keep.piecesPerPack out of 1..10000, keep.sellWithinDays out of 0..365, keep.cool[i].
 * Findings keep.notCrisp, keep.softBeforeSold, keep.packedWarm, keep.mayMould (unsafe).
 * Source   facts/keeping: Peleg 1994, Katz & Labuza 1981 from memory; packs are judgement.
 */
export function keepStage(
  formula: Formula,
  family: Family,
  kitchen: Kitchen,
  sheet: SheetResult,
  bake: BakeResult,
): { result: KeepResult; findings: Finding[] } {
  const { keep } = formula;
  within('keep.piecesPerPack', keep.piecesPerPack, 1, 10000, 'pieces');
  within('keep.sellWithinDays', keep.sellWithinDays, 0, 365, 'days');
  const solids = bakedSolids(solidsOf(perDry(sheet.makeUp)));
  const startX = bake.end.moistureX;
  const activity = waterActivity(solids, startX);
  const dryPieceG = sheet.pieceG * (1 - sheet.makeUp.water);
  const surroundings = { solids, startX, humidity: kitchen.humidityShare, roomC: kitchen.roomC, isotherm: tabulateIsotherm(solids) };
  const open = openTrayUptake(solids, dryPieceG / 1000 / pieceAreaM2(formula), bake.end.thicknessMm / 1000, kitchen.roomC);
  const perDryG = keep.pack === 'openTray' ? open : packUptake(keep.pack, (dryPieceG * keep.piecesPerPack) / 1000);
  const course = uptake({ ...surroundings, conductance: perDryG });
  const wetter = uptake({ ...surroundings, startX: Math.min(course.endX, startX + bake.endMoisture.sd), conductance: perDryG });
  const cooling = coolingOf(formula, kitchen, sheet, bake);
  const crispDays = Math.min(course.softAfterDays, keepHorizonDays.value);
  const sd = Math.hypot(crispDays - Math.min(wetter.softAfterDays, keepHorizonDays.value), packSpread.value * crispDays);
  const result: KeepResult = {
    waterActivity: activity,
    crispness: crispnessAt(activity),
    word: wordFor(crispnessAt(activity), activity),
    crispDays: { value: crispDays, sd, basis: 'judgement' },
    openEnded: course.softAfterDays > keepHorizonDays.value,
    openTrayHours: finite(uptake({ ...surroundings, conductance: open }).softAfterDays * 24),
    softAboveMoistureShare: course.endX / (1 + course.endX),
    ...cooling,
    bakedPieceG: sheet.pieceG * (1 - bake.end.lossShare),
    curve: course.curve,
  };
  return { result, findings: keepFindings(formula, family, result) };
}

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

const packUptake = (pack: Exclude<Pack, 'openTray'>, dryKg: number) => packPermeance.values[pack] / dryKg;

function pieceAreaM2({ sheet }: Formula): number {
  const { widthMm, lengthMm } = sheet.parts[0]!.shape;
  return (widthMm * lengthMm) / 1e6;
}

/** A thin piece cools as one body. */
function coolingOf(formula: Formula, kitchen: Kitchen, sheet: SheetResult, bake: BakeResult): { packedAtC: number; coolMin: number } {
  const { heatCapacity } = thermalProperties({ ...sheet.makeUp, water: bake.end.moistureShare }, 60);
  const kgPerM2 = (sheet.pieceG / 1000 / pieceAreaM2(formula)) * (1 - bake.end.lossShare);
  let packedAtC = bake.end.middleC;
  let coolMin = 0;
  for (const { min, topWPerM2K, bottomWPerM2K, topC } of exposuresOf('keep.cool', formula.keep.cool, 'none', kitchen)) {
    const lagMin = (kgPerM2 * heatCapacity) / (topWPerM2K + bottomWPerM2K) / 60;
    packedAtC = topC + (packedAtC - topC) * Math.exp(-min / lagMin);
    coolMin += min;
  }
  return { packedAtC, coolMin };
}

function wordFor(crispness: number, activity: number): EatingWord {
  if (crispness > 0.7) return 'snaps';
  return activity < mouldFromAw.value ? 'bends' : 'soft';
}

function keepFindings(formula: Formula, family: Family, result: KeepResult): Finding[] {
  const found: Finding[] = [];
  const { keep } = formula;
  // What is meant to be moist and eaten at once is not spoilt for being moist.
  const eatenFresh = family.finalAw[1] > mouldFromAw.value && result.waterActivity <= family.finalAw[2] && keep.sellWithinDays <= 1;
  if (result.waterActivity > mouldFromAw.value && !eatenFresh) {
    const high = result.waterActivity > microbesFromAw.value ? microbesFromAw.value : mouldFromAw.value;
    found.push({
      ...finding('keep.mayMould', 'fix', 'keep', { path: 'keep.waterActivity', value: result.waterActivity, high }),
      unsafe: true,
    });
    return found;
  }
  const meantToSnap = crispnessAt(family.finalAw[1]) >= 0.7;
  if (meantToSnap && result.crispness < 0.7) {
    found.push(
      finding('keep.notCrisp', result.crispness < 0.3 ? 'fix' : 'watch', 'keep', {
        path: 'keep.waterActivity',
        value: result.waterActivity,
        high: family.finalAw[2],
      }),
    );
  } else if (meantToSnap && result.crispDays.value < keep.sellWithinDays) {
    const to = roundTo(result.crispDays.value, 1, 'down');
    found.push(
      finding('keep.softBeforeSold', 'watch', 'keep', { path: 'keep.crispDays', value: result.crispDays.value, low: keep.sellWithinDays }, [
        { path: '/keep/sellWithinDays', from: keep.sellWithinDays, to },
      ]),
    );
  }
  if (result.packedAtC > packBelowC.value && keep.cool.length > 0) {
    const last = keep.cool.length - 1;
    const from = keep.cool[last]!.min;
    const to = roundTo(from + 30, 5, 'up');
    found.push(
      finding('keep.packedWarm', 'watch', 'keep', { path: 'keep.packedAtC', value: result.packedAtC, high: packBelowC.value }, [
        { path: `/keep/cool/${last}/min`, from, to },
      ]),
    );
  }
  return found;
}

const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);
