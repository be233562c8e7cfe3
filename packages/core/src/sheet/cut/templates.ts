import { latticeOf } from '../../pan/pan.js';
import { docksOfPart } from '../docking.js';
import { figureOf } from './figure.js';
import { isCutShape, planSheet } from '../plan.js';
import type { Formula, Part } from '../../document/formula.js';
import type { Kitchen, Pan } from '../../document/kitchen.js';
import type { PartPlan } from '../plan.js';

/** One thing to cut round, at its true size. Lengths and paths in mm, from the top left corner. */
export type Template = {
  readonly name: string;
  readonly widthMm: number;
  readonly lengthMm: number;
  /** Lines to cut. */ readonly cut: readonly string[];
  /** Lines to see: the filled middle, the base of a pan, where to prick. */ readonly mark: readonly string[];
  /** How many a piece takes. */ readonly count: number;
};

/**
 * Everything of a formula that a paper pattern helps to cut.
 *
 * Units    mm.
 * Throws   as planSheet.
 * Findings none.
 * Source   the parts as planSheet sizes them.
 */
export function templatesOf(formula: Formula, kitchen: Pick<Kitchen, 'pans' | 'mat'>, massG: number): Template[] {
  const plan = planSheet(formula, kitchen, massG);
  const pan = kitchen.pans?.find(({ id }) => id === formula.bake.panId) ?? null;
  const seen = new Set<string>();
  return formula.sheet.parts
    .flatMap((part, i) => {
      const pricks = docksOfPart(part, plan.parts[i]!, pan, formula.sheet).map(cross);
      return ofPart(part, plan.parts[i]!, pan).map((one) => (pricks.length === 0 ? one : { ...one, mark: [...one.mark, pricks.join('')] }));
    })
    .filter((one) => {
      const key = JSON.stringify([one.cut, one.mark]);
      return !seen.has(key) && seen.add(key);
    });
}

function ofPart(part: Part, { widthMm, lengthMm, perPiece, strips = 1 }: PartPlan, pan: Pan | null): Template[] {
  const { shape } = part;
  if (isCutShape(shape)) return [cutter(part, perPiece)];
  const one = (name: string, cut: string, mark: readonly string[] = [], count = perPiece): Template => ({
    name,
    widthMm,
    lengthMm,
    cut: [cut],
    mark,
    count,
  });
  switch (shape.kind) {
    case 'lining':
      return [
        one('Lining', blank(pan!, widthMm, lengthMm), [
          blank(pan!, pan!.bottomMm, pan!.bottomMm + lengthMm - widthMm, { inWidthMm: widthMm, inLengthMm: lengthMm }),
        ]),
      ];
    case 'lid':
      return [one('Lid', blank(pan!, widthMm, lengthMm), [blank(pan!, pan!.topMm, pan!.topMm + lengthMm - widthMm, { inWidthMm: widthMm, inLengthMm: lengthMm }), ...slits(part.vents ?? 0, widthMm, lengthMm)])]; // prettier-ignore
    case 'base':
      return [one('Base', blank(pan!, widthMm, lengthMm))];
    case 'side':
      return [one('Side strip', box(0, 0, widthMm, lengthMm), [], strips * perPiece)];
    case 'lattice': {
      const { along, across } = latticeOf(pan!, { stripMm: shape.stripMm, gapMm: shape.gapMm, overhangMm: shape.overhangMm }, 'shape');
      // Strips left and right of the middle are alike, and in a round pan both directions.
      const lengths = new Map<string, number>();
      for (const { lengthMm: long } of [...along, ...across]) lengths.set(long.toFixed(1), (lengths.get(long.toFixed(1)) ?? 0) + 1);
      return [...lengths].map(([long, count]): Template => ({ name: `Lattice strip ${Math.round(Number(long))}`, widthMm: shape.stripMm, lengthMm: Number(long), cut: [box(0, 0, shape.stripMm, Number(long))], mark: [], count: count * perPiece })); // prettier-ignore
    }
    case 'freeForm':
      return [one('Disc', ellipse(widthMm, widthMm), [ellipse(shape.filledMm, shape.filledMm, widthMm, widthMm)])];
    default:
      return [];
  }
}

function cutter(part: Part, count: number): Template {
  if (!isCutShape(part.shape)) throw new Error('only a cut shape has a cutter');
  const { path, widthMm, lengthMm } = figureOf(part.shape, 'shape');
  const window = part.window ? figureOf(part.window, 'window') : null;
  return {
    name: window ? 'Piece with its window' : 'Piece',
    widthMm,
    lengthMm,
    cut: [path, ...(window ? [moved(window.outline, (widthMm - window.widthMm) / 2, (lengthMm - window.lengthMm) / 2)] : [])],
    mark: [],
    count,
  };
}

const moved = (outline: readonly (readonly [number, number])[], dx: number, dy: number): string =>
  `M${outline.map(([x, y]) => `${n(x + dx)} ${n(y + dy)}`).join('L')}Z`;

/** The form of a pan, in the middle of a box. */
function blank(
  pan: Pan,
  widthMm: number,
  lengthMm: number,
  { inWidthMm = widthMm, inLengthMm = lengthMm }: { readonly inWidthMm?: number; readonly inLengthMm?: number } = {},
): string {
  if (pan.kind === 'rectangle') return box((inWidthMm - widthMm) / 2, (inLengthMm - lengthMm) / 2, widthMm, lengthMm);
  return ellipse(widthMm, lengthMm, inWidthMm, inLengthMm);
}

/** Where to prick. */
const cross = ([x, y]: readonly [number, number]): string =>
  `M${n(x - 1)} ${n(y)}L${n(x + 1)} ${n(y)}M${n(x)} ${n(y - 1)}L${n(x)} ${n(y + 1)}`;

const box = (x: number, y: number, w: number, l: number): string =>
  `M${n(x)} ${n(y)}L${n(x + w)} ${n(y)}L${n(x + w)} ${n(y + l)}L${n(x)} ${n(y + l)}Z`;

function ellipse(w: number, l: number, inW = w, inL = l): string {
  const [rx, ry] = [n(w / 2), n(l / 2)];
  return `M${n((inW - w) / 2)} ${n(inL / 2)}A${rx} ${ry} 0 1 0 ${n((inW + w) / 2)} ${n(inL / 2)}A${rx} ${ry} 0 1 0 ${n((inW - w) / 2)} ${n(inL / 2)}Z`;
}

/** Slits for steam, round the middle of a lid. */
function slits(count: number, w: number, l: number): string[] {
  return Array.from({ length: count }, (_, i) => {
    const turn = (2 * Math.PI * i) / count - Math.PI / 2;
    const at = (r: number) => `${n(w / 2 + r * w * Math.cos(turn))} ${n(l / 2 + r * l * Math.sin(turn))}`;
    return `M${at(0.09)}L${at(0.2)}`;
  });
}

const n = (mm: number): string => String(Number(mm.toFixed(3)));
