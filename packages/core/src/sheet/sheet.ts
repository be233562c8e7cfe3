import { InputError, within } from '../errors.js';
import { doughDensity, scrapLimit, tableMin, thicknessFix, trayGapMm } from '../facts/dough.js';
import { finding } from '../findings/judge.js';
import { mixMakeUps } from '../ingredient/mixture.js';
import { coldTable } from '../matter/cold-enthalpy.js';
import { conduct } from '../chill/conduction.js';
import { exposureAt, exposuresOf, tableOf } from '../chill/exposure.js';
import { bestLayout, piecesOnTray } from './layout.js';
import type { ChillResult } from '../chill/chill.js';
import type { Formula, Part } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { DoughResult } from '../dough/dough.js';
import type { Family } from '../facts/families.js';
import type { Finding } from '../findings/finding.js';
import type { MakeUp } from '../matter/make-up.js';
import type { SheetLayout } from './layout.js';

export type SheetResult = {
  readonly pieces: number;
  readonly pieceG: number;
  /** Dough and dust that end in no piece. */ readonly scrapG: number;
  readonly scrapShare: number;
  readonly thicknessMm: number;
  /** Width of a round piece that takes as much heat at its edge: four areas over its rim. */ readonly acrossMm: number;
  /** Between neighbours on the tray. */ readonly gapMm: number;
  /** The first sheet of each lot, to scale. */ readonly layout: SheetLayout;
  /** Pieces of each rolling of one lot: the first, then its scraps. */ readonly piecesByRoll: readonly number[];
  readonly lots: number;
  readonly traysNeeded: number;
  readonly piecesPerTray: number;
  /** Of a piece as it goes into the oven: dough, dust and topping. */ readonly makeUp: MakeUp;
  /** When it goes into the oven. */ readonly pieceC: number;
  /** Grams in, for the law that none is lost: pieces and scrap. */ readonly massInG: number;
};

const MOST_ROLLS = { no: 1, once: 2, tillGone: 4 } as const;

/**
 * Stage 4: rolled and cut. Dough and dust become a sheet of one thickness, pieces and scrap; topping goes on the pieces.
 *
 * Units    g, mm, C. Grams in equal pieces x piece mass + scrap.
 * Throws   InputError at sheet.parts (none), sheet.parts[0].thicknessMm out of 0.3..40, .shape.widthMm or .lengthMm out of 5..600, sheet.trimMm, sheet.lots, bake.trayId not in the kitchen.
 * Findings sheet.tooThin, sheet.tooThick, sheet.noPiece, sheet.scrapHigh, sheet.traysShort.
 * Source   area = mass / (density x thickness); density facts/dough (judgement); windows facts/families.
 */
export function sheetStage(
  formula: Formula,
  family: Family,
  kitchen: Kitchen,
  dough: DoughResult,
  chill: ChillResult,
): { result: SheetResult; findings: Finding[] } {
  const { sheet } = formula;
  const part = onePart(formula);
  const lots = within('sheet.lots', sheet.lots, 1, 50, 'sheets');
  if (!Number.isInteger(lots)) throw new InputError('sheet.lots', 'must be a whole number');
  within('sheet.trimMm', sheet.trimMm, 0, 100, 'mm');
  const tray = kitchen.trays.find(({ id }) => id === formula.bake.trayId);
  if (!tray) throw new InputError('bake.trayId', 'is not a tray of this kitchen');
  const { widthMm, lengthMm } = part.shape;
  const massG = dough.doughG + dough.dustG;
  const areaMm2 = (massG / lots / (doughDensity.value * part.thicknessMm)) * 1000;
  const pieceDoughG = (doughDensity.value * widthMm * lengthMm * part.thicknessMm) / 1000;
  const layout = bestLayout(areaMm2, widthMm, lengthMm, sheet.trimMm);
  const piecesByRoll = rolls(massG / lots, pieceDoughG, part, sheet.trimMm, MOST_ROLLS[sheet.reroll]);
  const pieces = piecesFromMass(formula, massG);
  const scrapG = massG - pieces * pieceDoughG;
  // What spreads wants room to.
  const gapMm =
    family.bakesAs === 'cookie' && !family.rolled ? Math.max(trayGapMm.value, 0.5 * Math.min(widthMm, lengthMm)) : trayGapMm.value;
  const piecesPerTray = piecesOnTray(tray.widthMm, tray.lengthMm, widthMm, lengthMm, gapMm);
  const makeUp = pieceMakeUp(dough);
  const result: SheetResult = {
    pieces,
    pieceG: pieces > 0 ? pieceDoughG + dough.toppingG / pieces : 0,
    scrapG: pieces > 0 ? scrapG : scrapG + dough.toppingG,
    scrapShare: scrapG / massG,
    thicknessMm: part.thicknessMm,
    acrossMm: (2 * widthMm * lengthMm) / (widthMm + lengthMm),
    gapMm,
    layout,
    piecesByRoll,
    lots,
    traysNeeded: piecesPerTray > 0 ? Math.ceil(pieces / piecesPerTray) : 0,
    piecesPerTray,
    makeUp,
    pieceC: pieceTemperature(formula, kitchen, makeUp, part.thicknessMm, chill),
    massInG: massG + dough.toppingG,
  };
  return { result, findings: sheetFindings(formula, family, result, tray.count) };
}

