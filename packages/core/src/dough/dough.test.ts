import { families } from '../facts/families.js';
import { demoLots } from '../demo/seeded-crackers.js';
import { publishedIngredients } from '../ingredient/published.js';
import { portionOf } from '../ingredient/mixture.js';
import { aFormula, resultOf, worked } from '../worked/a-formula.js';
import { handWordChances, handWordFor, waterGets, waterLadder, waterWants } from './water.js';
import type { HandWord } from '../document/bake.js';

const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
const portion = (id: string, grams: number) => portionOf(pantry, '', id, grams);
const family = families['cracker_savoury']!;

describe('water', () => {
  it('wants k times the water hold of its flours, and the gum’s own on top', () => {
    // 100 g sorghum at 0.68 g/g, k 0.62: 42.16 g; 1 g xanthan at 18 g/g, f 0.3: 5.4 g (hand sum, rules d1 and a3).
    const wants = waterWants([portion('sorghum', 100), portion('xanthan', 1)], [], family, { thirstFactor: 1 });
    expect(wants.flourG).toBeCloseTo(42.16, 2);
    expect(wants.gumG).toBeCloseTo(5.4, 2);
    expect(wants.wantsG).toBeCloseTo(47.56, 2);
  });

  it('parts water into poured, brought and the flours’ own', () => {
    // 50 g egg at 76.2 % = 38.1 g, 20 g butter at 17.9 % = 3.58 g (USDA SR Legacy values, from memory); 100 g sorghum at 10.3 %.
    const gets = waterGets([portion('sorghum', 100)], [portion('water', 40), portion('egg_whole', 50), portion('butter_unsalted', 20)]);
    expect(gets).toMatchObject({ pouredWaterG: 40, ownWaterG: expect.closeTo(10.3, 6) });
    expect(gets.broughtWaterG).toBeCloseTo(41.68, 2);
    expect(gets.getsG).toBeCloseTo(81.68, 2);
  });

  it.each<[number, HandWord]>([
    [0.7, 'sandy'],
    [0.9, 'cracks'],
    [1, 'rollsClean'],
    [1.15, 'tacky'],
    [1.4, 'sticks'],
  ])('gets over wants of %p is felt as %s', (ratio, word) => expect(handWordFor(ratio)).toBe(word));

  it('chances of the five words sum to one, and rolling clean is likeliest at the right water', () => {
    for (const ratio of [0.7, 0.95, 1, 1.1, 1.5]) {
      expect(Object.values(handWordChances(ratio)).reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 9);
    }
    expect(handWordChances(1).rollsClean).toBeGreaterThan(0.6);
  });

  it('holds whole spoons back and pours the rest', () => {
    expect(waterLadder(102, 0.2)).toEqual({ pourG: 87, spoons: 1 });
    expect(waterLadder(200, 0.2)).toEqual({ pourG: 170, spoons: 2 });
    expect(waterLadder(50, 0.2)).toEqual({ pourG: 50, spoons: 0 });
  });
});

describe('dough', () => {
  it('adds the demo cracker up by hand', () => {
    const dough = resultOf(worked(aFormula()), 'dough');
    // 240 + 102 + 30 + 16 + 14 + 4 + 4.3 + 3.6 = 413.9 g; the 6 g of dust stay outside.
    expect(dough.doughG).toBeCloseTo(413.9, 9);
    expect(dough.dustG).toBe(6);
    expect(dough.percents.salt).toBeCloseTo((4.3 / 240) * 100, 9);
    // Xanthan 0.4 % of a 0.8 target and husk 0.8 % of 0.8 x 4: 0.5 + 0.25.
    expect(dough.binderRatio).toBeCloseTo(0.75, 3);
  });

  it('names sesame for certain and wheat as depending on the maker of the baking powder', () => {
    const { allergens } = resultOf(worked(aFormula()), 'dough');
    expect(allergens).toContainEqual({ code: 'us.sesame', possible: false });
    expect(allergens).toContainEqual({ code: 'us.wheat', possible: true });
  });
});
