import { costAt, fits } from './linear-model.js';
import { normalFrom, seeded } from './seeded.js';
import type { LinearModel } from './linear-model.js';

/** Two flours and a switch: at least 60 % of the first when it is used. */
const model: LinearModel = {
  columns: [
    { name: 'a', cost: 2, lo: 0, hi: 1 },
    { name: 'b', cost: 1, lo: 0, hi: 1, quadratic: 4 },
    { name: 'use a', cost: 0, lo: 0, hi: 1, integer: true },
  ],
  rows: [
    { name: 'whole', lo: 1, hi: 1, terms: [[0, 1], [1, 1]] }, // prettier-ignore
    { name: 'least a', lo: 0, hi: Infinity, terms: [[0, 1], [2, -0.6]] }, // prettier-ignore
    { name: 'most a', lo: -Infinity, hi: 0, terms: [[0, 1], [2, -1]] }, // prettier-ignore
  ],
};

describe('values of a model', () => {
  it.each<[string, number[], boolean]>([
    ['a blend that keeps all', [0.7, 0.3, 1], true],
    ['the other flour alone', [0, 1, 0], true],
    ['too little of the first', [0.5, 0.5, 1], false],
    ['the first without its switch', [0.7, 0.3, 0], false],
    ['half a switch', [0.3, 0.7, 0.5], false],
    ['more than a whole', [0.7, 0.4, 1], false],
    ['less than nothing', [1.1, -0.1, 1], false],
    ['no number at all', [NaN, 0.3, 1], false],
    ['a value too few', [0.7, 0.3], false],
  ])('%s', (_claim, values, fit) => expect(fits(model, values)).toBe(fit));
  it('cost what they cost, squares by half (hand sum: 1.4 + 0.3 + 2 x 0.09)', () => {
    expect(costAt(model, [0.7, 0.3, 1])).toBeCloseTo(1.88, 12);
  });
});

describe('chance that can be repeated', () => {
  it('is the same for the same seed, another for another', () => {
    const draw = (seed: number) => Array.from({ length: 5 }, seeded(seed));
    expect(draw(7)).toEqual(draw(7));
    expect(draw(7)).not.toEqual(draw(8));
  });
  it('fills 0 to 1 evenly: mean 1/2, variance 1/12; its normal has mean 0, variance 1', () => {
    const next = seeded(11);
    const even = Array.from({ length: 40000 }, next);
    const normal = Array.from({ length: 40000 }, () => normalFrom(next));
    const moments = (list: number[]) => {
      const mean = list.reduce((sum, value) => sum + value, 0) / list.length;
      return [mean, list.reduce((sum, value) => sum + (value - mean) ** 2, 0) / list.length] as const;
    };
    expect(moments(even)[0]).toBeCloseTo(0.5, 2);
    expect(moments(even)[1]).toBeCloseTo(1 / 12, 2);
    expect(Math.abs(moments(normal)[0])).toBeLessThan(0.02);
    expect(Math.abs(moments(normal)[1] - 1)).toBeLessThan(0.03);
    expect(Math.min(...even)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...even)).toBeLessThan(1);
  });
});
