import { nearCutterShare } from '../../facts/sheet.js';
import type { CutShape } from '../../document/formula.js';
import type { Cutter } from '../../document/kitchen.js';

/** Cutters that differ by less are one: what a ruler shows on the bench. mm. */
const SAME_MM = 0.5;

/** What a cutter takes out of a sheet. mm. */
export const cutterShape = ({ kind, acrossMm, lengthMm }: Cutter): CutShape =>
  kind === 'rectangle' ? { kind, widthMm: acrossMm, lengthMm: lengthMm ?? acrossMm } : { kind, acrossMm };

/** The kitchen's cutter that cuts just this shape; null where it has none. */
export const cutterOf = (shape: CutShape, cutters: readonly Cutter[]): Cutter | null => nearest(shape, cutters, SAME_MM);

/**
 * The kitchen's cutter that comes nearest a shape, and near enough to make the same piece of it.
 *
 * Units    mm; null where the kitchen has none of the kind, or none near enough.
 * Throws   nothing.
 * Findings none.
 * Source   comparison of the sides, a rectangle pressed either way round; near enough is facts/sheet nearCutterShare.
 *
 * @example
 * fittingCutter({ kind: 'round', acrossMm: 51 }, [{ id: 'a', name: 'Round 50', kind: 'round', acrossMm: 50 }])?.id; // => 'a'
 */
export const fittingCutter = (shape: CutShape, cutters: readonly Cutter[]): Cutter | null =>
  nearest(shape, cutters, nearCutterShare.value * (sidesOf(shape)?.[1] ?? 0));

function nearest(shape: CutShape, cutters: readonly Cutter[], withinMm: number): Cutter | null {
  const wanted = sidesOf(shape);
  let [best, bestMm]: [Cutter | null, number] = [null, withinMm];
  for (const cutter of cutters) {
    const sides = sidesOf(cutterShape(cutter));
    if (!wanted || !sides || cutter.kind !== shape.kind) continue;
    const offMm = Math.max(Math.abs(sides[0] - wanted[0]), Math.abs(sides[1] - wanted[1]));
    if (offMm <= bestMm) [best, bestMm] = [cutter, offMm];
  }
  return best;
}

/** What only a cutter cuts; the rest a knife or a wheel does along a ruler. */
export const needsCutter = ({ kind }: CutShape): boolean => kind === 'round' || kind === 'hexagon' || kind === 'heart';

/** Shorter and longer side; null for what no cutter of a kitchen is described by. */
function sidesOf(shape: CutShape): readonly [number, number] | null {
  if (shape.kind === 'rectangle') return [Math.min(shape.widthMm, shape.lengthMm), Math.max(shape.widthMm, shape.lengthMm)];
  return 'acrossMm' in shape ? [shape.acrossMm, shape.acrossMm] : null;
}
