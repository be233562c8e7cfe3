import { InputError, within } from '../errors.js';
import { isInOven } from '../dough/piece/goes-on.js';
import { learnedOf } from '../document/kitchen.js';
import { judged, judgements } from '../facts/judgements.js';
import { boilsAtC, pressureAt } from '../matter/pressure.js';
import { underBoiling } from '../facts/altitude.js';
import { leafLift } from '../facts/laminating.js';
import { bakeKinds, browningWeights, handlingMin, heatUp } from '../facts/oven.js';
import { isPractised } from '../facts/practice.js';
import { fillingSets } from '../facts/filling.js';
import { fillingInPiece } from './filling.js';
import { ovenOf, ovenSpreadC } from './oven.js';
import { browningFactorOf, compileBake, nudged, wholeX } from './slab/problem.js';
import { ovenNudge, unknownsOf } from './slab/samples.js';
import { meanSpread, spreadRatio } from '../sheet/spreading.js';
import { darkFrom, goldenFrom, toneOf } from './tone.js';
import { panOf, trayOf } from '../pan/pan.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen, Oven } from '../document/kitchen.js';
import type { DoughResult } from '../dough/dough.js';
import type { Family } from '../facts/families.js';
import type { BakeKind } from '../facts/oven.js';
import type { SheetResult } from '../sheet/sheet.js';
import type { FillingInPiece } from './filling.js';
import type { DoneRule } from './doneness.js';
import type { BakeProblem, BakeSpec, OvenSetting } from './slab/problem.js';
import type { BakeUnknowns } from './slab/samples.js';
import type { Case } from '../document/case.js';

/** Air of an oven that was turned off and left, C: falling towards it. */
const OFF_C = 60;

/** One formula in its oven: all that a run, a plan of looks or a map asks for. */
export type BakeCase = {
  readonly problem: BakeProblem;
  readonly filling: FillingInPiece | null;
  readonly limits: BakeLimits;
  readonly rule: DoneRule;
  readonly unknowns: BakeUnknowns;
  /** This oven's heat transfer over that of its kind, as the problem has it. */ readonly heatFactor: number;
  readonly thicknessMm: number;
  readonly firstC: number;
  readonly totalMin: number;
  /** When the last setting begins, from the door shut; 0 where there is one. */ readonly lastSettingMin: number;
};

/**
 * A formula's bake as numbers.
 *
 * Units    min, C, mm.
 * Throws   InputError at bake.steps (none, or none with heat), bake.steps[i].wantC out of 60..300, .min out of 0.5..240, bake.ovenId, bake.trayId, bake.done.
 * Findings none.
 * Source   compileBake; spreads facts/oven bakeSpread.
 */
export function bakeCaseOf(theCase: Case, dough: DoughResult, sheet: SheetResult): BakeCase {
  const { formula, family, kitchen } = theCase;
  if (sheet.pieces === 0) throw new InputError('sheet.parts[0].shape', 'no piece fits this dough: make it smaller or thinner');
  checkSteps(formula);
  const oven = ovenOf(kitchen, formula.bake.ovenId);
  const filling = fillingInPiece(formula, kitchen, dough, sheet);
  const limits = limitsOf(formula, family, filling, kitchen.altitudeM);
  const heat = heatFactorOf(kitchen, oven);
  const believed = learnedOf(kitchen, 'oven', oven.id)?.joint;
  const asWritten = lifted(
    asJudged(compileBake(bakeSpecOf(theCase, dough, sheet, filling)), kitchen),
    learnedOf(kitchen, 'lift', family.id)?.value ?? 1,
  );
  return {
    problem: believed ? nudged(asWritten, ovenNudge(believed.mean)) : asWritten,
    filling,
    limits,
    rule: ruleOf(limits, asWritten),
    unknowns: unknownsOf({
      ovenC: ovenSpreadC(oven),
      banded: formula.sheet.bandsMm !== undefined,
      untried: isUntried(family, kitchen),
      ...(heat === null ? {} : { heatLog: heat.sd / heat.value }),
      ...(believed ? { believed: believed.covariance } : {}),
    }),
    heatFactor: heat?.value ?? 1,
    thicknessMm: sheet.body.heightMm,
    firstC: formula.bake.steps[0]!.wantC!,
    ...minutesOf(formula),
  };
}

