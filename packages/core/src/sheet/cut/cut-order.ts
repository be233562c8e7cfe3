import { docksOf } from '../docking.js';
import { figureOf } from './figure.js';
import { firstPart, isCutShape } from '../plan.js';
import type { DockPattern, Formula } from '../../document/formula.js';
import type { SheetLayout } from '../plan.js';

/** One thing to do on the sheet, in order. Lengths in mm; `atMm` is read off a ruler laid from the trimmed edge. */
export type CutStep =
  | { readonly kind: 'roll'; readonly widthMm: number; readonly lengthMm: number; readonly thicknessMm: number; readonly lots: number }
  | { readonly kind: 'trim'; readonly byMm: number }
  /** Straight through, across the side that is named. */
  | { readonly kind: 'lines'; readonly along: 'width' | 'length'; readonly everyMm: number; readonly atMm: readonly number[] }
  | { readonly kind: 'slant'; readonly everyMm: number; readonly angleDeg: number; readonly count: number }
  /** Marks on one edge of a strip; on the other edge half a step further. */
  | { readonly kind: 'zigzag'; readonly everyMm: number; readonly halfMm: number; readonly perStrip: number }
  | { readonly kind: 'cutter'; readonly everyMm: number; readonly rowMm: number; readonly shiftMm: number; readonly turned: boolean }
  | { readonly kind: 'window'; readonly of: number }
  | {
      readonly kind: 'dock';
      readonly everyMm: number;
      readonly pattern: DockPattern;
      /** Holes of one piece. */ readonly perPiece: number;
    };

/**
 * In what order a sheet is cut, and where the ruler lies.
 *
 * Units    mm.
 * Throws   nothing.
 * Findings none.
 * Source   the layout itself; both edges are marked before the first cut, for the first cut strays (common practice, no source).
 */
export function cutOrder(formula: Formula, layout: SheetLayout): CutStep[] {
  const { sheet } = formula;
  const part = firstPart(formula);
  const { shape, thicknessMm } = part;
  if (!isCutShape(shape)) return [];
  const { trimMm } = sheet;
  const inside = { width: layout.sheetWidthMm - 2 * trimMm, length: layout.sheetLengthMm - 2 * trimMm };
  const steps: CutStep[] = [
    { kind: 'roll', widthMm: layout.sheetWidthMm, lengthMm: layout.sheetLengthMm, thicknessMm, lots: sheet.lots },
    ...(trimMm > 0 ? [{ kind: 'trim' as const, byMm: trimMm }] : []),
  ];
  const lines = (along: 'width' | 'length', everyMm: number): CutStep => ({
    kind: 'lines',
    along,
    everyMm,
    atMm: marks(inside[along], everyMm),
  });
  switch (shape.kind) {
    case 'rectangle':
      steps.push(lines('width', layout.cellMm), lines('length', layout.rowMm));
      break;
    case 'diamond':
      steps.push(lines('length', layout.rowMm), {
        kind: 'slant',
        everyMm: layout.cellMm,
        angleDeg: shape.angleDeg,
        count: Math.floor((inside.width - shape.widthMm / Math.tan((shape.angleDeg * Math.PI) / 180)) / layout.cellMm + 1e-9) + 1,
      });
      break;
    case 'triangle':
      if (layout.second && layout.second.dyMm === 0) {
        steps.push(lines('length', layout.rowMm), {
          kind: 'zigzag',
          everyMm: layout.cellMm,
          halfMm: layout.second.dxMm,
          perStrip: Math.round(layout.pieces / rowsOf(layout, inside.length)),
        });
        break;
      }
      steps.push(byCutter(layout));
      break;
    default:
      steps.push(byCutter(layout));
  }
  const windows = sheet.parts.filter(({ window }) => window !== undefined).reduce((sum, { perPiece }) => sum + perPiece, 0);
  const all = sheet.parts.reduce((sum, { perPiece }) => sum + perPiece, 0);
  if (windows > 0) steps.push({ kind: 'window', of: Math.floor((layout.pieces * windows) / all) });
  if (sheet.dockPitchMm !== undefined) {
    const { dockPitchMm: everyMm, dockPattern: pattern = 'inLine' } = sheet;
    steps.push({ kind: 'dock', everyMm, pattern, perPiece: docksOf(figureOf(shape, 'shape'), everyMm, pattern).length });
  }
  return steps;
}

const byCutter = ({ cellMm, rowMm, shiftMm, second }: SheetLayout): CutStep => ({ kind: 'cutter', everyMm: second ? cellMm / 2 : cellMm, rowMm, shiftMm, turned: second !== null }); // prettier-ignore

const rowsOf = ({ bandMm, rowMm }: SheetLayout, lengthMm: number): number => Math.floor((lengthMm - bandMm) / rowMm + 1e-9) + 1;

/** Every place on the ruler between two edges. */
function marks(lengthMm: number, everyMm: number): number[] {
  const count = Math.max(0, Math.ceil(lengthMm / everyMm - 1e-6) - 1);
  return Array.from({ length: count }, (_, i) => (i + 1) * everyMm);
}
