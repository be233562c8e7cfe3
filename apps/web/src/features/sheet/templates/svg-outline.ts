import simplify from 'simplify-js';
import { t } from '../../../platform/words';

/** Points along a drawn line before it is made simpler. */
const SAMPLES = 1200;
/** What a cutter does not show, mm. */
const TOLERANCE_MM = 0.15;
const MOST_POINTS = 96;

/** The first closed line of an SVG file as points in mm; what cannot be used says why. */
export function outlineFromSvg(text: string): number[][] {
  const doc = new DOMParser().parseFromString(text, 'image/svg+xml');
  const root = doc.documentElement;
  if (doc.querySelector('parsererror') || root.nodeName !== 'svg') throw new Error(t('sheet.notAnSvg'));
  const drawn = root.querySelector('path, polygon, rect, circle, ellipse');
  if (!drawn) throw new Error(t('sheet.noPath'));
  // Measured by the browser itself, in a hidden copy that holds one shape and nothing that could run.
  const host = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
  host.setAttribute('style', 'position:absolute;width:0;height:0;visibility:hidden');
  const shape = document.createElementNS('http://www.w3.org/2000/svg', drawn.nodeName) as SVGGeometryElement;
  for (const name of ['d', 'points', 'x', 'y', 'width', 'height', 'rx', 'ry', 'cx', 'cy', 'r']) {
    const value = drawn.getAttribute(name);
    if (value !== null) shape.setAttribute(name, value);
  }
  host.append(shape);
  document.body.append(host);
  try {
    const scale = mmPerUnit(root);
    const whole = shape.getTotalLength();
    if (!(whole > 0)) throw new Error(t('sheet.noLength'));
    const points = Array.from({ length: SAMPLES }, (_, i) => {
      const { x, y } = shape.getPointAtLength((whole * i) / SAMPLES);
      return { x: x * scale, y: y * scale };
    });
    let tolerance = TOLERANCE_MM;
    let simple = simplify(points, tolerance, true);
    while (simple.length > MOST_POINTS) simple = simplify(points, (tolerance *= 1.5), true);
    return simple.map(({ x, y }) => [Number(x.toFixed(3)), Number(y.toFixed(3))]);
  } finally {
    host.remove();
  }
}

const unitMm: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6, px: 25.4 / 96, '': 25.4 / 96 };

/** Millimetres of one unit of the drawing: its width over its view box; else a CSS pixel, 1/96 in. */
function mmPerUnit(root: Element): number {
  const width = /^\s*([\d.]+)\s*([a-z]*)\s*$/i.exec(root.getAttribute('width') ?? '');
  const box = (root.getAttribute('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const perUnit = unitMm[width?.[2]?.toLowerCase() ?? ''];
  if (!width || perUnit === undefined) return unitMm['px']!;
  return box.length === 4 && box[2]! > 0 ? (Number(width[1]) * perUnit) / box[2]! : perUnit;
}
