import fc from 'fast-check';
import { Matrix, solve } from 'ml-matrix';
import { BlockTridiagonal } from '../bake/slab/block-tridiagonal.js';
import { risingRoot } from './bisect.js';
import { firstReach, onCurve } from './interpolate.js';
import { solveTridiagonal } from './tridiagonal.js';

const entry = fc.double({ min: -1, max: 1, noNaN: true });

describe('linear solvers against a dense one (ml-matrix 6.15.1)', () => {
  it('tridiagonal: same answer as the whole matrix', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 12 }), fc.array(entry, { minLength: 60, maxLength: 60 }), (n, random) => {
        const dense = Matrix.zeros(n, n);
        const [below, diagonal, above, right, x] = Array.from({ length: 5 }, () => new Float64Array(n)) as [
          Float64Array,
          Float64Array,
          Float64Array,
          Float64Array,
          Float64Array,
        ];
        for (let i = 0; i < n; i++) {
          below[i] = i > 0 ? random[i]! : 0;
          above[i] = i < n - 1 ? random[15 + i]! : 0;
          diagonal[i] = 3 + random[30 + i]!;
          right[i] = random[45 + i]!;
          dense.set(i, i, diagonal[i]!);
          if (i > 0) dense.set(i, i - 1, below[i]!);
          if (i < n - 1) dense.set(i, i + 1, above[i]!);
        }
        const wanted = solve(dense, Matrix.columnVector(Array.from(right))).getColumn(0);
        solveTridiagonal(below, diagonal, above, right, x, n);
        wanted.forEach((value, i) => expect(x[i]).toBeCloseTo(value, 9));
      }),
    );
  });

  it('block tridiagonal: diag(mass) - g J solved as the whole matrix', () => {
    const n = 5;
    const g = 0.3;
    const random = (k: number) => Math.sin(12.9898 * (k + 1)) * 0.9;
    const blocks = new BlockTridiagonal(n);
    const mass = Float64Array.from({ length: n }, (_, i) => 2 + 0.3 * i);
    const dense = Matrix.zeros(2 * n, 2 * n);
    const put = (row: number, column: number, name: 'd' | 'u' | 'l', at: number) => {
      for (const [a, b] of [
        [1, 1],
        [1, 2],
        [2, 1],
        [2, 2],
      ] as const) {
        const value = random(97 * row + 31 * column + 7 * a + b);
        blocks[`${name}${a}${b}`][at] = value;
        dense.set(2 * row + a - 1, 2 * column + b - 1, -g * value);
      }
    };
    for (let i = 0; i < n; i++) {
      put(i, i, 'd', i);
      if (i < n - 1) put(i, i + 1, 'u', i);
      if (i > 0) put(i, i - 1, 'l', i);
    }
    for (let i = 0; i < n; i++) for (const k of [0, 1]) dense.set(2 * i + k, 2 * i + k, dense.get(2 * i + k, 2 * i + k) + mass[i]!);
    const heat = Float64Array.from({ length: n }, (_, i) => random(i));
    const water = Float64Array.from({ length: n }, (_, i) => random(i + 50));
    const wanted = solve(
      dense,
      Matrix.columnVector(Array.from({ length: 2 * n }, (_, i) => (i % 2 === 0 ? heat : water)[i >> 1]!)),
    ).getColumn(0);
    const [h, x] = [new Float64Array(n), new Float64Array(n)];
    blocks.factor(mass, n, g);
    blocks.solve(heat, water, h, x, n);
    for (let i = 0; i < n; i++) {
      expect(h[i]).toBeCloseTo(wanted[2 * i]!, 9);
      expect(x[i]).toBeCloseTo(wanted[2 * i + 1]!, 9);
    }
  });
});

describe('curves and roots', () => {
  it('finds the root of a rising function', () => {
    expect(risingRoot((x) => x * x - 2, 0, 2)).toBeCloseTo(Math.SQRT2, 12);
    expect(risingRoot((x) => x - 9, 0, 2)).toBeCloseTo(2, 9);
  });
  it('reads between knots and holds beyond them', () => {
    expect([-5, 0, 4, 10, 99].map((x) => onCurve([0, 10], [0, 5], x))).toEqual([0, 0, 2, 5, 5]);
    expect(onCurve([], [], 3)).toBe(0);
  });
  it.each<[claim: string, level: number, way: 'rising' | 'falling', at: number]>([
    ['between samples', 15, 'rising', 1.5],
    ['at the first sample when it starts beyond', -1, 'rising', 0],
    ['never', 99, 'rising', Infinity],
    ['falling, at once', 30, 'falling', 0],
  ])('first reach: %s', (_claim, level, way, at) => expect(firstReach([0, 1, 2], [0, 10, 20], level, way)).toBe(at));
});
