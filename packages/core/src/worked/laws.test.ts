import fc from 'fast-check';
import { BakeMarch } from '../bake/slab/march.js';
import { compileBake } from '../bake/slab/problem.js';
import { evaluate } from '../evaluate.js';
import { aFormula, kitchen, pantry, resultOf, WATER, worked } from './a-formula.js';
import type { Formula } from '../document/formula.js';

/** Formulas a baker could write: every number inside what the core takes. */
const anyFormula: fc.Arbitrary<Formula> = fc
  .record({
    waterG: fc.double({ min: 60, max: 160, noNaN: true }),
    oilG: fc.double({ min: 5, max: 80, noNaN: true }),
    dustG: fc.double({ min: 0, max: 20, noNaN: true }),
    toppingG: fc.double({ min: 0, max: 30, noNaN: true }),
    sorghum: fc.double({ min: 0.3, max: 0.6, noNaN: true }),
    thicknessMm: fc.double({ min: 1, max: 6, noNaN: true }),
    widthMm: fc.double({ min: 20, max: 90, noNaN: true }),
    lots: fc.integer({ min: 1, max: 3 }),
    reroll: fc.constantFrom('no' as const, 'once' as const, 'tillGone' as const),
    wantC: fc.integer({ min: 140, max: 220 }),
    min: fc.double({ min: 5, max: 25, noNaN: true }),
  })
  .map(({ waterG, oilG, dustG, toppingG, sorghum, thicknessMm, widthMm, lots, reroll, wantC, min }) =>
    aFormula({
      [WATER]: waterG,
      '/rows/1/amountG': oilG,
      '/rows/7/amountG': dustG,
      '/rows/8': { key: 'top', ingredientId: 'sesame', amountG: toppingG, use: 'topping' },
      '/blend/rows/0/share': sorghum,
      '/blend/rows/2/share': 0.74 - sorghum,
      '/sheet/parts/0/thicknessMm': thicknessMm,
      '/sheet/parts/0/shape/widthMm': widthMm,
      '/sheet/lots': lots,
      '/sheet/reroll': reroll,
      '/bake/steps': [{ name: 'Bake', wantC, min }],
    }),
  );

describe('laws over random formulas', () => {
  it('grams in are grams out along the Line', () => {
    fc.assert(
      fc.property(anyFormula, (formula) => {
        const evaluation = worked(formula);
        const dough = resultOf(evaluation, 'dough');
        const sheet = resultOf(evaluation, 'sheet');
        const poured = formula.rows.reduce((sum, { amountG }) => sum + amountG, 0) + formula.blendG;
        expect(dough.doughG + dough.dustG + dough.toppingG).toBeCloseTo(poured, 6);
        expect(sheet.pieces * sheet.pieceG + sheet.scrapG).toBeCloseTo(sheet.massInG, 6);
        expect(Object.values(dough.makeUp).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
      }),
      { numRuns: 25, seed: 7 },
    );
  });

  it('the three parts of the water are all the water there is', () => {
    fc.assert(
      fc.property(anyFormula, (formula) => {
        const dough = resultOf(worked(formula), 'dough');
        expect(dough.waterG).toBeCloseTo(dough.makeUp.water * dough.doughG, 3);
      }),
      { numRuns: 10, seed: 8 },
    );
  });

  it('a bake neither makes nor loses water or heat', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.15, max: 0.45, noNaN: true }),
        fc.double({ min: 1.2, max: 20, noNaN: true }),
        fc.integer({ min: 120, max: 240 }),
        (water, thicknessMm, airC) => {
          const rest = 1 - water;
          const makeUp = {
            water,
            fat: 0.2 * rest,
            starch: 0.6 * rest,
            protein: 0.1 * rest,
            sugar: 0.03 * rest,
            fibre: 0.04 * rest,
            gum: 0.01 * rest,
            salt: 0.01 * rest,
            ash: 0.01 * rest,
          };
          const problem = compileBake({
            makeUp,
            kind: 'cracker',
            thicknessMm,
            startC: 20,
            tray: 'aluminium',
            layer: 'paper',
            browningFactor: 1,
            settings: [{ airC, min: 15, air: 'static' }],
          });
          // Fluxes are summed by trapezoids, so what is asked of them is a fine step, not the scheme's own exactness.
          const { balance } = new BakeMarch(24).run(problem, { toleranceK: 0.1, toleranceX: 4e-4 });
          expect(Math.abs(balance.waterOutKg - balance.waterLostKg)).toBeLessThan(
            0.01 * Math.max(balance.waterLostKg, 0.01 * problem.layers[0]!.dryMass * problem.layers[0]!.startX),
          );
          expect(Math.abs(balance.heatInJ - balance.heatGainedJ)).toBeLessThan(0.01 * balance.heatTakenInJ);
        },
      ),
      { numRuns: 15, seed: 9 },
    );
  });

  it('more poured water never gives a drier dough', () => {
    fc.assert(
      fc.property(fc.double({ min: 40, max: 150, noNaN: true }), fc.double({ min: 0.1, max: 40, noNaN: true }), (waterG, moreG) => {
        const ratio = (grams: number) => resultOf(worked(aFormula({ [WATER]: grams })), 'dough').getsOverWants;
        expect(ratio(waterG + moreG)).toBeGreaterThan(ratio(waterG));
      }),
      { numRuns: 8, seed: 10 },
    );
  });

  it('the same input gives the same answer', () => {
    expect(evaluate(aFormula(), kitchen, pantry)).toEqual(evaluate(aFormula(), kitchen, pantry));
  });
});
