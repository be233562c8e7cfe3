import { learnedOf } from '../document/kitchen.js';
import { within } from '../errors.js';
import { tableMin, trayGapMm } from '../facts/dough.js';
import { raisedGapMm, traySideMm } from '../facts/sheet.js';
import { spreadRatio } from './spreading.js';
import { mixMakeUps } from '../ingredient/mixture.js';
import { coldTable } from '../matter/cold-enthalpy.js';
import { conduct } from '../chill/conduction.js';
import { exposureAt, exposuresOf, tableOf } from '../chill/exposure.js';
import { bodyOf } from './body.js';
import { laminate } from './layers/lamination.js';
import { firstPart, isCutShape, planSheet } from './plan.js';
import { sheetFindings } from './sheet-findings.js';
import { sharedAmongTrays, trayNest } from './trays.js';
import { trayOf } from '../pan/pan.js';
import type { ChillResult } from '../chill/chill.js';
import type { CutShape, Formula } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { DoughResult } from '../dough/dough.js';
import type { Finding } from '../findings/finding.js';
import type { MakeUp } from '../matter/make-up.js';
import type { Body } from './body.js';
import type { SheetPlan } from './plan.js';
import type { Case } from '../document/case.js';
import type { SheetResult } from './sheet-result.js';

export type { SheetResult } from './sheet-result.js';

/**
 * Stage 4: rolled or laminated, and cut. Dough, roll-in and dust become a sheet of one thickness, pieces and scrap; topping goes on the pieces.
 *
 * Units    g, mm, C. Grams in equal pieces x piece mass + scrap.
 * Throws   InputError as planSheet, bodyOf and laminate; at bake.trayId not in the kitchen, sheet.shrink.* out of -0.5..0.5, sheet.trayGapMm out of 0..200, sheet.trayEdgeMm out of 0..100.
 * Findings sheet.*
 * Source   area = mass / (density x thickness); density facts/dough (judgement) or weighed; windows facts/families.
 */
export function sheetStage(theCase: Case, dough: DoughResult, chill: ChillResult): { result: SheetResult; findings: Finding[] } {
  const { formula, family, kitchen } = theCase;
  trayOf(kitchen, formula.bake.trayId);
  const { shrink, laminate: folds } = formula.sheet;
  if (shrink) {
    within('sheet.shrink.alongShare', shrink.alongShare, -0.5, 0.5, '(share)');
    within('sheet.shrink.acrossShare', shrink.acrossShare, -0.5, 0.5, '(share)');
  }
  const given = rolledG(dough);
  const asItIs = planSheet(formula, kitchen, given);
  // A batch a little short of its piece is baked in thought as if it were enough: the piece does not hang on the batch.
  const short = asItIs.pieces === 0 ? shortBatch(formula, kitchen, given) : null;
  const massG = given * (short?.factor ?? 1);
  const plan = short?.plan ?? asItIs;
  const body = bodyOf(formula, kitchen, dough, plan);
  const laminated = folds ? laminate(theCase, folds, dough, chill) : null;
  const makeUp = pieceMakeUp(dough);
  const fromC = laminated?.steps[laminated.steps.length - 1]?.fromC ?? chill.endMiddleC;
  const pieceC = pieceTemperature(theCase, { makeUp, heightMm: body.heightMm, fromC });
  const spread = formula.bake.panId === undefined ? spreadRatio(family, dough, pieceC, learnedOf(kitchen, 'spread', family.id)?.value) : 1;
  const onTray = piecesOnTrays(theCase, body, plan, spread);
  const { pieces, pieceDoughG } = plan;
  const result: SheetResult = {
    pieces,
    pieceG: pieces > 0 ? pieceDoughG + dough.toppingG / pieces : 0,
    pieceDoughG,
    scrapG: pieces > 0 ? plan.scrapG : plan.scrapG + dough.toppingG,
    scrapShare: plan.scrapG / (massG + plan.dustG),
    thicknessMm: firstPart(formula).thicknessMm,
    densityGPerMl: plan.densityGPerMl,
    acrossMm: body.acrossMm,
    parts: plan.parts,
    layout: plan.layout,
    rolls: plan.rolls,
    rerollDustG: plan.dustG,
    lastByHand: plan.byHand,
    oddCuts: plan.oddCuts,
    halves: plan.halves,
    lots: formula.sheet.lots,
    body,
    ...onTray,
    laminate: laminated,
    makeUp,
    pieceC,
    massInG: massG + plan.dustG + dough.toppingG,
    shortFactor: short?.factor ?? null,
  };
  return { result, findings: sheetFindings(theCase, dough, result) };
}

/** Up to this many times the batch there is, one piece short is a short batch; beyond it the piece is too large for it. Judgement. */
const MOST_SHORT = 2;

/** How many times the batch gives its first piece, and that batch's plan; null where twice as much still gives none. */
function shortBatch(formula: Formula, kitchen: Kitchen, massG: number): { factor: number; plan: SheetPlan } | null {
  const planAt = (factor: number) => planSheet(formula, kitchen, massG * factor);
  if (planAt(MOST_SHORT).pieces === 0) return null;
  let [low, high] = [1, MOST_SHORT];
  for (let step = 0; step < 16; step++) {
    const middle = (low + high) / 2;
    if (planAt(middle).pieces > 0) high = middle;
    else low = middle;
  }
  return { factor: high, plan: planAt(high) };
}