function onePart(formula: Formula): Part {
  const part = formula.sheet.parts[0];
  if (!part) throw new InputError('sheet.parts', 'needs one shape to cut');
  within('sheet.parts[0].thicknessMm', part.thicknessMm, 0.3, 40, 'mm');
  within('sheet.parts[0].shape.widthMm', part.shape.widthMm, 5, 600, 'mm');
  within('sheet.parts[0].shape.lengthMm', part.shape.lengthMm, 5, 600, 'mm');
  return part;
}

/**
 * Pieces that a mass of dough gives, over all lots and rollings.
 *
 * Units    g.
 * Throws   InputError at sheet.parts when there is none.
 * Findings none.
 * Source   as sheetStage.
 */
export function piecesFromMass(formula: Formula, massG: number): number {
  const { sheet } = formula;
  const part = onePart(formula);
  const { widthMm, lengthMm } = part.shape;
  const pieceDoughG = (doughDensity.value * widthMm * lengthMm * part.thicknessMm) / 1000;
  const byRoll = rolls(massG / sheet.lots, pieceDoughG, part, sheet.trimMm, MOST_ROLLS[sheet.reroll]);
  return sheet.lots * byRoll.reduce((sum, n) => sum + n, 0);
}

/** Pieces of one lot, rolling by rolling, until scraps are too small or may not be rolled again. */
function rolls(lotG: number, pieceG: number, { thicknessMm, shape }: Part, trimMm: number, most: number): number[] {
  const pieces: number[] = [];
  let leftG = lotG;
  for (let roll = 0; roll < most; roll++) {
    const areaMm2 = (leftG / (doughDensity.value * thicknessMm)) * 1000;
    const { pieces: cut } = bestLayout(areaMm2, shape.widthMm, shape.lengthMm, trimMm);
    if (cut === 0) break;
    pieces.push(cut);
    leftG -= cut * pieceG;
  }
  return pieces;
}

function pieceMakeUp({ makeUp, outsideMakeUp, doughG, toppingG, dustG }: DoughResult): MakeUp {
  if (!outsideMakeUp) return makeUp;
  return mixMakeUps([
    { makeUp, massG: doughG },
    { makeUp: outsideMakeUp, massG: toppingG + dustG },
  ]);
}

/** The cut piece warms at the table, then firms through the waits after cutting. */
function pieceTemperature(formula: Formula, kitchen: Kitchen, makeUp: MakeUp, thicknessMm: number, chill: ChillResult): number {
  const cooling = conduct({
    form: 'slab',
    sizeMm: Math.max(2, thicknessMm),
    material: coldTable(makeUp),
    startC: chill.endMiddleC,
    exposures: [exposureAt(tableOf(kitchen), tableMin.value, 'none'), ...exposuresOf('sheet.waits', formula.sheet.waits, 'none', kitchen)],
    cells: 8,
  });
  return cooling.middleC[cooling.middleC.length - 1]!;
}

function sheetFindings(formula: Formula, family: Family, result: SheetResult, trays: number): Finding[] {
  const found: Finding[] = [];
  const [low, , high] = family.thicknessMm;
  const { thicknessMm } = result;
  const path = '/sheet/parts/0/thicknessMm';
  const measured = { path: 'sheet.thicknessMm', value: thicknessMm, low, high };
  if (result.pieces === 0) {
    const { widthMm, lengthMm } = formula.sheet.parts[0]!.shape;
    found.push(finding('sheet.noPiece', 'fix', 'sheet', { path: 'sheet.pieces', value: 0, of: `${widthMm} x ${lengthMm} mm` }));
  }
  if (thicknessMm > high) {
    found.push(
      finding('sheet.tooThick', thicknessMm > thicknessFix.values.high * high ? 'fix' : 'watch', 'sheet', measured, [
        { path, from: thicknessMm, to: high },
      ]),
    );
  }
  if (thicknessMm < low) {
    found.push(
      finding('sheet.tooThin', thicknessMm < thicknessFix.values.low * low ? 'fix' : 'watch', 'sheet', measured, [
        { path, from: thicknessMm, to: low },
      ]),
    );
  }
  if (result.pieces > 0 && result.scrapShare > scrapLimit.value) {
    const again = formula.sheet.reroll === 'no' ? [{ path: '/sheet/reroll', from: 'no', to: 'tillGone' }] : undefined;
    found.push(
      finding('sheet.scrapHigh', 'watch', 'sheet', { path: 'sheet.scrapShare', value: result.scrapShare, high: scrapLimit.value }, again),
    );
  }
  if (result.traysNeeded > trays) {
    found.push(finding('sheet.traysShort', 'note', 'sheet', { path: 'sheet.traysNeeded', value: result.traysNeeded, high: trays }));
  }
  return found;
}
