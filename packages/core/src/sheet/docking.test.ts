import { aFormula, kitchen } from '../worked/a-formula.js';
import { cutOrder } from './cut/cut-order.js';
import { docksOf, docksOfPart } from './docking.js';
import { figureOf, upsideDown } from './cut/figure.js';
import { planSheet } from './plan.js';
import { templatesOf } from './cut/templates.js';
import type { CutShape } from '../document/formula.js';

const shapes: readonly CutShape[] = [
  { kind: 'rectangle', widthMm: 45, lengthMm: 70 },
  { kind: 'diamond', widthMm: 50, angleDeg: 60 },
  { kind: 'round', acrossMm: 60 },
  { kind: 'hexagon', acrossMm: 60 },
  { kind: 'heart', acrossMm: 80 },
  { kind: 'triangle', baseMm: 80, heightMm: 180 },
  { kind: 'outline', pointsMm: [[0, 0], [60, 0], [60, 60], [30, 15], [0, 60]] }, // prettier-ignore
];
const patterns = ['inLine', 'staggered'] as const;
const figure = (shape: CutShape) => figureOf(shape, 'shape');

/** The winding number, a way of its own: turns of the line as seen from the point. */
const turns = (outline: readonly (readonly [number, number])[], [x, y]: readonly [number, number]) =>
  Math.round(
    outline.reduce((sum, [ax, ay], i) => {
      const [bx, by] = outline[(i + 1) % outline.length]!;
      const turn = Math.atan2(by - y, bx - x) - Math.atan2(ay - y, ax - x);
      return sum + Math.atan2(Math.sin(turn), Math.cos(turn));
    }, 0) /
      (2 * Math.PI),
  );
const apart = (holes: readonly (readonly [number, number])[]) =>
  holes.map(([x, y], i) => Math.min(...holes.filter((_, j) => j !== i).map(([a, b]) => Math.hypot(a - x, b - y))));

describe('prick holes', () => {
  it.each(shapes.flatMap((shape) => patterns.map((pattern) => [shape.kind, pattern, shape] as const)))(
    'of a %s, %s, lie within its line, either way up',
    (_kind, pattern, shape) => {
      for (const one of [figure(shape), upsideDown(figure(shape))]) {
        const holes = docksOf(one, 12, pattern);
        expect(holes.length).toBeGreaterThan(3);
        expect(holes.filter((hole) => Math.abs(turns(one.outline, hole)) !== 1)).toEqual([]);
      }
    },
  );
  it('nine in a square of three pitches; the last hole stands as far from the edge as the first', () => {
    const holes = docksOf(figure({ kind: 'rectangle', widthMm: 45, lengthMm: 45 }), 15, 'inLine');
    expect(holes).toHaveLength(9);
    expect(holes[0]).toEqual([7.5, 7.5]);
    expect(holes[8]).toEqual([37.5, 37.5]);
  });
  it.each(patterns)('%s on a large sheet: neighbours are about a pitch apart', (pattern) => {
    for (const mm of apart(docksOf(figure({ kind: 'rectangle', widthMm: 300, lengthMm: 400 }), 14, pattern))) {
      expect(mm).toBeGreaterThan(13);
      expect(mm).toBeLessThan(15);
    }
  });
  // A hexagonal packing holds 2 / sqrt 3 times the points of a square one at the same distance (plane geometry).
  it('staggered holds 2/sqrt 3 times as many at one distance', () => {
    const sheet = figure({ kind: 'rectangle', widthMm: 590, lengthMm: 590 });
    const [inLine, staggered] = patterns.map((pattern) => docksOf(sheet, 10, pattern).length) as [number, number];
    expect(staggered / inLine).toBeCloseTo(2 / Math.sqrt(3), 1);
  });
  it('leave out a window and its rim', () => {
    const window = figure({ kind: 'round', acrossMm: 30 });
    const holes = docksOf(figure({ kind: 'round', acrossMm: 60 }), 8, 'inLine', window);
    expect(holes.length).toBeGreaterThan(10);
    for (const [x, y] of holes) expect(Math.hypot(x - 30, y - 30)).toBeGreaterThan(16);
  });
  it.each([0, 2.9, 101, -12, NaN])('no fork has tines %s mm apart: the field and its limits are named', (pitch) => {
    expect(() => planSheet(aFormula({ '/sheet/dockPitchMm': pitch }), kitchen, 400)).toThrow(/from 3 to 100 mm|must be a number/);
  });
  it('are counted a piece in the order of work', () => {
    const formula = aFormula({ '/sheet/dockPitchMm': 12, '/sheet/dockPattern': 'staggered' });
    const plan = planSheet(formula, kitchen, 400);
    expect(cutOrder(formula, plan.layout!).at(-1)).toEqual({ kind: 'dock', everyMm: 12, pattern: 'staggered', perPiece: 14 });
  });
  it('of a lining lie on the base of its pan, and a lid has none; the pattern to print shows them', () => {
    const formula = aFormula({
      '/bake/panId': 'pie-230',
      '/sheet/dockPitchMm': 15,
      '/sheet/parts': [
        { key: 'a', perPiece: 1, thicknessMm: 3.5, shape: { kind: 'lining', overhangMm: 15 } },
        { key: 'b', perPiece: 1, thicknessMm: 3, shape: { kind: 'lid', overhangMm: 10, domeMm: 10 } },
      ],
    });
    const pan = kitchen.pans!.find(({ id }) => id === 'pie-230')!;
    const { parts } = planSheet(formula, kitchen, 800);
    const [lining, lid] = formula.sheet.parts.map((part, i) => docksOfPart(part, parts[i]!, pan, formula.sheet));
    expect(lid).toEqual([]);
    expect(lining!.length).toBeGreaterThan(60);
    for (const [x, y] of lining!) expect(Math.hypot(x - parts[0]!.widthMm / 2, y - parts[0]!.lengthMm / 2)).toBeLessThan(pan.bottomMm / 2);
    const [paper] = templatesOf(formula, kitchen, 800);
    expect(paper!.mark.at(-1)!.match(/M/g)).toHaveLength(2 * lining!.length);
  });
});
