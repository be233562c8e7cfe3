import { firstPart, isCutShape, planSheet } from './plan.js';
import { cutterOf, cutterShape, needsCutter } from './cut/cutters.js';
import { figureOf } from './cut/figure.js';
import { roundTo } from '../units/rounding.js';
import type { CutShape, Formula } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';

/** One way to cut the same dough: what comes out, and what is left. */
export type CutWay = {
  readonly shape: CutShape;
  readonly pieces: number;
  /** Of them from scraps rolled again. */ readonly fromScraps: number;
  readonly pieceG: number;
  readonly scrapG: number;
  /** The formula's own. */ readonly own: boolean;
  /** The kitchen's cutter that it is cut with. */ readonly cutter?: string;
};

/** Kitchens with many cutters see those that come nearest the piece. */
const MOST_CUTTERS = 4;

/**
 * The formula's own cut beside others of about the same area, by how much dough ends in pieces. Where the kitchen named its cutters, what
 * only a cutter cuts is one of these; what a knife cuts is of any size.
 *
 * Units    g; shapes in mm, those of a knife rounded to whole millimetres.
 * Throws   as planSheet, for the formula's own.
 * Findings none.
 * Source   planSheet of each; the sizes only follow from equal area.
 */
export function waysToCut(formula: Formula, kitchen: Pick<Kitchen, 'pans' | 'mat' | 'cutters'>, massG: number): CutWay[] {
  const part = firstPart(formula);
  if (!isCutShape(part.shape) || formula.sheet.parts.length > 1 || part.body === 'rolledUp') return [];
  const own = part.shape;
  const { areaMm2 } = figureOf(own, 'sheet.parts[0].shape');
  const { cutters = [] } = kitchen;
  const inHand = cutterOf(own, cutters);
  const byKnife = sameArea(areaMm2).filter((shape) => !isLike(shape, own) && (cutters.length === 0 || !needsCutter(shape)));
  const far = (shape: CutShape) => Math.abs(Math.log(figureOf(shape, 'cutter').areaMm2 / areaMm2));
  const byCutter = cutters
    .filter((cutter) => cutter !== inHand)
    .map(cutterShape)
    .sort((a, b) => far(a) - far(b))
    .slice(0, MOST_CUTTERS);
  const withCutter = (shape: CutShape) => {
    const cutter = cutterOf(shape, cutters)?.name;
    return cutter === undefined ? {} : { cutter };
  };
  const wayOf = (shape: CutShape): CutWay => {
    const plan = planSheet({ ...formula, sheet: { ...formula.sheet, parts: [{ ...part, shape }] } }, kitchen, massG);
    return {
      shape,
      pieces: plan.pieces,
      fromScraps: plan.rolls.slice(1).reduce((sum, { pieces }) => sum + pieces, 0) * formula.sheet.lots,
      pieceG: plan.pieceDoughG,
      scrapG: plan.scrapG,
      own: shape === own,
      ...withCutter(shape),
    };
  };
  return [wayOf(own), ...byCutter.map(wayOf), ...byKnife.map(wayOf)];
}

/** Shapes of one area, in whole millimetres and inside what may be cut. */
function sameArea(areaMm2: number): CutShape[] {
  const mm = (value: number) => Math.min(600, Math.max(5, roundTo(value, 1)));
  const side = Math.sqrt(areaMm2);
  return [
    { kind: 'rectangle', widthMm: mm(side), lengthMm: mm(side) },
    { kind: 'hexagon', acrossMm: mm(Math.sqrt((2 * areaMm2) / Math.sqrt(3))) },
    { kind: 'round', acrossMm: mm(Math.sqrt((4 * areaMm2) / Math.PI)) },
    { kind: 'rectangle', widthMm: mm(side / 2.12), lengthMm: mm(side * 2.12) },
    { kind: 'diamond', widthMm: mm(side * 0.93), angleDeg: 60 },
    { kind: 'triangle', baseMm: mm(side * 1.15), heightMm: mm(side * 1.74) },
    { kind: 'heart', acrossMm: mm(Math.sqrt(areaMm2 / 0.6127)) },
  ];
}

/** The same kind of cut: a square is not a stick, though both are rectangles. */
function isLike(shape: CutShape, own: CutShape): boolean {
  if (shape.kind !== own.kind) return false;
  if (shape.kind !== 'rectangle' || own.kind !== 'rectangle') return true;
  const ratio = ({ widthMm, lengthMm }: { widthMm: number; lengthMm: number }) => Math.max(widthMm, lengthMm) / Math.min(widthMm, lengthMm);
  return ratio(own) < 1.6 === ratio(shape) < 1.6;
}