/** The oven's numbers were not fitted on its kind, and this kitchen's own bakes have not yet taught of it. */
export const isUntried = ({ id }: Family, kitchen: Kitchen): boolean =>
  !isPractised(id) && !(['crisp', 'tender', 'lift', 'spread'] as const).some((what) => learnedOf(kitchen, what, id));

const minutesOf = (formula: Formula): Pick<BakeCase, 'totalMin' | 'lastSettingMin'> => {
  const totalMin = formula.bake.steps.reduce((sum, { min }, i) => sum + min + handledBefore(formula, i), 0);
  return { totalMin, lastSettingMin: totalMin - formula.bake.steps.at(-1)!.min };
};

/** When the dial is turned to each later setting, min from the door shut: what is done on the table comes after it. */
export const settingsAtMin = (formula: Formula): number[] => {
  let at = 0;
  return formula.bake.steps.slice(1).map((_, i) => {
    at += handledBefore(formula, i) + formula.bake.steps[i]!.min;
    return at;
  });
};

/** Rises as many times what the model says as this kitchen's own goods have shown. */
function lifted(problem: BakeProblem, factor: number): BakeProblem {
  if (factor === 1) return problem;
  return {
    ...problem,
    layers: problem.layers.map((layer, i) =>
      i === problem.main ? { ...layer, expansion: 1 + (layer.expansion - 1) * factor, lift: 1 + (layer.lift - 1) * factor } : layer,
    ),
  };
}

export type BakeLimits = {
  /** The most moisture a done piece has: asked for by the formula, or by a family that is thin and dry. */ readonly dryBelowShare: number;
  /** Whether being that dry is part of being done. */ readonly mustDry: boolean;
  /** Coldest place of a done piece, C: thick goods; null where dry says it all. */ readonly coreC: number | null;
  readonly goldenFromTone: number;
  readonly darkFromTone: number;
};

/** Dry, through and golden as the formula says, else as its family does; too dark by the family. */
export function limitsOf(formula: Formula, family: Family, filling: FillingInPiece | null, altitudeM = 0): BakeLimits {
  const { done } = formula.bake;
  if (done.moistureShare !== undefined) within('bake.done.moistureShare', done.moistureShare, 0.005, 0.6, '(share)');
  if (done.tone !== undefined) within('bake.done.tone', done.tone, 1, 8, '(tone)');
  if (done.coreC !== undefined) within('bake.done.coreC', done.coreC, 60, 105, 'C');
  const inside = filling ? Math.max(filling.setsC ?? fillingSets.values.crustC, family.doneCoreC ?? 0) : family.doneCoreC;
  const asked = done.coreC ?? inside ?? null;
  // High up nothing moist gets as hot as at the sea: what is asked for lies within reach.
  const coreC = asked === null || altitudeM <= 0 ? asked : Math.min(asked, boilsAtC(pressureAt(altitudeM)) - underBoiling.value);
  return {
    // What is thin goes on drying while it cools: cookies and crackers may leave the oven at the top of their window.
    dryBelowShare: done.moistureShare ?? family.finalMoisturePercent[family.kind === 'cookie' || family.kind === 'cracker' ? 2 : 1] / 100,
    mustDry: done.moistureShare !== undefined || coreC === null,
    coreC,
    // Of an open filling only the base is seen to brown here: its rim is thinner than any layer of the model.
    goldenFromTone: done.tone ?? (filling && !filling.lidded ? 1 : toneOf(family.lightness[2])),
    darkFromTone: toneOf(family.lightness[0]),
  };
}

