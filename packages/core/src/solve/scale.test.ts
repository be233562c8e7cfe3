import fc from 'fast-check';
import { panInside } from '../pan/pan.js';
import { planSheet } from '../sheet/plan.js';
import { aFormula, kitchen, pantry, resultOf, worked } from '../worked/a-formula.js';
import { factorForPan, factorForPieces, factorsToPan, factorForShelf, scaleCautions, scaled } from './scale.js';

const massOf = (formula = aFormula()) => {
  const { doughG, dustG } = resultOf(worked(formula), 'dough');
  return doughG + dustG;
};

describe('from pan to pan', () => {
  it('a flat disc goes by the square of its width, a wall adds its strip (area of disc and cylinder)', () => {
    expect(factorForPan(230, 180, 0)).toBeCloseTo((180 / 230) ** 2, 9);
    // 23 cm with 3 cm wall: 415.5 + 216.8 = 632.2 cm2; 18 cm: 254.5 + 169.6 = 424.1 cm2.
    expect(factorForPan(230, 180, 30)).toBeCloseTo(424.1 / 632.2, 3);
    expect(factorForPan(180, 230, 30) * factorForPan(230, 180, 30)).toBeCloseTo(1, 12);
    expect(() => factorForPan(0, 180, 0)).toThrow(/from 20 to 600 mm/);
  });
});

describe('a batch made larger or smaller', () => {
  it('by k and then by 1/k is the batch it was', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 20, noNaN: true }), (k) => {
        const back = scaled(scaled(aFormula(), k), 1 / k);
        expect(back.blendG).toBeCloseTo(240, 9);
        back.rows.forEach(({ amountG }, i) => expect(amountG).toBeCloseTo(aFormula().rows[i]!.amountG, 9));
      }),
    );
  });
  it('keeps its water, its percents and its piece', () => {
    const [one, three] = [worked(aFormula()), worked(scaled(aFormula(), 3))];
    expect(resultOf(three, 'dough').getsOverWants).toBeCloseTo(resultOf(one, 'dough').getsOverWants, 12);
    expect(resultOf(three, 'dough').percents.fat).toBeCloseTo(resultOf(one, 'dough').percents.fat, 12);
    expect(resultOf(three, 'dough').doughG).toBeCloseTo(3 * resultOf(one, 'dough').doughG, 9);
    expect(resultOf(three, 'sheet').pieceG).toBeCloseTo(resultOf(one, 'sheet').pieceG, 6);
  });
  it('to a number of pieces gives that many, and a hair less dough would not', () => {
    for (const pieces of [6, 35, 70, 140, 500]) {
      const factor = factorForPieces(aFormula(), kitchen, massOf(), pieces);
      expect(resultOf(worked(scaled(aFormula(), factor)), 'sheet').pieces).toBeGreaterThanOrEqual(pieces);
      expect(resultOf(worked(scaled(aFormula(), factor * 0.97)), 'sheet').pieces).toBeLessThanOrEqual(pieces);
    }
  });
  it('to what the shelf has stops at what ends first (hand sum: potato starch 640 g over 30.72 g)', () => {
    const found = factorForShelf(aFormula(), pantry)!;
    const byHand: [string, number][] = [
      ['Sorghum flour, whole grain', 6400 / 134.4],
      ['Potato starch (= fecula)', 640 / 30.72],
      ['Baking powder, double acting', 300 / 3.6],
    ];
    expect(found.endsFirst).toBe('Potato starch (= fecula)');
    expect(found.factor).toBeCloseTo(Math.min(...byHand.map(([, factor]) => factor)), 6);
    expect(factorForShelf(aFormula(), { ...pantry, lots: {} })).toBeNull();
  });
  it.each([0, -1, NaN, Infinity, 1e6])('by %p is refused', (factor) =>
    expect(() => scaled(aFormula(), factor)).toThrow(/from 0.001 to 1000/),
  );
  it.each([0, 1.5, -3])('%p pieces are refused', (pieces) =>
    expect(() => factorForPieces(aFormula(), kitchen, massOf(), pieces)).toThrow(/whole number/),
  );
});

describe('what to know of a scaled batch', () => {
  it('names what the scale cannot weigh (steps of 0.1 g: under 0.5 g)', () => {
    const small = scaled(aFormula(), 0.4);
    expect(scaleCautions(small, 0.4, kitchen.scaleStepG, pantry)).toEqual([
      { kind: 'tooFine', name: 'Xanthan gum', amountG: expect.closeTo(0.384, 9) },
    ]);
  });
  it('counts eggs in parts as grams beaten, and a whole one not', () => {
    const egg = aFormula({ '/rows/8': { key: 'r9', ingredientId: 'egg_whole', amountG: 50, use: 'dough' } });
    const kinds = (factor: number) => scaleCautions(scaled(egg, factor), factor, 0.1, pantry).filter(({ kind }) => kind === 'egg');
    expect(kinds(2)).toEqual([]);
    expect(kinds(1.5)).toEqual([{ kind: 'egg', name: 'Egg, whole, raw', amountG: 75, pieces: 1.5 }]);
  });
  it('past four times speaks of the leavener', () => {
    expect(scaleCautions(scaled(aFormula(), 5), 5, 0.1, pantry).map(({ kind }) => kind)).toEqual(['leavener']);
  });
});

describe('from pan to pan', () => {
  const pie = aFormula({
    '/bake/panId': 'pie-230',
    '/blendG': 480,
    '/rows/0/amountG': 204,
    '/sheet/parts': [
      { key: 'l', perPiece: 1, thicknessMm: 3, shape: { kind: 'lining', overhangMm: 12 } },
      { key: 'd', perPiece: 1, thicknessMm: 3, shape: { kind: 'lid', overhangMm: 0, domeMm: 5 } },
    ],
  });
  const massG = 827.8;
  const pieces = (formula: typeof pie, g: number) => planSheet(formula, kitchen, g).pieces;

  it.each(['deep-240', 'ring-220', 'long-tin'])('to %s: as many pies come out, and a hair less dough would not do', (panId) => {
    const { crust, filling } = factorsToPan(pie, kitchen, massG, panId);
    const there = { ...pie, bake: { ...pie.bake, panId } };
    expect(pieces(there, massG * crust)).toBe(pieces(pie, massG));
    expect(pieces(there, massG * crust * 0.99)).toBeLessThan(pieces(pie, massG));
    const volume = (id: string) => panInside(kitchen.pans!.find((pan) => pan.id === id)!).volumeMl;
    expect(filling).toBeCloseTo(volume(panId) / volume('pie-230'), 9);
  });

  it('says what it cannot do: no pan yet, no such pan', () => {
    expect(() => factorsToPan(aFormula(), kitchen, massG, 'pie-230')).toThrow(/stands in no pan yet/);
    expect(() => factorsToPan(pie, kitchen, massG, 'bucket')).toThrow(/not a pan of this kitchen/);
  });
});
