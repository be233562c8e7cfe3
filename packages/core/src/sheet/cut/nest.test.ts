import fc from 'fast-check';
import { figureOf, quarterTurned, upsideDown } from './figure.js';
import { countOn, nestsOf, placedOn, roundsOn } from './nest.js';
import { bestLayout } from '../plan.js';
import { placedOnTray, sharedAmongTrays, trayNest } from '../trays.js';
import type { CutShape } from '../../document/formula.js';
import type { Outline } from './figure.js';
import type { Nest } from './nest.js';

const star = Array.from({ length: 10 }, (_, i) => {
  const r = i % 2 === 0 ? 30 : 14;
  return [30 + r * Math.sin((Math.PI * i) / 5), 30 - r * Math.cos((Math.PI * i) / 5)];
});
const shapes: CutShape[] = [
  { kind: 'rectangle', widthMm: 45, lengthMm: 45 },
  { kind: 'rectangle', widthMm: 20, lengthMm: 90 },
  { kind: 'diamond', widthMm: 40, angleDeg: 60 },
  { kind: 'round', acrossMm: 50 },
  { kind: 'hexagon', acrossMm: 48 },
  { kind: 'heart', acrossMm: 60 },
  { kind: 'triangle', baseMm: 90, heightMm: 180 },
  { kind: 'outline', pointsMm: star },
];
const cases = shapes.flatMap((shape) => [0, 2].map((web): [string, CutShape, number] => [`${shape.kind} ${Object.values(shape)[1]?.toString().slice(0, 4)}, web ${web}`, shape, web])); // prettier-ignore
const nested = (shape: CutShape, web: number) => nestsOf(shape.kind, figureOf(shape, 'shape'), web);

const inside = (outline: Outline, x: number, y: number): boolean => {
  let within = false;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const [x1, y1] = outline[i]!;
    const [x2, y2] = outline[j]!;
    if (y1 > y !== y2 > y && x < ((x2 - x1) * (y - y1)) / (y2 - y1) + x1) within = !within;
  }
  return within;
};
/** How many pieces each of many random points lies in, and whether any corner lies outside the sheet. */
function thrown(nest: Nest, width: number, length: number): { most: number; outside: number; share: number } {
  const placed = placedOn(nest, width, length).map(({ xMm, yMm, upsideDown: turned }) =>
    (turned ? upsideDown(nest.figure) : nest.figure).outline.map(([x, y]) => [x + xMm, y + yMm] as const),
  );
  let most = 0;
  let hits = 0;
  let seed = 7;
  const random = () => (seed = (seed * 1103515245 + 12345) % 2147483648) / 2147483648;
  for (let i = 0; i < 3000; i++) {
    const [x, y] = [random() * width, random() * length];
    const over = placed.filter((outline) => inside(outline, x, y)).length;
    most = Math.max(most, over);
    if (over > 0) hits++;
  }
  const outside = placed.flat().filter(([x, y]) => x < -1e-6 || y < -1e-6 || x > width + 1e-6 || y > length + 1e-6).length;
  return { most, outside, share: hits / 3000 };
}

describe('pieces on a sheet', () => {
  it.each(cases)('%s: counted as placed, none over another, none outside (3000 random points)', (_name, shape, web) => {
    for (const nest of nested(shape, web)) {
      const placed = placedOn(nest, 420, 310);
      expect(placed).toHaveLength(countOn(nest, 420, 310));
      const { most, outside, share } = thrown(nest, 420, 310);
      expect({ name: nest.name, most: Math.min(most, 2), outside }).toEqual({ name: nest.name, most: 1, outside: 0 });
      // And the dough they take is the area they have.
      expect(Math.abs(share - (placed.length * nest.figure.areaMm2) / (420 * 310))).toBeLessThan(0.04);
    }
  });

  it('rounds: brute placement by coordinates agrees for 300 random sheets', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 600, noNaN: true }),
        fc.double({ min: 100, max: 600, noNaN: true }),
        fc.double({ min: 20, max: 90, noNaN: true }),
        fc.double({ min: 0, max: 12, noNaN: true }),
        (width, length, across, web) => {
          for (const nest of nested({ kind: 'round', acrossMm: across }, web)) {
            const centres = placedOn(nest, width, length).map(({ xMm, yMm }) => [xMm, yMm] as const);
            expect(centres).toHaveLength(countOn(nest, width, length));
            for (let i = 0; i < Math.min(60, centres.length); i++) {
              for (let j = i + 1; j < centres.length; j++) {
                const apart = Math.hypot(centres[i]![0] - centres[j]![0], centres[i]![1] - centres[j]![1]);
                if (apart < across + web - 1e-6) throw new Error(`${apart} mm apart`);
              }
            }
          }
        },
      ),
      { numRuns: 300 },
    );
  });

  it('turning the sheet never loses the better yield', () => {
    for (const shape of shapes) {
      const best = (w: number, l: number) => trayNest({ widthMm: w, lengthMm: l }, shape, 2, 10).pieces;
      expect(best(400, 300)).toBe(best(300, 400));
    }
  });

  it('rounds in shifted rows, hexagons and hearts head to tail take less sheet than a plain grid', () => {
    for (const shape of [shapes[3]!, shapes[5]!]) {
      const [plain, closer] = nested(shape, 0);
      expect(countOn(closer!, 1000, 1000)).toBeGreaterThan(countOn(plain!, 1000, 1000));
    }
    // Limit yields, textbook: pi / 4 and pi / (2 sqrt 3).
    const share = (nest: Nest) => (countOn(nest, 5000, 5000) * nest.figure.areaMm2) / 25e6;
    const [square, hex] = nested({ kind: 'round', acrossMm: 20 }, 0);
    expect(share(square!)).toBeCloseTo(Math.PI / 4, 2);
    expect(share(hex!)).toBeCloseTo(Math.PI / (2 * Math.sqrt(3)), 2);
  });

  it('a figure turned four times is itself', () => {
    const figure = figureOf(shapes[7]!, 'shape');
    const again = [1, 2, 3, 4].reduce((one) => quarterTurned(one), figure);
    again.outline.forEach(([x, y], i) => expect(Math.hypot(x - figure.outline[i]![0], y - figure.outline[i]![1])).toBeLessThan(1e-9));
  });
});

