import { families } from '../facts/families.js';
import { publishedIngredients } from '../ingredient/published.js';
import { portionOf } from '../ingredient/mixture.js';
import { massOfVolume, volumeMl } from '../units/volume.js';
import { monthsBetween } from '../units/days.js';
import { aFormula, kitchen, pantry, resultOf, worked } from '../worked/a-formula.js';
import { applyEdits } from '../document/edits.js';
import { swapFlour } from '../solve/swap-flour.js';
import { blendFromAmounts } from './from-amounts.js';
import { binderRatioOf, gumDoses } from './gums.js';
import { blendStage } from './blend.js';
import { normalFrom, seeded } from '../math/seeded.js';
import type { Pantry } from '../document/pantry.js';

const ingredients = publishedIngredients();
const cracker = families['cracker_savoury']!;
const bare: Pantry = { ingredients, lots: {} };
const doses = (grams: Record<string, number>) =>
  gumDoses(
    Object.entries(grams).map(([id, g]) => portionOf(bare, '', id, g)),
    cracker,
    100,
  );

describe('gums against what a family needs', () => {
  it('dose over the target of each alone, summed (hand sum: 0.4/0.8 + 1.6/3.2 = 1)', () => {
    expect(binderRatioOf(doses({ xanthan: 0.4, psyllium_husk: 1.6 }))).toBeCloseTo(1, 9);
  });
  it('xanthan with guar is stronger than the two apart (10 to 20 % less is needed; handbooks, from memory)', () => {
    // 0.5 of each need: 0.4 % of 0.8, 0.56 % of 0.8 x 1.4.
    const together = binderRatioOf(doses({ xanthan: 0.4, guar: 0.56 }));
    expect(together).toBeGreaterThan(1.1);
    expect(together).toBeLessThan(1.2);
  });
  it('one without a window of its own goes by what it replaces: 8 g citrus fibre for 1 g xanthan', () => {
    expect(doses({ citrus_fibre: 6.4 })[0]!.ofNeed).toBeCloseTo(1, 9);
  });
  it('a bought blend counts for the gum it holds already (0.6 % of it, from the table)', () => {
    const [held] = doses({ blend_1to1: 100 });
    expect(held).toMatchObject({ held: true, percent: 0.6 });
    expect(held!.ofNeed).toBeCloseTo(0.75, 9);
  });
  it('the same gum in blend and dough is one dose', () => {
    const portions = [portionOf(bare, '', 'xanthan', 0.4), portionOf(bare, '', 'xanthan', 0.4)];
    expect(gumDoses(portions, cracker, 100)).toMatchObject([{ percent: 0.8, ofNeed: 1 }]);
  });
});

describe('a blend', () => {
  it('costs what its priced lots cost, and says how much has a price', () => {
    const lots = { l: { id: 'l', ingredientId: 'sorghum', code: '1', packG: 2500, packCostMinor: 1000 } };
    const { result } = blendStage({ formula: aFormula(), family: cracker, kitchen, pantry: { ingredients, lots } });
    expect(result.costMinorPerKg).toBeCloseTo(400, 9);
    expect(result.pricedShare).toBeCloseTo(0.56, 9);
    expect(blendStage({ formula: aFormula(), family: cracker, kitchen, pantry: bare }).result.costMinorPerKg).toBeNull();
  });
  it('the roll-out index is gum over its target plus sticky starch over 20 % (hand sum of the demo blend)', () => {
    // xanthan 0.4 %, husk 0.8 % x 0.25, tapioca 18 % and potato 12.8 % x 0.005, over 0.8; sticky starch 18 / 20.
    const byHand = (0.4 + 0.2 + 0.09 + 0.064) / 0.8 + 0.9;
    expect(resultOf(worked(aFormula()), 'blend').bendIndex).toBeCloseTo(byHand, 9);
  });
});

