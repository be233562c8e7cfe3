import { learnedOf } from '../document/kitchen.js';
import { onCurve } from '../math/interpolate.js';
import { acrylamideOf } from './acrylamide.js';
import { bakeCaseOf } from './bake-case.js';
import { bakeFindings } from './bake-findings.js';
import { bakeUntilOver } from './doneness.js';
import { BakeMarch } from './slab/march.js';
import { dialFor, ovenOf } from './oven.js';
import { doughX, firstHotter, heightOf, nudged } from './slab/problem.js';
import { nudgeOf } from './slab/samples.js';
import { secondBakingOf } from './second-part.js';
import { spreadRatio } from '../sheet/spreading.js';
import { lightnessOf, toneAt, toneOf } from './tone.js';
import type { DoughResult } from '../dough/dough.js';
import type { Finding } from '../findings/finding.js';
import type { SheetResult } from '../sheet/sheet.js';
import type { BakeTimes, DoneRule } from './doneness.js';
import type { FillingInPiece } from './filling.js';
import type { Trajectory } from './slab/march.js';
import type { BakeNudge, BakeProblem } from './slab/problem.js';
import type { Case } from '../document/case.js';
import type { BakeCase } from './bake-case.js';
import type { BakedPiece, BakeResult, BakedFilling, SpreadCause } from './bake-result.js';

export type { BakedPiece, BakeResult, BakedFilling, SpreadCause } from './bake-result.js';

/**
 * Stage 5: the oven dries, lifts and browns a piece.
 *
 * Coupled heat and moisture through the thickness (problem, slab, march). One run gives the piece at the end of the
 * written steps and, carried on, when it is dry, golden and too dark; one nudged run for each uncertain input gives the spread.
 *
 * Units    min, C, mm, shares of mass, tones 1..8.
 * Throws   as bakeCaseOf.
 * Findings bake.notDry, bake.notThrough, bake.eggNotSafe (unsafe), bake.fillingWeeps, bake.fillingOver, bake.weightsLeftOn, bake.weightsOnFilling, bake.pale, bake.tooDark, bake.tooDry, bake.acrylamide, bake.slicedAfter, bake.fewTried, bake.pairApart, bake.darkBeforeDry, bake.ovenNotMeasured.
 * Source   models named in problem and march; spread facts/oven bakeSpread (judgement), first order.
 */
export function bakeStage(
  theCase: Case,
  dough: DoughResult,
  sheet: SheetResult,
): { result: BakeResult; findings: Finding[]; problem: BakeProblem } {
  const { formula, family, kitchen } = theCase;
  const { bake } = formula;
  const oven = ovenOf(kitchen, bake.ovenId);
  const baking = bakeCaseOf(theCase, dough, sheet);
  const { problem, filling, limits, rule, totalMin } = baking;
  const march = new BakeMarch(24);
  const look = lookAt(march, problem, totalMin, rule);
  const spread = spreadOf(march, baking, look);
  const second = secondBakingOf(theCase, dough, sheet);
  const secondLook = second && lookAt(march, second.baking.problem, totalMin, rule);
  const result: BakeResult = {
    ...look.times,
    done: look.times.doneMin === null ? null : { value: look.times.doneMin, sd: spread.doneSd, basis: 'judgement' },
    totalMin,
    end: look.end,
    endMoisture: { value: look.end.moistureShare, sd: spread.moistureSd, basis: 'judgement' },
    endTone: { value: look.end.topTone, sd: spread.toneSd, basis: 'judgement' },
    dryBelowShare: limits.dryBelowShare,
    mustDry: limits.mustDry,
    tooDryShare: family.finalMoisturePercent[0] / 100,
    coreC: limits.coreC,
    goldenFromTone: rule.golden > 0 ? toneAt(rule.golden, problem.rawLightness) : 1,
    darkFromTone: toneAt(rule.dark, problem.rawLightness),
    darkFromBrowning: rule.dark,
    startsDark: limits.goldenFromTone > 1 && toneOf(problem.rawLightness) > limits.goldenFromTone,
    steps: bake.steps.map(({ name, wantC, min }) => ({ name, wantC, dialC: wantC === null ? null : dialFor(oven, wantC), min })),
    spreadRatio:
      formula.bake.panId === undefined ? spreadRatio(family, dough, sheet.pieceC, learnedOf(kitchen, 'spread', family.id)?.value) : 1,
    filling: filling && bakedFilling(filling, dough, sheet, { look, totalMin }),
    second: second && secondLook && { key: second.key, doneMin: secondLook.times.doneMin, end: secondLook.end },
    acrylamide: acrylamideOf(family, dough.colours, look.end, bake.measures),
    ovenMeasured: oven.readings.length > 0,
    spreadFrom: spread.from,
    curve: curveOf(problem, look.trajectory, spread.trajectories, Math.max(totalMin * 1.25, totalMin + 2)),
  };
  const doneAt = (byC: number) => bakeUntilOver(march, firstHotter(problem, byC), rule, { atLeastMin: totalMin }).times;
  return { result, findings: bakeFindings(theCase, dough, { sheet, bake: result, at: doneAt }), problem };
}