describe('sheet layout', () => {
  const square = (mm: number) => nested({ kind: 'rectangle', widthMm: mm, lengthMm: mm }, 0);
  it('fills a sheet with whole pieces: 10000 mm2 gives six of 40 mm', () => {
    expect(bestLayout(10000, square(40), 0)).toMatchObject({ pieces: 6 });
  });

  it('gives nothing where not one piece fits', () => {
    expect(bestLayout(900, square(40), 0)).toBeNull();
  });

  it('never lays out more dough than there is, of any shape', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1000, max: 400000, noNaN: true }),
        fc.constantFrom(...shapes),
        fc.double({ min: 0, max: 15, noNaN: true }),
        (area, shape, trim) => {
          const laid = bestLayout(area, nested(shape, 2), trim);
          if (!laid) return;
          expect(laid.sheetWidthMm * laid.sheetLengthMm).toBeLessThanOrEqual(area * (1 + 1e-6));
          expect(placedOn(laid.nest, laid.sheetWidthMm - 2 * trim, laid.sheetLengthMm - 2 * trim)).toHaveLength(laid.pieces);
          expect(laid.pieces * laid.nest.figure.areaMm2).toBeLessThanOrEqual(area);
        },
      ),
    );
  });
});

describe('trays', () => {
  it('take the better way round: 45 mm squares with 6 mm gaps, 35 on 400 x 300 to the edge', () => {
    // (400 + 6) / 51 = 7.96 and (300 + 6) / 51 = 6: seven by six from edge to edge; with 10 mm bare 7 by 5 (hand sum).
    expect(trayNest({ widthMm: 400, lengthMm: 300 }, shapes[0]!, 6, 0).pieces).toBe(42);
    expect(trayNest({ widthMm: 400, lengthMm: 300 }, shapes[0]!, 6, 10).pieces).toBe(35);
  });

  it('lie inside the tray with its edge bare', () => {
    const on = trayNest({ widthMm: 300, lengthMm: 400 }, shapes[3]!, 6, 10);
    for (const { xMm, yMm } of placedOnTray({ widthMm: 300, lengthMm: 400 }, on, 10, 99)) {
      expect(Math.min(xMm, yMm)).toBeGreaterThanOrEqual(10);
      expect(Math.max(xMm, yMm) + 50).toBeLessThanOrEqual(390 + 1e-6);
    }
  });

  it('rounds in rows stretched to the tray: never fewer than plain rows, all a gap apart, none over the edge (300 random trays)', () => {
    let won = 0;
    fc.assert(
      fc.property(
        fc.double({ min: 150, max: 600, noNaN: true }),
        fc.double({ min: 150, max: 600, noNaN: true }),
        fc.double({ min: 25, max: 90, noNaN: true }),
        (widthMm, lengthMm, acrossMm) => {
          const tray = { widthMm, lengthMm };
          const { square, hex, stretched } = roundsOn({ ...tray, acrossMm, webMm: 6, marginMm: 10 });
          const on = trayNest(tray, { kind: 'round', acrossMm }, 6, 10);
          expect(on.pieces).toBe(Math.max(square, hex, stretched));
          if (stretched > Math.max(square, hex)) won++;
          const placed = placedOnTray(tray, on, 10, 9999);
          expect(placed).toHaveLength(on.pieces);
          const [w, l] = on.turned ? [lengthMm, widthMm] : [widthMm, lengthMm];
          placed.forEach(({ xMm, yMm }, i) => {
            expect(Math.min(xMm, yMm)).toBeGreaterThanOrEqual(10 - 1e-6);
            expect(xMm + acrossMm).toBeLessThanOrEqual(w - 10 + 1e-6);
            expect(yMm + acrossMm).toBeLessThanOrEqual(l - 10 + 1e-6);
            for (const other of placed.slice(i + 1, i + 40)) {
              if (Math.hypot(other.xMm - xMm, other.yMm - yMm) < acrossMm + 6 - 1e-6) throw new Error('two touch');
            }
          });
        },
      ),
      { numRuns: 300 },
    );
    expect(won).toBeGreaterThan(10);
  });

  it('share pieces evenly: no lone last piece', () => {
    expect(sharedAmongTrays(50, 18)).toEqual([17, 17, 16]);
    expect(sharedAmongTrays(37, 36)).toEqual([19, 18]);
    expect(sharedAmongTrays(5, 0)).toEqual([]);
  });
});
