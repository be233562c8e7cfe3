import { dockRim } from '../facts/sheet.js';
import { figureOf } from './cut/figure.js';
import { isCutShape } from './plan.js';
import type { DockPattern, Part, Sheet } from '../document/formula.js';
import type { Pan } from '../document/kitchen.js';
import type { Figure, Outline, Point } from './cut/figure.js';
import type { PartPlan } from './plan.js';

/**
 * Prick holes of one piece: rows evenly spread over its box as near to the pitch as goes whole, less what would fall outside its line, on
 * its rim or into its window. Staggered, each second row stands between and the rows are closer, so that every hole has its neighbours at
 * one pitch.
 *
 * Units    mm from the corner of the figure's box; a window lies in the middle of that box.
 * Throws   nothing; a pitch under 1 mm counts as 1.
 * Findings none.
 * Source   geometry; facts/sheet dockRim (judgement).
 *
 * @example
 * docksOf(figureOf({ kind: 'rectangle', widthMm: 45, lengthMm: 45 }, 'shape'), 15, 'inLine').length; // => 9
 */
export function docksOf(
  figure: Pick<Figure, 'outline' | 'widthMm' | 'lengthMm'>,
  everyMm: number,
  pattern: DockPattern,
  window?: Figure,
): Point[] {
  const pitch = Math.max(1, everyMm);
  const { outline, widthMm, lengthMm } = figure;
  const rim = Math.min(dockRim.values.mostMm, dockRim.values.pitchShare * pitch);
  const staggered = pattern === 'staggered';
  const columns = Math.max(1, Math.round(widthMm / pitch));
  const rows = Math.max(1, Math.round(lengthMm / (staggered ? pitch * Math.sqrt(0.75) : pitch)));
  const [dx, dy] = [widthMm / columns, lengthMm / rows];
  const hole = window?.outline.map(([x, y]): Point => [x + (widthMm - window.widthMm) / 2, y + (lengthMm - window.lengthMm) / 2]);
  const points: Point[] = [];
  for (let row = 0; row < rows; row++) {
    const between = staggered && row % 2 === 1;
    for (let column = between ? 1 : 0; column < columns; column++) points.push([(column + (between ? 0 : 0.5)) * dx, (row + 0.5) * dy]);
  }
  return points.filter(
    (point) =>
      isInside(outline, point) && nearestMm(outline, point) >= rim && !(hole && (isInside(hole, point) || nearestMm(hole, point) < rim)),
  );
}

/**
 * Where one part is pricked: a piece over all of it, a disc as it is, a lining only where it lies on the base of its pan.
 *
 * Units    mm from the corner of the part's box.
 * Throws   as figureOf.
 * Findings none.
 * Source   sides and lids are not pricked (common practice, no source).
 */
export function docksOfPart(
  { shape, window }: Part,
  plan: Pick<PartPlan, 'widthMm' | 'lengthMm'>,
  pan: Pan | null,
  sheet: Pick<Sheet, 'dockPitchMm' | 'dockPattern'>,
): Point[] {
  const { dockPitchMm, dockPattern = 'inLine' } = sheet;
  if (dockPitchMm === undefined) return [];
  if (isCutShape(shape)) return docksOf(figureOf(shape, 'shape'), dockPitchMm, dockPattern, window && figureOf(window, 'window'));
  if (!pan || (shape.kind !== 'lining' && shape.kind !== 'base')) return [];
  const longer = plan.lengthMm - plan.widthMm;
  const widthMm = shape.kind === 'base' ? plan.widthMm : Math.min(pan.bottomMm, plan.widthMm);
  const lengthMm = widthMm + longer;
  const [left, top] = [(plan.widthMm - widthMm) / 2, (plan.lengthMm - lengthMm) / 2];
  const outline = pan.kind === 'rectangle' ? boxOf(widthMm, lengthMm) : ellipseOf(widthMm, lengthMm);
  return docksOf({ outline, widthMm, lengthMm }, dockPitchMm, dockPattern).map(([x, y]) => [x + left, y + top]);
}

const boxOf = (w: number, l: number): Outline => [[0, 0], [w, 0], [w, l], [0, l]]; // prettier-ignore
const ellipseOf = (w: number, l: number): Outline =>
  Array.from({ length: 60 }, (_, i): Point => [(w / 2) * (1 + Math.cos((Math.PI * i) / 30)), (l / 2) * (1 + Math.sin((Math.PI * i) / 30))]);

function isInside(outline: Outline, [x, y]: Point): boolean {
  let inside = false;
  outline.forEach(([ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length]!;
    if (ay > y !== by > y && x < ax + ((y - ay) * (bx - ax)) / (by - ay)) inside = !inside;
  });
  return inside;
}

/** mm from a point to the nearest place of a closed line. */
function nearestMm(outline: Outline, [x, y]: Point): number {
  return outline.reduce((nearest, [ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length]!;
    const [ux, uy] = [bx - ax, by - ay];
    const along = Math.min(1, Math.max(0, ((x - ax) * ux + (y - ay) * uy) / (ux * ux + uy * uy)));
    return Math.min(nearest, Math.hypot(x - ax - along * ux, y - ay - along * uy));
  }, Infinity);
}