/** The same limits as the numbers a course of baking is read by, for a dough that is so light raw, with what is folded in. */
export const ruleOf = (
  { dryBelowShare, mustDry, coreC, goldenFromTone, darkFromTone }: BakeLimits,
  { rawLightness, apart }: Pick<BakeProblem, 'rawLightness' | 'apart'>,
): DoneRule => ({
  ...(mustDry ? { dryX: wholeX(dryBelowShare / (1 - dryBelowShare), apart) } : {}),
  ...(coreC === null ? {} : { coreC }),
  golden: goldenFrom(goldenFromTone, rawLightness),
  dark: darkFrom(darkFromTone, rawLightness),
});

/** The piece, oven and tray of a formula as a bake. */
export function bakeSpecOf(
  { formula, family, kitchen }: Case,
  dough: DoughResult,
  sheet: SheetResult,
  filling: FillingInPiece | null,
): BakeSpec {
  const { bake } = formula;
  const tray = trayOf(kitchen, bake.trayId);
  const oven = ovenOf(kitchen, bake.ovenId);
  const pan = panOf(kitchen, bake.panId);
  const material = pan?.material ?? tray.material;
  const inPan = pan !== null || panMaterials.has(material);
  const spread = inPan ? 1 : meanSpread(spreadRatio(family, dough, sheet.pieceC, learnedOf(kitchen, 'spread', family.id)?.value));
  const { lidMm } = sheet.body;
  const kind = bakeKindOf(family, dough);
  const fat = dough.rollIn?.fat ?? dough.solidFat;
  const { lift, hollow } = bakeKinds.values[kind];
  const acrossMm = pan ? 0.5 * (pan.topMm + pan.bottomMm) : sheet.acrossMm * spread;
  const body = hollow === undefined ? null : hollowBody(sheet, hollow);
  return {
    makeUp: sheet.makeUp,
    kind,
    ...(lift === undefined ? {} : { kindFacts: { lift: 1 + (lift - 1) * leavesWhole(sheet) } }),
    ...(body ?? { thicknessMm: sheet.body.heightMm / spread ** 2, acrossMm }),
    ...(inPan ? { recessed: filling === null } : body ? {} : { pitchMm: sheet.acrossMm + sheet.gapMm }),
    ...(filling && dough.filling.baked
      ? {
          above: [
            ...(lidMm === null ? [] : [{ makeUp: sheet.makeUp, kind, thicknessMm: lidMm, startC: sheet.pieceC, fat }]),
            {
              makeUp: dough.filling.baked.makeUp,
              kind: filling.juicy ? ('juicyFilling' as const) : ('filling' as const),
              thicknessMm: Math.max(1, filling.heightMm),
              startC: sheet.pieceC,
            },
          ],
        }
      : {}),
    startC: sheet.pieceC,
    pressurePa: pressureAt(kitchen.altitudeM ?? 0),
    tray: material,
    ...(pan && bake.panOnTray ? { under: tray.material } : {}),
    layer: bake.layer,
    traysAtOnce: bake.traysAtOnce,
    fat,
    browningFactor: browningFactorOf(sheet.makeUp, {
      soda: Math.min(1, dough.sodaBalance.freeG / (browningWeights.values.sodaFull * formula.blendG)),
      reducingShare: dough.colours.reducingShare,
      wash: formula.rows.some((row) => row.use === 'wash' && isInOven(row)),
    }),
    rawLightness: dough.colours.rawLightness,
    ...keptApart(dough, sheet),
    heatFactor: heatFactorOf(kitchen, oven)?.value ?? 1,
    ...(bake.hotTray ? { trayStartC: bake.steps[0]!.wantC! } : {}),
    ...(bake.fromCold ? { coldStart: { airC: kitchen.roomC, recoverS: heatUpSeconds(oven) } } : {}),
    settings: bake.steps.map(({ wantC, min, weighted = false }, i): OvenSetting => ({
      airC: wantC ?? OFF_C,
      min,
      air: oven.kind,
      covered: weighted,
      handlingMin: handledBefore(formula, i),
    })),
  };
}