function bakedFilling(
  filling: FillingInPiece,
  { filling: { baked } }: DoughResult,
  sheet: SheetResult,
  { look, totalMin }: { readonly look: Look; readonly totalMin: number },
): BakedFilling {
  const waterG = baked ? (baked.massG * baked.makeUp.water) / sheet.pieces : 0;
  const boiledG = waterG * (1 - onCurve(look.trajectory.min, look.trajectory.aboveLeft, totalMin));
  return { ...filling, boiledG, weepsG: Math.max(0, filling.juiceG - boiledG - filling.heldG) };
}

type Look = { readonly trajectory: Trajectory; readonly times: BakeTimes; readonly end: BakedPiece };

/** One run, its last step carried on until everything has happened and the picture has its tail. */
function lookAt(march: BakeMarch, problem: BakeProblem, totalMin: number, rule: DoneRule): Look {
  const atLeastMin = Math.max(totalMin * 1.3, totalMin + 2.5);
  const { trajectory, times } = bakeUntilOver(march, problem, rule, { atLeastMin });
  return { trajectory, times, end: pieceAt(trajectory, problem, totalMin) };
}

function pieceAt(trajectory: Trajectory, problem: BakeProblem, atMin: number): BakedPiece {
  const at = (series: readonly number[]) => onCurve(trajectory.min, series, atMin);
  const moistureX = at(trajectory.moistureX);
  const startX = trajectory.moistureX[0]!;
  const { rawLightness } = problem;
  const [top, base, rim] = [at(trajectory.browningTop), at(trajectory.browningBase), at(trajectory.browningRim)];
  const topLightness = lightnessOf(top, rawLightness);
  const dough = problem.layers[problem.main]!;
  const { dryMass, solidVolume, waterVolume } = dough;
  const slabMm = at(trajectory.doughMm);
  const doughMm = heightOf(dough, slabMm);
  const filledMm = 1000 * dryMass * (solidVolume + moistureX * waterVolume);
  return {
    moistureShare: shareOf(doughX(moistureX, problem.apart)),
    moistureX,
    topTone: toneOf(topLightness),
    baseTone: toneAt(base, rawLightness),
    rimTone: toneAt(Math.max(top, rim), rawLightness),
    faceBrowning: Math.max(top, base),
    meanBrowning: (top + base + Math.max(top, rim)) / 3,
    topLightness,
    middleC: at(trajectory.middleC),
    coldestC: at(trajectory.coldestC),
    thicknessMm: at(trajectory.thicknessMm) - slabMm + doughMm,
    doughMm,
    poresShare: 1 - filledMm / doughMm,
    lossShare: (startX - moistureX) / (1 + startX),
  };
}

/** First-order spread: each unknown one sd up, the others held. */
function spreadOf(march: BakeMarch, { problem, totalMin, rule, unknowns }: BakeCase, central: Look) {
  const nudges: Record<SpreadCause, BakeNudge> = {
    oven: nudgeOf(unknowns, 'ovenC', 1),
    thickness: nudgeOf(unknowns, 'thicknessShare', 1),
    water: nudgeOf(unknowns, 'waterOfDough', 1),
    start: nudgeOf(unknowns, 'startC', 1),
    heat: nudgeOf(unknowns, 'heatLog', 1),
    browning: nudgeOf(unknowns, 'browningLog', 1),
  };
  const moved = (Object.keys(nudges) as SpreadCause[]).map((cause) => {
    const look = lookAt(march, nudged(problem, nudges[cause]), totalMin, rule);
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
function curveOf(
  { layers, main, rawLightness, apart }: BakeProblem,
  trajectory: Trajectory,
  nudged: readonly Trajectory[],
  untilMin: number,
): BakeResult['curve'] {
  const dough = layers[main]!;
  const min = Array.from({ length: CURVE_POINTS + 1 }, (_, i) => (i * untilMin) / CURVE_POINTS);
  const sampled = (series: readonly number[]) => min.map((at) => onCurve(trajectory.min, series, at));
  const ofDough = (x: number) => shareOf(doughX(x, apart));
  const moistureShare = sampled(trajectory.moistureX).map(ofDough);
  const doughMm = sampled(trajectory.doughMm);
  return {
    min,
    airC: sampled(trajectory.airC),
    topC: sampled(trajectory.topC),
    middleC: sampled(trajectory.middleC),
    coldestC: sampled(trajectory.coldestC),
    moistureShare,
    moistureSd: moistureShare.map((share, i) =>
      Math.sqrt(nudged.reduce((sum, other) => sum + (share - ofDough(onCurve(other.min, other.moistureX, min[i]!))) ** 2, 0)),
    ),
    topTone: sampled(trajectory.browningTop).map((b) => toneAt(b, rawLightness)),
    baseTone: sampled(trajectory.browningBase).map((b) => toneAt(b, rawLightness)),
    thicknessMm: sampled(trajectory.thicknessMm).map((mm, i) => mm - doughMm[i]! + heightOf(dough, doughMm[i]!)),
  };
}

/** Wet-basis share of kg water per kg dry. */
const shareOf = (x: number) => x / (1 + x);
