import { publishedIngredients } from '@north-leaf/core';
import { emptyPanel } from '../../../../ui/form/nutrition-panel';
import { panelRuleOf, readPanel, usualOf } from './of-panel';

const ingredients = Object.values(publishedIngredients());
const grain = usualOf('flour_grain', undefined, ingredients);
const eu = (typed: object) => readPanel({ ...emptyPanel('eu'), typed }, grain);

describe('an ingredient from its panel', () => {
  it('a bag of flour: what is printed stands, water and ash are worked out', () => {
    const read = eu({
      energyKcal: '352 kcal',
      fat: '1,2',
      saturatedFat: '< 0.5',
      carbohydrate: '77',
      sugars: '0.6',
      fibre: '2.8',
      protein: '7',
      salt: '0.01',
    });
    if (!read.ok) throw new Error(read.message);
    expect(read.composition).toMatchObject({ fatShare: 0.012, saturatedFatShare: 0.0025, proteinShare: 0.07 });
    expect(read.composition.fibreShare).toBeCloseTo(0.028, 9);
    expect(read.composition.waterShare).toBeCloseTo(1 - 0.012 - 0.77 - 0.028 - 0.07 - read.composition.ashShare, 9);
    expect(read.guessed.map(({ part }) => part)).toEqual(['ashShare', 'waterShare']);
    expect(read.energy!.fits).toBe(true);
  });
  it('a US panel is about its serving, and its carbohydrate holds fibre', () => {
    const read = readPanel(
      { rule: 'us', basis: '40', typed: { fat: '1', carbohydrate: '32', fibre: '4', sugars: '0', protein: '4' } },
      grain,
    );
    if (!read.ok) throw new Error(read.message);
    expect(read.composition.fibreShare).toBeCloseTo(0.1, 9);
    expect(read.composition.starchShare + read.composition.otherShare).toBeCloseTo(0.7, 9);
  });
  it.each([
    [{ fat: '1', protein: '7' }, 'carbohydrate', /type it/],
    [{ fat: 'some', protein: '7', carbohydrate: '70' }, 'fat', /not a number/],
    [{ fat: '40', protein: '40', carbohydrate: '70' }, undefined, /at most 106/],
  ])('what is wrong is said at its number: %j', (typed, nutrient, message) => {
    expect(eu(typed)).toMatchObject({ ok: false, nutrient, message: expect.stringMatching(message) as string });
  });
  it('says how much a panel may be about', () => {
    expect(readPanel({ rule: 'us', basis: '0', typed: {} }, grain)).toMatchObject({
      ok: false,
      message: expect.stringContaining('1 to 1000 g, got 0') as string,
    });
  });
  it('goes by where the kitchen sells', () => {
    expect(['us', 'canada', 'eu', undefined].map((market) => panelRuleOf(market as 'us'))).toEqual(['us', 'us', 'eu', 'eu']);
  });
});
