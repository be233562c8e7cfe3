import fc from 'fast-check';
import { publishedIngredients } from '../ingredient/published.js';
import { wholeParts } from '../ingredient/corrections.js';
import type { Composition, Ingredient } from '../document/pantry.js';
import { quantile } from '../math/quantile.js';
import { compositionOfPanel, panelWaterOff, usualComposition } from './from-panel.js';
import { panelOf } from './nutrients.js';
import { nutrientsOf, printedValue, type LabelNutrient, type LabelRule } from './rounding.js';

const table = Object.values(publishedIngredients()).filter(({ kind }) => kind !== 'excluded');
const sum = (c: Composition) => wholeParts.reduce((total, part) => total + c[part], 0);
/** As it would be printed: EU a 100 g, US a serving of 30 g. */
function printed({ composition }: Ingredient, rule: LabelRule): Partial<Record<LabelNutrient, number>> {
  const basisG = rule === 'us' ? 30 : 100;
  const panel = panelOf(composition, rule);
  return Object.fromEntries(nutrientsOf(rule).map((one) => [one, (printedValue(rule, one, (panel[one] * basisG) / 100) * 100) / basisG]));
}

const without = ({ fibre: _fibre, ...rest }: ReturnType<typeof printed>) => rest;

describe('a composition of a panel', () => {
  it.each(['eu', 'us'] as const)('%s: an unrounded panel of a thing whose ash is known gives the thing back', (rule) => {
    for (const { composition } of table) {
      const read = compositionOfPanel({ rule, per100G: panelOf(composition, rule) }, composition).composition;
      // The ingredient table itself sums to 1 only as well as its sources do.
      const slack = Math.abs(1 - sum(composition)) + 1e-9;
      for (const part of wholeParts)
        expect(Math.abs(read[part] - composition[part])).toBeLessThanOrEqual(
          slack + Math.max(0, 2.5 * composition.sodiumShare - composition.ashShare),
        );
    }
  });

  // Flours and starches of the ingredient table (its sources are named there), each with its own row left out of what is usual.
  it.each([
    ['eu', 0.005],
    ['us', 0.013],
    ['euWithoutFibre', 0.021],
  ] as const)('%s: printed as the rules print, water is right to so much in half of the flours, and in nine of ten', (of, half) => {
    const rule = of === 'us' ? 'us' : 'eu';
    const flours = table.filter(({ id, kind }) => /^flour_|^starch$/.test(kind) && table.some((one) => one.kind === kind && one.id !== id));
    const off = flours.map((one) => {
      const usual = usualComposition(
        one.kind,
        table.filter(({ id }) => id !== one.id),
      );
      return Math.abs(
        compositionOfPanel({ rule, per100G: of === 'euWithoutFibre' ? without(printed(one, rule)) : printed(one, rule) }, usual).composition
          .waterShare - one.composition.waterShare,
      );
    });
    expect(quantile(off, 0.5)).toBeCloseTo(half, 2);
    expect(Math.abs(quantile(off, 0.9) - panelWaterOff.values[of])).toBeLessThan(0.002);
  });

  it('always sums to the whole and never holds less than nothing', () => {
    const part = fc.double({ min: 0, max: 40, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom('eu', 'us'),
        part,
        part,
        part,
        fc.option(part, { nil: undefined }),
        fc.constantFrom(...table),
        (rule, fat, protein, carbohydrate, salt, like) => {
          fc.pre(fat + protein + carbohydrate <= 100);
          const per100G = { fat, protein, carbohydrate, ...(salt === undefined ? {} : { salt }) };
          const { composition } = compositionOfPanel({ rule: rule as LabelRule, per100G }, like.composition);
          expect(sum(composition)).toBeCloseTo(1, 9);
          for (const value of Object.values(composition)) expect(value).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  it('says which number is missing, impossible or misread', () => {
    const usual = usualComposition('flour_grain', table);
    const read = (per100G: Partial<Record<LabelNutrient, number>>, rule: LabelRule = 'eu') => compositionOfPanel({ rule, per100G }, usual);
    expect(() => read({ fat: 1, protein: 7 })).toThrow(expect.objectContaining({ path: 'panel.carbohydrate' }) as Error);
    expect(() => read({ fat: 1, protein: 7, carbohydrate: 80, sugars: 90 })).toThrow(/at most 80/);
    expect(() => read({ fat: 20, protein: 30, carbohydrate: 80 })).toThrow(/sum to 1\d\d/);
    expect(() => read({ fat: -1, protein: 7, carbohydrate: 80 })).toThrow(/from 0/);
    // A flour of about 350 kcal whose fat was read as 12 for 1.2.
    expect(read({ fat: 1.2, protein: 7, carbohydrate: 78, fibre: 2.4, energyKcal: 355 }).energy!.fits).toBe(true);
    expect(read({ fat: 12, protein: 7, carbohydrate: 78, fibre: 2.4, energyKcal: 355 }).energy!.fits).toBe(false);
  });
});
