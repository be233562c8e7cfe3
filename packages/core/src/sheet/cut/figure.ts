import { InputError, within } from '../../errors.js';
import type { CutShape } from '../../document/formula.js';

export type Point = readonly [xMm: number, yMm: number];
/** A closed line of points, no point twice; its box begins at 0, 0. */
export type Outline = readonly Point[];

/** A shape to cut, as geometry. Lengths in mm. */
export type Figure = {
  readonly outline: Outline;
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly areaMm2: number;
  readonly rimMm: number;
  /** The same line with true arcs, as SVG path data in mm. */ readonly path: string;
};

/** Points of an arc of half a turn. */
const ARC_POINTS = 20;

/**
 * The outline, size, area and rim of a shape.
 *
 * Units    mm, mm2.
 * Throws   InputError at `path` and the member that is out of its range, or where an outline crosses itself or has under three points.
 * Findings none.
 * Source   plane geometry. A heart is a square on its point with two half circles: side s = w / (1 + 1/sqrt 2), height s (1.5/sqrt 2 + 0.5), area s2 (1 + pi/4).
 *
 * @example
 * figureOf({ kind: 'round', acrossMm: 60 }, 'shape').areaMm2; // => 2827.4
 */
export function figureOf(shape: CutShape, path: string): Figure {
  const size = (name: string, value: number) => within(`${path}.${name}`, value, 5, 600, 'mm');
  switch (shape.kind) {
    case 'rectangle': {
      const [w, l] = [size('widthMm', shape.widthMm), size('lengthMm', shape.lengthMm)];
      return polygon([[0, 0], [w, 0], [w, l], [0, l]]); // prettier-ignore
    }
    case 'diamond': {
      const strip = size('widthMm', shape.widthMm);
      const angle = (within(`${path}.angleDeg`, shape.angleDeg, 20, 90, 'degrees') * Math.PI) / 180;
      const [side, lean] = [strip / Math.sin(angle), strip / Math.tan(angle)];
      return polygon([[0, 0], [side, 0], [side + lean, strip], [lean, strip]]); // prettier-ignore
    }
    case 'triangle': {
      const [base, height] = [size('baseMm', shape.baseMm), size('heightMm', shape.heightMm)];
      return polygon([[0, 0], [base, 0], [base / 2, height]]); // prettier-ignore
    }
    case 'hexagon': {
      const across = size('acrossMm', shape.acrossMm);
      const side = across / Math.sqrt(3);
      return polygon([[across / 2, 0], [across, side / 2], [across, 1.5 * side], [across / 2, 2 * side], [0, 1.5 * side], [0, side / 2]]); // prettier-ignore
    }
    case 'round': {
      const across = size('acrossMm', shape.acrossMm);
      const r = across / 2;
      const points = Array.from({ length: 2 * ARC_POINTS }, (_, i): Point => {
        const turn = (Math.PI * i) / ARC_POINTS;
        return [r + r * Math.cos(turn), r + r * Math.sin(turn)];
      });
      return {
        outline: points,
        widthMm: across,
        lengthMm: across,
        areaMm2: Math.PI * r * r,
        rimMm: Math.PI * across,
        path: `M0 ${n(r)}a${n(r)} ${n(r)} 0 1 0 ${n(across)} 0a${n(r)} ${n(r)} 0 1 0 ${n(-across)} 0z`,
      };
    }
    case 'heart':
      return heart(size('acrossMm', shape.acrossMm));
    case 'outline':
      return drawn(shape.pointsMm, `${path}.pointsMm`);
  }
}

