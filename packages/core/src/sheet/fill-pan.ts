import { isOfDough, type Formula } from '../document/formula.js';
import { batterFill } from '../facts/sheet.js';
import { roundTo } from '../units/rounding.js';
import type { Edit } from '../document/edits.js';
import type { Kitchen } from '../document/kitchen.js';
import type { SheetResult } from './sheet-result.js';

export type FilledPan = {
  /** Batter in one cup or tin, g. */ readonly pieceG: number;
  /** Cups or tins that are filled so. */ readonly pieces: number;
  readonly edits: readonly Edit[];
};

/**
 * The batter that stands in its cups or tin as high as it should, and the batch that fills whole ones of them: as many as now, where the
 * dough is for about so many. What goes on a piece keeps its grams a piece.
 *
 * Units    g.
 * Throws   nothing; null where nothing is poured or no pan is named.
 * Findings none.
 * Source   facts/sheet batterFill aim (common practice, no source); the level is that of sheet/body.
 */
export function filledPan(formula: Formula, kitchen: Kitchen, result: SheetResult): FilledPan | null {
  const { body, pieces, pieceDoughG, scrapG } = result;
  const pan = kitchen.pans?.find(({ id }) => id === formula.bake.panId);
  const { shape } = formula.sheet.parts[0]!;
  if (body.form !== 'poured' || !pan || shape.kind !== 'portion' || pieces === 0) return null;
  const pieceG = roundTo((shape.pieceG * batterFill.values.aim * pan.depthMm) / body.heightMm, 1, 'down');
  if (pieceG <= 0) return null;
  const massG = pieceDoughG * pieces + scrapG;
  const next = Math.max(1, Math.round(massG / pieceG));
  // A hair more, so that what is rounded still fills the last one.
  const dough = (g: number) => roundTo((g * next * pieceG) / massG, 0.1, 'up');
  const onPiece = (g: number) => roundTo((g * next) / pieces, 0.1);
  return {
    pieceG,
    pieces: next,
    edits: [
      { path: '/sheet/parts/0/shape/pieceG', from: shape.pieceG, to: pieceG },
      { path: '/blendG', from: formula.blendG, to: dough(formula.blendG) },
      ...formula.rows.flatMap(({ amountG, ...row }, i): Edit[] =>
        amountG > 0
          ? [{ path: `/rows/${i}/amountG`, from: amountG, to: isOfDough(row) || row.use === 'dust' ? dough(amountG) : onPiece(amountG) }]
          : [],
      ),
    ].filter(({ from, to }) => from !== to),
  };
}
