import { InputError, within } from '../errors.js';
import { bakeSpread } from '../facts/oven.js';
import { firstReach, onCurve } from '../math/interpolate.js';
import { bakeFindings } from './bake-findings.js';
import { BakeMarch } from './march.js';
import { dialFor, ovenOf, ovenSpreadC } from './oven.js';
import { browningFactorOf, compileBake } from './problem.js';
import { browningOfTone, lightnessOf, toneOf } from './tone.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen, Oven } from '../document/kitchen.js';
import type { DoughResult } from '../dough/dough.js';
import type { Family } from '../facts/families.js';
import type { BakeKind } from '../facts/oven.js';
import type { Estimate, Finding } from '../findings/finding.js';
import type { SheetResult } from '../sheet/sheet.js';
import type { Trajectory } from './march.js';
import type { BakeProblem, BakeSpec } from './problem.js';

/** When each thing happens, minutes from the door shut; null when not within the longest bake that is looked at. */
export type BakeTimes = {
  readonly dryMin: number | null;
  readonly goldenMin: number | null;
  readonly darkMin: number | null;
  /** Dry and golden: the later of both. */ readonly doneMin: number | null;
};

/** A piece at the end of the bake. */
export type BakedPiece = {
  readonly moistureShare: number;
  /** kg water per kg dry matter. */ readonly moistureX: number;
  readonly topTone: number;
  readonly baseTone: number;
  readonly topLightness: number;
  readonly middleC: number;
  readonly thicknessMm: number;
  /** Gas share of its volume. */ readonly poresShare: number;
  readonly lossShare: number;
};

export type BakeResult = BakeTimes & {
  readonly done: Estimate | null;
  readonly totalMin: number;
  readonly end: BakedPiece;
  readonly endMoisture: Estimate;
  readonly endTone: Estimate;
  /** Aim and limits the times are read by. */ readonly dryBelowShare: number;
  readonly goldenFromTone: number;
  readonly darkFromTone: number;
  readonly steps: readonly { readonly name: string; readonly wantC: number | null; readonly dialC: number | null; readonly min: number }[];
  readonly ovenMeasured: boolean;
  /** Share of the doneness spread each cause brings, largest first. */ readonly spreadFrom: readonly {
    readonly cause: SpreadCause;
    readonly share: number;
  }[];
  readonly curve: {
    readonly min: readonly number[];
    readonly airC: readonly number[];
    readonly topC: readonly number[];
    readonly middleC: readonly number[];
    readonly moistureShare: readonly number[];
    /** One sd of the moisture at each minute. */ readonly moistureSd: readonly number[];
    readonly topTone: readonly number[];
    readonly baseTone: readonly number[];
    readonly thicknessMm: readonly number[];
  };
};
export type SpreadCause = 'oven' | 'thickness' | 'water' | 'start' | 'heat' | 'browning';

/** The last step is carried on this long to see when things would happen. */
const LONGEST_MIN = 60;
const OFF_C = 60;

/**
 * Stage 5: the oven dries, lifts and browns a piece.
 *
 * Coupled heat and moisture through the thickness (problem, slab, march). One run gives the piece at the end of the
 * written steps and, carried on, when it is dry, golden and too dark; one nudged run for each uncertain input gives the spread.
 *
 * Units    min, C, mm, shares of mass, tones 1..8.
 * Throws   InputError at bake.steps (none, or none with heat), bake.steps[i].wantC out of 60..300, .min out of 0..240, bake.ovenId, bake.trayId, bake.done.
 * Findings bake.notDry, bake.pale, bake.tooDark, bake.darkBeforeDry, bake.ovenNotMeasured.
 * Source   models named in problem and march; spread facts/oven bakeSpread (judgement), first order.
 */
export function bakeStage(
  formula: Formula,
  family: Family,
  kitchen: Kitchen,
  dough: DoughResult,
  sheet: SheetResult,
): { result: BakeResult; findings: Finding[] } {
  if (sheet.pieces === 0) throw new InputError('sheet.parts[0].shape', 'no piece fits this dough: make it smaller or thinner');
  const { bake } = formula;
  checkSteps(formula);
  const oven = ovenOf(kitchen, bake.ovenId);
  const spec = bakeSpecOf(formula, family, kitchen, dough, sheet);
  const problem = compileBake(spec);
  const march = new BakeMarch(24);
  const limits = limitsOf(formula, family);
  const totalMin = bake.steps.reduce((sum, { min }) => sum + min, 0);
  const look = lookAt(march, problem, totalMin, limits);
  const spread = spreadOf(march, problem, totalMin, limits, oven, formula.sheet.bandsMm !== undefined, look);
  const result: BakeResult = {
    ...look.times,
    done: look.times.doneMin === null ? null : { value: look.times.doneMin, sd: spread.doneSd, basis: 'judgement' },
    totalMin,
    end: look.end,
    endMoisture: { value: look.end.moistureShare, sd: spread.moistureSd, basis: 'judgement' },
    endTone: { value: look.end.topTone, sd: spread.toneSd, basis: 'judgement' },
    dryBelowShare: limits.dryBelowShare,
    goldenFromTone: limits.goldenFromTone,
    darkFromTone: limits.darkFromTone,
    steps: bake.steps.map(({ name, wantC, min }) => ({ name, wantC, dialC: wantC === null ? null : dialFor(oven, wantC), min })),
    ovenMeasured: oven.readings.length > 0,
    spreadFrom: spread.from,
    curve: curveOf(look.trajectory, spread.trajectories, Math.max(totalMin * 1.25, totalMin + 2)),
  };
  const doneAt = (wantC: number) => {
    const at = { ...problem, settings: problem.settings.map((setting, i) => (i === 0 ? { ...setting, airC: wantC } : setting)) };
    return lookAt(march, at, totalMin, limits).times;
  };
  return { result, findings: bakeFindings(formula, result, doneAt) };
}

