import { countOn, placedOn, roundsOn } from './cut/nest.js';
import { cachedNests } from './plan.js';
import type { CutShape } from '../document/formula.js';
import type { Nest, Placed } from './cut/nest.js';

export type TrayArea = { readonly widthMm: number; readonly lengthMm: number };
/** How pieces lie on one tray. Lengths in mm, from the tray's own corner. */
export type TrayNest = { readonly pieces: number; readonly nest: Nest | null; readonly turned: boolean };

/**
 * Most pieces of a shape on one tray, among ways to lay them and both ways round.
 *
 * Units    mm.
 * Throws   InputError for a shape out of its range.
 * Findings none.
 * Source   counting; rounds may also lie in rows that are stretched to the tray.
 */
export function trayNest({ widthMm, lengthMm }: TrayArea, shape: CutShape, gapMm: number, edgeMm: number): TrayNest {
  let best: TrayNest = { pieces: 0, nest: null, turned: false };
  for (const nest of cachedNests(shape, gapMm)) {
    for (const turned of [false, true]) {
      const [w, l] = turned ? [lengthMm, widthMm] : [widthMm, lengthMm];
      const pieces = countOn(nest, w - 2 * edgeMm, l - 2 * edgeMm);
      if (pieces > best.pieces) best = { pieces, nest, turned };
    }
  }
  if (shape.kind !== 'round' || !best.nest) return best;
  const { stretched, stretch } = roundsOn({ widthMm, lengthMm, acrossMm: shape.acrossMm, webMm: gapMm, marginMm: edgeMm });
  if (!stretch || stretched <= best.pieces) return best;
  const { cellMm, rowMm, turned } = stretch;
  return { pieces: stretched, turned, nest: { ...best.nest, name: 'rows shifted', cellMm, rowMm, shiftMm: cellMm / 2 } };
}

/**
 * Pieces shared evenly among as few trays as hold them: no tray carries two more than another, for a lone last piece bakes faster.
 *
 * Units    pieces, trays.
 * Throws   nothing; none fits a tray gives no tray.
 * Findings none.
 * Source   arithmetic.
 *
 * @example
 * sharedAmongTrays(50, 18); // => [17, 17, 16]
 */
export function sharedAmongTrays(pieces: number, perTray: number): number[] {
  if (perTray <= 0 || pieces <= 0) return [];
  const trays = Math.ceil(pieces / perTray);
  return Array.from({ length: trays }, (_, i) => Math.floor(pieces / trays) + (i < pieces % trays ? 1 : 0));
}

/**
 * Where the pieces of one tray lie, the tray's edge counted. mm.
 *
 * Units    mm.
 * Throws   nothing.
 * Findings none.
 * Source   geometry.
 */
export function placedOnTray({ widthMm, lengthMm }: TrayArea, { nest, turned }: TrayNest, edgeMm: number, most: number): Placed[] {
  if (!nest) return [];
  const [w, l] = turned ? [lengthMm, widthMm] : [widthMm, lengthMm];
  return placedOn(nest, w - 2 * edgeMm, l - 2 * edgeMm, most).map((one) => ({ ...one, xMm: one.xMm + edgeMm, yMm: one.yMm + edgeMm }));
}