describe('a blend from how it was found', () => {
  it('parts are shares', () => {
    const { shares, totalG, sdShares } = blendFromAmounts(
      [
        { ingredientId: 'sorghum', amount: 2, unit: 'part' },
        { ingredientId: 'potato_starch', amount: 1, unit: 'part' },
      ],
      ingredients,
    );
    expect(shares).toEqual([2 / 3, 1 / 3]);
    expect([totalG, ...sdShares]).toEqual([null, 0, 0]);
  });
  it('cups weigh what the spooned cup of each weighs (table: sorghum 121 g, potato starch 155 g a US cup)', () => {
    const { grams, shares } = blendFromAmounts(
      [
        { ingredientId: 'sorghum', amount: 2, unit: 'cup' },
        { ingredientId: 'potato_starch', amount: 1, unit: 'cup' },
      ],
      ingredients,
    );
    expect(grams.map((g) => Math.round(g!))).toEqual([242, 155]);
    expect(shares[0]).toBeCloseTo(242 / 397, 6);
  });
  it('their spread is what chance gives: drawn cups agree with the first-order sum', () => {
    const amounts = [
      { ingredientId: 'sorghum', amount: 2, unit: 'cup' as const, filling: 'dipped' as const },
      { ingredientId: 'potato_starch', amount: 1, unit: 'cup' as const },
      { ingredientId: 'tapioca_starch', amount: 1, unit: 'cup' as const },
    ];
    const { grams, sdShares } = blendFromAmounts(amounts, ingredients);
    const next = seeded(7);
    const drawn = Array.from({ length: 20000 }, () => {
      const masses = amounts.map(({ amount }, i) => grams[i]! * (1 + Math.hypot(0.04 / Math.sqrt(amount), 0.05) * normalFrom(next)));
      return masses[0]! / masses.reduce((sum, mass) => sum + mass, 0);
    });
    const mean = drawn.reduce((sum, share) => sum + share, 0) / drawn.length;
    const sd = Math.sqrt(drawn.reduce((sum, share) => sum + (share - mean) ** 2, 0) / drawn.length);
    expect(sdShares[0]! / sd).toBeGreaterThan(0.95);
    expect(sdShares[0]! / sd).toBeLessThan(1.05);
  });
  it.each([
    ['nothing', [], /nothing is in it/],
    ['a cup of none', [{ ingredientId: 'sorghum', amount: 0, unit: 'cup' as const }], /above 0/],
    ['parts beside grams', [{ ingredientId: 'sorghum', amount: 1, unit: 'part' as const }, { ingredientId: 'millet', amount: 5, unit: 'g' as const }], /cannot be mixed/], // prettier-ignore
    ['a flour nobody knows', [{ ingredientId: 'moon', amount: 1, unit: 'g' as const }], /not in the pantry/],
  ])('refuses %s', (_claim, amounts, message) => expect(() => blendFromAmounts(amounts, ingredients)).toThrow(message));
  it('spoons go by their own weight: a teaspoon of xanthan is 2.8 g (handbooks: 2.5 to 3.3)', () => {
    const [g] = blendFromAmounts([{ ingredientId: 'xanthan', amount: 1, unit: 'teaspoon' }], ingredients).grams;
    expect(g).toBeGreaterThan(2.4);
    expect(g).toBeLessThan(3.3);
    expect(volumeMl('tablespoon')).toBeCloseTo(14.787, 3);
    expect(massOfVolume({ unit: 'cup', count: 4, filling: 'unknown', spoonedGPerMl: 0.5 }).cv).toBeGreaterThan(0.12);
  });
});

describe('one flour for another', () => {
  const at = (id: string) => aFormula().blend.rows.findIndex(({ ingredientId }) => ingredientId === id);
  const swap = (from: string, to: string, formula = aFormula()) => swapFlour({ formula, family: cracker, kitchen, pantry }, at(from), to);

  it('by mass, with its water (hand sum: 134.4 g x (0.80 - 0.68) x 0.62 = 10.0 g more)', () => {
    const { edits, pourByG, wantsAfterG, wantsBeforeG } = swap('sorghum', 'teff');
    expect(wantsAfterG - wantsBeforeG).toBeCloseTo(134.4 * 0.12 * 0.62, 9);
    expect(pourByG).toBeCloseTo(10, 9);
    const after = worked(applyEdits(aFormula(), edits));
    expect(resultOf(after, 'dough').getsOverWants).toBeCloseTo(resultOf(worked(aFormula()), 'dough').getsOverWants, 2);
  });
  it('a gum by what it does: 0.4 % xanthan is 0.56 % guar, and binds the same', () => {
    const { edits, bindBefore, bindAfter } = swap('xanthan', 'guar');
    const rows = applyEdits(aFormula(), edits).blend.rows;
    expect(rows.find(({ ingredientId }) => ingredientId === 'guar')!.share).toBeCloseTo(0.0056, 9);
    expect(bindAfter).toBeCloseTo(bindBefore, 2);
    expect(rows.reduce((total, { share }) => total + share, 0)).toBeCloseTo(1, 12);
  });
  it('into a flour that is in it already joins the two', () => {
    const rows = applyEdits(aFormula(), swap('rice_brown', 'sorghum').edits).blend.rows;
    expect(rows).toHaveLength(5);
    expect(rows[0]!.share).toBeCloseTo(0.68, 12);
  });
  it('names new and gone allergens, and what it has to suit', () => {
    const formula = aFormula({ '/mustSuit': ['noNuts'] });
    const { allergensNew, breaks } = swap('rice_brown', 'almond_blanched', formula);
    expect(allergensNew.map(({ code }) => code)).toContain('us.tree_nut:almond');
    expect(breaks).toEqual(['no tree nuts']);
  });
  it('potato flour for potato starch is refused: 2.05 g of water a gram apart', () => {
    expect(() => swap('potato_starch', 'potato_flour')).toThrow(/differs by 2.05/);
    expect(() => swap('potato_starch', 'wheat_ap')).toThrow(/contains gluten/);
    expect(() => swap('sorghum', 'sorghum')).toThrow(/already/);
  });
});

describe('days', () => {
  it.each([
    ['2025-11-26', '2026-11-25', 11],
    ['2025-11-25', '2026-11-25', 12],
    ['2026-12-31', '2026-11-25', -2],
  ])('from %s to %s are %p months', (from, to, months) => expect(monthsBetween(from, to)).toBe(months));
});