/**
 * All that goes under the pin the first time, g.
 *
 * Units    g.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * rolledG({ doughG: 400, rollIn: { massG: 150 }, dustG: 10 }); // => 560
 */
export const rolledG = ({ doughG, rollIn, dustG }: DoughResult): number => doughG + (rollIn?.massG ?? 0) + dustG;

type OnTrays = Pick<SheetResult, 'gapMm' | 'spreadsMm' | 'edgeMm' | 'trays' | 'traysNeeded' | 'piecesPerTray' | 'loads'>;

/** Pieces on trays: what spreads or was proved wants room to, pans stand as they are, a whole sheet is a tray. */
function piecesOnTrays({ formula, kitchen }: Case, body: Body, plan: SheetPlan, spread: number): OnTrays {
  const tray = trayOf(kitchen, formula.bake.trayId);
  const stillMm = body.proved > 1 ? raisedGapMm.value : trayGapMm.value;
  const spreadsMm = (spread - 1) * Math.min(body.widthMm, body.lengthMm);
  const { trayGapMm: ownGapMm, trayEdgeMm: ownEdgeMm } = formula.sheet;
  const gapMm = ownGapMm === undefined ? stillMm + spreadsMm : within('sheet.trayGapMm', ownGapMm, 0, 200, 'mm');
  const edgeMm = ownEdgeMm === undefined ? traySideMm.value : within('sheet.trayEdgeMm', ownEdgeMm, 0, 100, 'mm');
  const pan = kitchen.pans?.find(({ id }) => id === formula.bake.panId);
  const { pieces } = plan;
  const cups = pan?.cups ?? 1;
  const things = body.form === 'sheet' ? formula.sheet.lots : pan ? Math.ceil(pieces / cups) : pieces * flatOnTray(formula, body);
  const { pieces: fit } = body.form === 'sheet' ? { pieces: 1 } : trayNest(tray, standing(formula, body), gapMm, edgeMm);
  // A pan that is wider than the tray, or a tin of several cups, stands alone.
  const perTray = pan ? (cups > 1 ? 1 : Math.max(1, fit)) : fit;
  const trays = sharedAmongTrays(things, perTray);
  const each = body.form === 'sheet' ? pieces / formula.sheet.lots : pan ? cups : 1 / flatOnTray(formula, body);
  return {
    gapMm,
    spreadsMm,
    edgeMm,
    trays: trays.map((n) => n * each),
    traysNeeded: trays.length,
    piecesPerTray: Math.floor(perTray * each),
    loads: Math.ceil(trays.length / formula.bake.traysAtOnce),
  };
}

/** Parts that lie side by side: bottoms and tops that are put together after the oven. */
const flatOnTray = ({ sheet }: Formula, body: Body): number =>
  body.form === 'flat' && body.lidMm === null && sheet.parts.every(({ shape }) => isCutShape(shape))
    ? sheet.parts.reduce((sum, { perPiece }) => sum + perPiece, 0)
    : 1;

/**
 * The shadow of what stands in the oven, as a shape.
 *
 * Units    mm.
 * Throws   nothing.
 * Findings none.
 * Source   judgement: what is round from above is laid as a circle, all else as its box.
 */
export function standing(formula: Formula, body: Body): CutShape {
  const { shape } = firstPart(formula);
  if (body.form === 'flat' && isCutShape(shape) && body.proved === 1) return shape;
  const round = body.form === 'ball' || body.form === 'wrapped' || body.form === 'folded' || (body.form === 'flat' && !isCutShape(shape));
  const [widthMm, lengthMm] = [clamp(body.widthMm), clamp(body.lengthMm)];
  if (round || (body.form === 'inPan' && widthMm === lengthMm)) return { kind: 'round', acrossMm: widthMm };
  return { kind: 'rectangle', widthMm, lengthMm };
}

const clamp = (mm: number): number => Math.min(600, Math.max(5, mm));

function pieceMakeUp({ makeUp, outsideMakeUp, doughG, rollIn, toppingG, dustG }: DoughResult): MakeUp {
  if (!outsideMakeUp && !rollIn) return makeUp;
  return mixMakeUps([
    { makeUp, massG: doughG },
    ...(rollIn ? [rollIn] : []),
    ...(outsideMakeUp ? [{ makeUp: outsideMakeUp, massG: toppingG + dustG }] : []),
  ]);
}

/** The cut piece warms at the table, then firms or proves through the waits after cutting. */
function pieceTemperature(
  { formula, kitchen }: Case,
  { makeUp, heightMm, fromC: startC }: { readonly makeUp: MakeUp; readonly heightMm: number; readonly fromC: number },
): number {
  const cooling = conduct({
    form: 'slab',
    sizeMm: Math.max(2, heightMm),
    material: coldTable(makeUp),
    startC,
    exposures: [exposureAt(tableOf(kitchen), tableMin.value, 'none'), ...exposuresOf('sheet.waits', formula.sheet.waits, 'none', kitchen)],
    cells: 8,
  });
  return cooling.middleC[cooling.middleC.length - 1]!;
}