export type BakeLimits = { readonly dryBelowShare: number; readonly goldenFromTone: number; readonly darkFromTone: number };

/** Dry and golden as the formula says, else as its family does; too dark by the family. */
export function limitsOf(formula: Formula, family: Family): BakeLimits {
  const { done } = formula.bake;
  if (done.moistureShare !== undefined) within('bake.done.moistureShare', done.moistureShare, 0.005, 0.6, '(share)');
  if (done.tone !== undefined) within('bake.done.tone', done.tone, 1, 8, '(tone)');
  return {
    dryBelowShare: done.moistureShare ?? family.finalMoisturePercent[1] / 100,
    goldenFromTone: done.tone ?? toneOf(family.lightness[2]),
    darkFromTone: toneOf(family.lightness[0]),
  };
}

/** The piece, oven and tray of a formula as a bake. */
export function bakeSpecOf(formula: Formula, family: Family, kitchen: Kitchen, dough: DoughResult, sheet: SheetResult): BakeSpec {
  const { bake } = formula;
  const tray = kitchen.trays.find(({ id }) => id === bake.trayId);
  if (!tray) throw new InputError('bake.trayId', 'is not a tray of this kitchen');
  const oven = ovenOf(kitchen, bake.ovenId);
  return {
    makeUp: sheet.makeUp,
    kind: bakeKindOf(family, dough),
    thicknessMm: sheet.thicknessMm,
    startC: sheet.pieceC,
    tray: tray.material,
    layer: bake.layer,
    traysAtOnce: bake.traysAtOnce,
    fat: dough.solidFat,
    browningFactor: browningFactorOf(sheet.makeUp, dough.soda),
    settings: bake.steps.map(({ wantC, min }) => ({ airC: wantC ?? OFF_C, min, air: oven.kind })),
  };
}

/** A leavened cracker rises as one, whatever its family. */
const bakeKindOf = (family: Family, { leavened }: DoughResult): BakeKind =>
  family.bakesAs === 'cracker' || family.bakesAs === 'crackerLeavened' ? (leavened ? 'crackerLeavened' : 'cracker') : family.bakesAs;

function checkSteps({ bake }: Formula): void {
  if (bake.steps.length === 0) throw new InputError('bake.steps', 'needs at least one step with a temperature');
  bake.steps.forEach(({ wantC, min }, i) => {
    if (wantC !== null) within(`bake.steps[${i}].wantC`, wantC, 60, 300, 'C');
    within(`bake.steps[${i}].min`, min, 0.5, 240, 'min');
  });
  if (bake.steps[0]!.wantC === null) throw new InputError('bake.steps[0].wantC', 'the first step needs a temperature');
}

type Look = { readonly trajectory: Trajectory; readonly times: BakeTimes; readonly end: BakedPiece };

/** One run, its last step carried on until everything has happened. */
function lookAt(march: BakeMarch, problem: BakeProblem, totalMin: number, limits: BakeLimits): Look {
  const last = problem.settings.length - 1;
  const settings = problem.settings.map((setting, i) =>
    i === last ? { ...setting, seconds: setting.seconds + LONGEST_MIN * 60 } : setting,
  );
  const dryX = limits.dryBelowShare / (1 - limits.dryBelowShare);
  const dark = browningOfTone(limits.darkFromTone);
  const wanted = Math.max(totalMin * 1.3, totalMin + 2.5);
  const enough = ({ min, moistureX, browningTop }: Trajectory) => {
    const i = min.length - 1;
    return min[i]! >= wanted && moistureX[i]! <= dryX && browningTop[i]! >= dark;
  };
  const { trajectory } = march.run({ ...problem, settings }, { enough });
  return { trajectory, times: timesOf(trajectory, limits, dryX), end: pieceAt(trajectory, problem, totalMin) };
}