/** Point down at the top of the box, two rounds at its end: y runs down the sheet. */
function heart(width: number): Figure {
  const s = width / (1 + Math.SQRT1_2);
  const half = s * Math.SQRT1_2;
  const r = s / 2;
  const middle = width / 2;
  // Square on its point: tip (middle, height), sides up to (middle +- half), top corner; half circles on the two upper sides.
  const height = s * (1.5 * Math.SQRT1_2 + 0.5);
  const lowY = height;
  const sideY = height - half;
  const arc = (centre: Point, from: number): Point[] =>
    Array.from({ length: ARC_POINTS + 1 }, (_, i): Point => {
      const turn = from + (Math.PI * i) / ARC_POINTS;
      return [centre[0] + r * Math.cos(turn), centre[1] + r * Math.sin(turn)];
    });
  const right: Point = [middle + half / 2, height - 1.5 * half];
  const left: Point = [middle - half / 2, height - 1.5 * half];
  const notch: Point = [middle, height - 2 * half];
  const points: Point[] = [[middle, lowY], ...arc(left, (3 * Math.PI) / 4).slice(0, -1), ...arc(right, (5 * Math.PI) / 4)];
  return {
    outline: boxed(points),
    widthMm: width,
    lengthMm: height,
    areaMm2: s * s * (1 + Math.PI / 4),
    rimMm: s * (2 + Math.PI),
    path: `M${n(middle)} ${n(lowY)}L${n(middle - half)} ${n(sideY)}A${n(r)} ${n(r)} 0 0 1 ${n(notch[0])} ${n(notch[1])}A${n(r)} ${n(r)} 0 0 1 ${n(middle + half)} ${n(sideY)}Z`,
  };
}

function drawn(points: readonly (readonly number[])[], path: string): Figure {
  if (points.length < 3) throw new InputError(path, 'needs at least three points');
  const outline = boxed(points.map(([x = NaN, y = NaN]): Point => [x, y]));
  const figure = polygon(outline);
  if (!Number.isFinite(figure.areaMm2)) throw new InputError(path, 'must be numbers');
  within(`${path} (width)`, figure.widthMm, 5, 600, 'mm');
  within(`${path} (length)`, figure.lengthMm, 5, 600, 'mm');
  if (crosses(outline)) throw new InputError(path, 'crosses itself: draw one closed line round the piece');
  return figure;
}

function polygon(points: readonly Point[]): Figure {
  const outline = boxed(points);
  let twice = 0;
  let rim = 0;
  outline.forEach(([x, y], i) => {
    const [x2, y2] = outline[(i + 1) % outline.length]!;
    twice += x * y2 - x2 * y;
    rim += Math.hypot(x2 - x, y2 - y);
  });
  return {
    outline,
    widthMm: Math.max(...outline.map(([x]) => x)),
    lengthMm: Math.max(...outline.map(([, y]) => y)),
    areaMm2: Math.abs(twice) / 2,
    rimMm: rim,
    path: `M${outline.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}Z`,
  };
}

/** Moved so that its box begins at 0, 0. */
function boxed(points: readonly Point[]): Point[] {
  const left = Math.min(...points.map(([x]) => x));
  const top = Math.min(...points.map(([, y]) => y));
  return points.map(([x, y]) => [x - left, y - top]);
}

function crosses(outline: Outline): boolean {
  const count = outline.length;
  const side = (a: Point, b: Point, c: Point) => Math.sign((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]));
  for (let i = 0; i < count; i++) {
    for (let j = i + 2; j < count; j++) {
      if (i === 0 && j === count - 1) continue;
      const [a, b, c, d] = [outline[i]!, outline[i + 1]!, outline[j]!, outline[(j + 1) % count]!];
      if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) return true;
    }
  }
  return false;
}

/** The same figure turned by a quarter: width for length. */
export function quarterTurned(figure: Figure): Figure {
  return polygonLike(
    figure,
    figure.outline.map(([x, y]): Point => [figure.lengthMm - y, x]),
    figure.lengthMm,
    figure.widthMm,
  );
}

/**
 * The same figure upside down in its box.
 *
 * Units    mm.
 * Throws   nothing.
 * Findings none.
 * Source   geometry.
 */
export function upsideDown(figure: Figure): Figure {
  const { widthMm, lengthMm } = figure;
  return polygonLike(
    figure,
    figure.outline.map(([x, y]): Point => [widthMm - x, lengthMm - y]),
    widthMm,
    lengthMm,
  );
}

const polygonLike = (figure: Figure, outline: Outline, widthMm: number, lengthMm: number): Figure => ({
  ...figure,
  outline,
  widthMm,
  lengthMm,
  path: `M${outline.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}Z`,
});

/** Four digits behind the point: a tenth of a micrometre is enough for a cutter. */
const n = (mm: number): string => String(Number(mm.toFixed(4)));
