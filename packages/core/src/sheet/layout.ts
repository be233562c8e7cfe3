import { sheetProportion } from '../facts/dough.js';

/** How many pieces one sheet gives, and how it is rolled. Lengths in mm. */
export type SheetLayout = {
  readonly across: number;
  readonly along: number;
  readonly pieces: number;
  readonly sheetWidthMm: number;
  readonly sheetLengthMm: number;
  readonly pieceWidthMm: number;
  readonly pieceLengthMm: number;
};

/**
 * The sheet that gives most pieces from an area: a whole multiple of the piece plus a trim all round, not too long and thin.
 *
 * Units    mm and mm2.
 * Throws   nothing; no room for one piece gives 0 pieces.
 * Findings none.
 * Source   counting: every multiple across is tried with the longest that fits along it; ties go to the squarer sheet.
 *
 * @example
 * bestLayout(10000, 40, 40, 0); // => 6 pieces: 2 across, 3 along
 */
export function bestLayout(areaMm2: number, widthMm: number, lengthMm: number, trimMm: number): SheetLayout {
  let best: SheetLayout | null = null;
  const most = Math.max(1, Math.floor(areaMm2 / (widthMm * lengthMm)));
  for (let across = 1; across <= Math.min(most, 200); across++) {
    const sheetWidthMm = across * widthMm + 2 * trimMm;
    const along = Math.floor((areaMm2 / sheetWidthMm - 2 * trimMm) / lengthMm + 1e-9);
    if (along < 1) continue;
    const sheetLengthMm = along * lengthMm + 2 * trimMm;
    const layout = { across, along, pieces: across * along, sheetWidthMm, sheetLengthMm, pieceWidthMm: widthMm, pieceLengthMm: lengthMm };
    if (proportion(layout) > sheetProportion.value && across * along > 4) continue;
    if (!best || layout.pieces > best.pieces || (layout.pieces === best.pieces && proportion(layout) < proportion(best))) best = layout;
  }
  return best ?? { across: 0, along: 0, pieces: 0, sheetWidthMm: 0, sheetLengthMm: 0, pieceWidthMm: widthMm, pieceLengthMm: lengthMm };
}

const proportion = ({ sheetWidthMm, sheetLengthMm }: SheetLayout) =>
  Math.max(sheetWidthMm, sheetLengthMm) / Math.min(sheetWidthMm, sheetLengthMm);

/**
 * Pieces on one tray, with a gap between and around, the better way round.
 *
 * Units    mm.
 * Throws   nothing.
 * Findings none.
 * Source   counting.
 *
 * @example
 * piecesOnTray(400, 300, 45, 45, 6); // => 35
 */
export function piecesOnTray(trayWidthMm: number, trayLengthMm: number, widthMm: number, lengthMm: number, gapMm: number): number {
  const fit = (tray: number, piece: number) => Math.max(0, Math.floor((tray - gapMm) / (piece + gapMm) + 1e-9));
  return Math.max(fit(trayWidthMm, widthMm) * fit(trayLengthMm, lengthMm), fit(trayWidthMm, lengthMm) * fit(trayLengthMm, widthMm));
}