/** Pieces folded in dry little: all of their water but what has bled. */
function keptApart({ foldedIn, doughG, rollIn, toppingG, dustG }: DoughResult, sheet: SheetResult): Pick<BakeSpec, 'apart'> {
  if (!foldedIn) return {};
  const dryG = (doughG + (rollIn?.massG ?? 0) + toppingG + dustG) * (1 - sheet.makeUp.water);
  const waterG = foldedIn.massG * foldedIn.makeUp.water;
  return { apart: { waterX: (waterG - foldedIn.bleedsG) / dryG, doughShare: 1 - (foldedIn.massG - waterG) / dryG } };
}

/** A hollow ball as the wall it is: a slab of as much dough over as much surface, inside and out. */
function hollowBody({ body }: SheetResult, timesAsLarge: number): Pick<BakeSpec, 'thicknessMm' | 'standsMm' | 'kindFacts'> {
  const volumeMm3 = body.heightMm * body.areaMm2;
  const acrossMm = Math.cbrt((6 * timesAsLarge * volumeMm3) / Math.PI);
  return {
    thicknessMm: (2 * volumeMm3) / (Math.PI * acrossMm ** 2),
    standsMm: body.heightMm,
    kindFacts: { lift: acrossMm / body.heightMm },
  };
}

/** How well the leaves of a laminated piece part, 0 to 1: few lift less, those too thin to stand run together. */
function leavesWhole({ laminate }: SheetResult): number {
  if (!laminate) return leafLift.values.least;
  const { wholeFromFatLayers, power, thinUm, wholeUm, least } = leafLift.values;
  const many = Math.min(1, (laminate.layers.fatLayers / wholeFromFatLayers) ** power);
  const part = Math.min(1, Math.max(0, (laminate.doughUm - thinUm) / (wholeUm - thinUm)));
  return many * (least + (1 - least) * part * part * (3 - 2 * part));
}

/** The same bake with what this kitchen judges otherwise than we do. */
function asJudged(problem: BakeProblem, { judgements: held }: Kitchen): BakeProblem {
  if (!held) return problem;
  const fin = judgements.bareTray.value > 0 ? problem.fin * (judged(held, 'bareTray') / judgements.bareTray.value) : problem.fin;
  const side = judged(held, 'edgeShare');
  const vapour = held.ovenSteam === undefined ? null : held.ovenSteam * 1000;
  return {
    ...problem,
    fin,
    trayCapacity: (problem.trayCapacity * (1 + fin)) / (1 + problem.fin),
    edgeShare: side,
    edgeVent: side,
    recess: problem.recess < 1 ? judged(held, 'panAir') : 1,
    coverContact: judged(held, 'weights'),
    lookDropC: judged(held, 'lookDrop'),
    browningFactor: problem.browningFactor * judged(held, 'browningRate'),
    settings: vapour === null ? problem.settings : problem.settings.map((one) => (one.outside ? one : { ...one, airVapourPa: vapour })),
  };
}

/** A pan or dish whose sides stand around the piece. */
const panMaterials: ReadonlySet<string> = new Set(['metalPan', 'glass', 'ceramic']);

/** Minutes on the table before a step: weights come off, or the tray is turned. */
function handledBefore({ bake: { steps } }: Formula, i: number): number {
  if (i === 0) return 0;
  const off = steps[i - 1]!.weighted === true && steps[i]!.weighted !== true;
  return off ? handlingMin.values.weights : steps[i]!.turn ? handlingMin.values.turn : 0;
}

/** What weighings have taught about an oven's heat transfer; null for nothing yet. */
export const heatFactorOf = (kitchen: Kitchen, { id }: Oven): { readonly value: number; readonly sd: number } | null =>
  learnedOf(kitchen, 'ovenHeatFactor', id) ?? null;

/** An oven that heats like a first-order lag is within a twentieth of its rise after three of its time constants. */
const heatUpSeconds = ({ heating }: Oven): number => ((heating?.[0]?.min ?? heatUp.value) * 60) / 3;

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