function timesOf({ min, moistureX, browningTop, browningBase }: Trajectory, limits: BakeLimits, dryX: number): BakeTimes {
  const darker = browningTop.map((top, i) => Math.max(top, browningBase[i]!));
  const dryMin = finite(firstReach(min, moistureX, dryX, 'falling'));
  const goldenMin = finite(firstReach(min, darker, browningOfTone(limits.goldenFromTone), 'rising'));
  const darkMin = finite(firstReach(min, darker, browningOfTone(limits.darkFromTone), 'rising'));
  const doneMin = dryMin === null || goldenMin === null ? null : Math.max(dryMin, goldenMin);
  return { dryMin, goldenMin, darkMin, doneMin };
}

function pieceAt(trajectory: Trajectory, problem: BakeProblem, atMin: number): BakedPiece {
  const at = (series: readonly number[]) => onCurve(trajectory.min, series, atMin);
  const moistureX = at(trajectory.moistureX);
  const startX = trajectory.moistureX[0]!;
  const topLightness = lightnessOf(at(trajectory.browningTop));
  const thicknessMm = at(trajectory.thicknessMm);
  const filledMm = 1000 * problem.dryMass * (problem.solidVolume + moistureX * problem.waterVolume);
  return {
    moistureShare: moistureX / (1 + moistureX),
    moistureX,
    topTone: toneOf(topLightness),
    baseTone: toneOf(lightnessOf(at(trajectory.browningBase))),
    topLightness,
    middleC: at(trajectory.middleC),
    thicknessMm,
    poresShare: 1 - filledMm / thicknessMm,
    lossShare: (startX - moistureX) / (1 + startX),
  };
}

/** First-order spread: each uncertain input one sd up, the others held. */
function spreadOf(
  march: BakeMarch,
  problem: BakeProblem,
  totalMin: number,
  limits: BakeLimits,
  oven: Oven,
  banded: boolean,
  central: Look,
) {
  const sd = bakeSpread.values;
  const wetter = problem.startX / (1 + problem.startX) + sd.waterOfDough;
  const nudges: Record<SpreadCause, Partial<BakeProblem>> = {
    oven: { settings: problem.settings.map((s) => ({ ...s, airC: s.airC + ovenSpreadC(oven) })) },
    thickness: { dryMass: problem.dryMass * (1 + (banded ? sd.thicknessBandsShare : sd.thicknessShare)) },
    water: { startX: wetter / (1 - wetter) },
    start: { startC: problem.startC + sd.startC },
    heat: { settings: problem.settings.map((s) => ({ ...s, convection: s.convection * Math.exp(sd.heatTransferLog) })) },
    browning: { browningFactor: problem.browningFactor * Math.exp(sd.browningLog) },
  };
  const moved = (Object.keys(nudges) as SpreadCause[]).map((cause) => {
    const look = lookAt(march, { ...problem, ...nudges[cause] }, totalMin, limits);
    const done = look.times.doneMin;
    return {
      cause,
      doneMin: done === null || central.times.doneMin === null ? 0 : done - central.times.doneMin,
      moisture: look.end.moistureShare - central.end.moistureShare,
      tone: look.end.topTone - central.end.topTone,
      trajectory: look.trajectory,
    };
  });
  const variance = moved.reduce((sum, { doneMin }) => sum + doneMin ** 2, 0);
  return {
    doneSd: Math.sqrt(variance),
    moistureSd: Math.sqrt(moved.reduce((sum, { moisture }) => sum + moisture ** 2, 0)),
    toneSd: Math.sqrt(moved.reduce((sum, { tone }) => sum + tone ** 2, 0)),
    trajectories: moved.map(({ trajectory }) => trajectory),
    from: moved
      .map(({ cause, doneMin }) => ({ cause, share: variance > 0 ? doneMin ** 2 / variance : 0 }))
      .sort((a, b) => b.share - a.share),
  };
}

const CURVE_POINTS = 80;

/** The course of a bake for the picture, with the spread of its moisture from the nudged courses, first order. */
function curveOf(trajectory: Trajectory, nudged: readonly Trajectory[], untilMin: number): BakeResult['curve'] {
  const min = Array.from({ length: CURVE_POINTS + 1 }, (_, i) => (i * untilMin) / CURVE_POINTS);
  const sampled = (series: readonly number[]) => min.map((at) => onCurve(trajectory.min, series, at));
  const moistureShare = sampled(trajectory.moistureX).map(shareOf);
  return {
    min,
    airC: sampled(trajectory.airC),
    topC: sampled(trajectory.topC),
    middleC: sampled(trajectory.middleC),
    moistureShare,
    moistureSd: moistureShare.map((share, i) =>
      Math.sqrt(nudged.reduce((sum, other) => sum + (share - shareOf(onCurve(other.min, other.moistureX, min[i]!))) ** 2, 0)),
    ),
    topTone: sampled(trajectory.browningTop).map((b) => toneOf(lightnessOf(b))),
    baseTone: sampled(trajectory.browningBase).map((b) => toneOf(lightnessOf(b))),
    thicknessMm: sampled(trajectory.thicknessMm),
  };
}

/** Wet-basis share of kg water per kg dry. */
const shareOf = (x: number) => x / (1 + x);
const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);
