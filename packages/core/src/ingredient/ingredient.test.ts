import { demoLots } from '../demo/seeded-crackers.js';
import { allergensOf } from './allergens.js';
import { glutenFindings } from './gluten.js';
import { compositionOf, makeUpOf, mixedComposition, mixMakeUps, portionOf } from './mixture.js';
import { publishedIngredients } from './published.js';
import { isDry, isGum, isLeavener, isProteinType, isStarch, isStickyStarch } from './roles.js';
import type { Lot, Pantry } from '../document/pantry.js';

const ingredients = publishedIngredients();
const pantryOf = (...lots: Lot[]): Pantry => ({ ingredients, lots: Object.fromEntries(lots.map((lot) => [lot.id, lot])) });
const report = (mgPerKg: number) => ({ mgPerKg, below: true, method: 'R5 ELISA', on: '2026-09-01' });
const lot = (over: Partial<Lot>): Lot => ({ id: 'l1', ingredientId: 'sorghum', code: '1', ...over });

describe('portions', () => {
  it('take the first lot in use, never one set aside, unless a lot is named', () => {
    const pantry = pantryOf(lot({ id: 'a', code: '1', setAside: 'smells' }), lot({ id: 'c', code: '3' }), lot({ id: 'b', code: '2' }));
    expect(portionOf(pantry, '', 'sorghum', 10).lot?.id).toBe('b');
    expect(portionOf(pantry, '', 'sorghum', 10, 'c').lot?.id).toBe('c');
    expect(portionOf(pantry, '', 'millet', 10).lot).toBeUndefined();
  });

  it('measured moisture outranks the table; the dry parts keep their proportion', () => {
    const damp = compositionOf({ ingredient: ingredients['sorghum']!, amountG: 100, lot: lot({ moistureShare: 0.2 }) });
    expect(damp.waterShare).toBe(0.2);
    // Sorghum: 8.4 % protein at 10.3 % water; at 20 % water 8.4 x 0.8 / 0.897.
    expect(damp.proteinShare).toBeCloseTo((0.084 * 0.8) / 0.897, 9);
  });
});

describe('mixtures', () => {
  const pantry = pantryOf();
  const portions = [
    portionOf(pantry, '', 'sorghum', 60),
    portionOf(pantry, '', 'xanthan', 1),
    portionOf(pantry, '', 'salt_fine', 2),
    portionOf(pantry, '', 'water', 37),
  ];

  it('sum to one, gum fibre as gum and salt ash as salt', () => {
    const makeUp = makeUpOf(portions);
    expect(Object.values(makeUp).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);
    expect(makeUp.gum).toBeCloseTo(0.0077, 4);
    expect(makeUp.salt).toBeCloseTo(0.01996, 4);
  });

  it('masses add: mixing parts is mixing the whole', () => {
    const parts = mixMakeUps([
      { makeUp: makeUpOf(portions.slice(0, 2)), massG: 61 },
      { makeUp: makeUpOf(portions.slice(2)), massG: 39 },
    ]);
    const whole = makeUpOf(portions);
    expect(parts.water).toBeCloseTo(whole.water, 3);
    expect(parts.protein).toBeCloseTo(whole.protein, 3);
  });

  it('of nothing are nothing', () => expect(mixedComposition([]).waterShare).toBe(0));
});

describe('roles', () => {
  it.each<[string, (one: (typeof ingredients)[string]) => boolean, boolean]>([
    ['xanthan', isGum, true],
    ['flax_meal', isGum, true],
    ['sorghum', isGum, false],
    ['potato_starch', isStarch, true],
    ['potato_flour', isStarch, false],
    ['tapioca_starch', isStickyStarch, true],
    ['sorghum', isProteinType, true],
    ['baking_powder', isLeavener, true],
    ['cream_of_tartar', isLeavener, false],
    ['sesame', isDry, true],
    ['butter_unsalted', isDry, false],
    ['honey', isDry, false],
  ])('%s', (id, is, wanted) => expect(is(ingredients[id]!)).toBe(wanted));
});

describe('allergens and gluten', () => {
  it('certain outranks possible, and what is not in it does not count', () => {
    const pantry = pantryOf();
    const found = allergensOf([
      portionOf(pantry, '', 'butter_unsalted', 10),
      portionOf(pantry, '', 'choc_chips', 5),
      portionOf(pantry, '', 'sesame', 0),
    ]);
    expect(found).toContainEqual({ code: 'us.milk', possible: false });
    expect(found.map(({ code }) => code)).not.toContain('us.sesame');
    expect(found.find(({ code }) => code === 'eu.gluten_cereal:barley')).toEqual({ code: 'eu.gluten_cereal:barley', possible: true });
  });

  it.each<[string, Partial<Lot> | null, string[]]>([
    ['a lot with a report under the limit holds', { report: report(5) }, []],
    ['a lot over the kitchen’s own limit does not', { report: report(12) }, ['gluten.overLimit']],
    ['exactly at the limit is not over it', { report: report(10) }, []],
    ['a lot without a report is not proven', {}, ['gluten.notProven']],
    ['no lot at all is not proven', null, ['gluten.notProven']],
  ])('%s', (_claim, over, codes) => {
    const pantry = over === null ? pantryOf() : pantryOf(lot(over));
    const found = glutenFindings([portionOf(pantry, '', 'sorghum', 50)], 10, 'blend');
    expect(found.map(({ code }) => code)).toEqual(codes);
    expect(found.every(({ unsafe, level }) => unsafe === true && level === 'fix')).toBe(true);
  });

  it('names every ingredient that is not proven, in one finding', () => {
    const pantry = pantryOf();
    const [found] = glutenFindings([portionOf(pantry, '', 'sorghum', 50), portionOf(pantry, '', 'oat_flour', 50)], 20, 'blend');
    expect(found!.measured!.of).toContain('Sorghum');
    expect(found!.measured!.of).toContain('Oat');
  });

  it('a plain oil or sugar needs no proof', () => {
    expect(glutenFindings([portionOf(pantryOf(), '', 'olive_oil', 50), portionOf(pantryOf(), '', 'sugar_white', 50)], 20, 'dough')).toEqual(
      [],
    );
  });

  it('every lot of the demo names an ingredient there is', () => {
    for (const { ingredientId } of demoLots) expect(ingredients[ingredientId]).toBeDefined();
  });
});
