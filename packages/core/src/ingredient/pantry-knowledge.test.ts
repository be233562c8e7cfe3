import { demoKitchen } from '../demo/seeded-crackers.js';
import { pantry as demoPantry } from '../worked/a-formula.js';
import { correctableFields, wholeParts, withCorrections } from './corrections.js';
import { fromBake, fromBlend, fromPreparation } from './made.js';
import { costOf } from './cost.js';
import { glutenFindings } from './safety/gluten.js';
import { mixedComposition, portionOf } from './mixture.js';
import { leavesOf, reachedIds } from './parts.js';
import { publishedIngredients } from './published.js';
import { confusions } from '../facts/usual.js';
import { doesWhat, findIngredients } from './search.js';
import { suitability, suitFindings, suitsAskedFor } from './safety/suits.js';
import { nameRows, turningRows } from '../facts/name-table.js';
import { handlingRows } from '../facts/ingredient-handling.js';
import { ingredientRows } from '../facts/ingredient-table.js';
import { suits, type SuitId } from '../facts/suits.js';
import type { Ingredient, Pantry } from '../document/pantry.js';
import type { Preparation } from '../document/preparation.js';
import type { Correction } from '../document/pantry.js';

const ingredients = publishedIngredients();
const label = (value: number, unit = 'share'): Correction => ({ value, unit, basis: 'label', source: 'bag, October' });
const sum = (one: Ingredient) => wholeParts.reduce((total, part) => total + one.composition[part], 0);

describe('corrections', () => {
  it('a label outranks the table, and starch takes up the difference (hand sum: 68.2 - (10.2 - 8.4) = 66.4 %)', () => {
    const one = withCorrections(ingredients['sorghum']!, { corrected: { 'composition.proteinShare': label(0.102) } });
    expect(one.composition.proteinShare).toBe(0.102);
    expect(one.composition.starchShare).toBeCloseTo(0.664, 9);
    expect(sum(one)).toBeCloseTo(1, 9);
    expect(ingredients['sorghum']!.composition.proteinShare).toBe(0.084);
  });
  it('where starch is known too, the others share the rest', () => {
    const corrected = { 'composition.starchShare': label(0.6), 'composition.proteinShare': label(0.1) };
    expect(sum(withCorrections(ingredients['sorghum']!, { corrected }))).toBeCloseTo(1, 9);
  });
  it('rounded labels may pass 100 g by a hair, not by more', () => {
    const parts = (starch: number) =>
      Object.fromEntries(
        wholeParts.map((part) => [`composition.${part}`, label(part === 'starchShare' ? starch : part === 'proteinShare' ? 0.31 : 0)]),
      );
    expect(sum(withCorrections(ingredients['sorghum']!, { corrected: parts(0.7) }))).toBeCloseTo(1, 9);
    expect(() => withCorrections(ingredients['sorghum']!, { corrected: parts(0.8) })).toThrow(/sum to 111.0 g/);
  });
  it.each([
    ['composition.proteinShare', 1.2, /from 0 to 1/],
    ['waterHoldGPerG', 900, /from 0 to 40/],
    ['secret', 1, /cannot be corrected|not a value/],
  ])('%s of %p is refused', (field, value, message) => {
    expect(() => withCorrections(ingredients['sorghum']!, { corrected: { [field]: label(value) } })).toThrow(message);
  });
  it('every field that can be corrected has a unit and a range', () => {
    for (const { unit, low, high } of Object.values(correctableFields)) expect([unit !== '', low < high]).toEqual([true, true]);
  });
});

describe('what is made here', () => {
  const pantry: Pantry = { ingredients, lots: {} };
  const jam: Preparation = {
    schema: 1,
    id: 'p1',
    name: 'Pear butter',
    rows: [
      { key: 'a', ingredientId: 'apple', amountG: 500 },
      { key: 'b', ingredientId: 'sugar_white', amountG: 100 },
      { key: 'c', ingredientId: 'butter_unsalted', amountG: 50 },
    ],
    acts: [{ key: 'x', act: 'boil', min: 25 }],
    boiledOffG: 250,
    drainedG: 0,
    keepDays: 7,
    keepAt: 'fridge',
  };

  it('a preparation has what its rows bring, less what is boiled off (hand sum: 433.5 + 0.02 + 8.95 - 250 of 400 g)', () => {
    const one = fromPreparation(jam, pantry);
    const water =
      500 * 0.867 +
      100 * ingredients['sugar_white']!.composition.waterShare +
      50 * ingredients['butter_unsalted']!.composition.waterShare -
      250;
    expect(one.composition.waterShare).toBeCloseTo(water / 400, 9);
    expect(sum(one)).toBeCloseTo(1, 2);
    expect(one.allergens).toEqual(expect.arrayContaining(['us.milk', 'eu.milk']));
    expect(one.parts!.reduce((total, { gPerG }) => total + gPerG, 0)).toBeCloseTo(650 / 400, 9);
  });
  it.each<[string, Partial<Preparation>, RegExp]>([
    ['more boiled off than it holds', { boiledOffG: 600 }, /must be from 0 to \d+ g/],
    ['more drained than is left', { drainedG: 300 }, /must be from 0 to \d+ g/],
    ['nothing in it', { rows: [] }, /nothing is in it/],
    ['itself as a part', { rows: [{ key: 'a', ingredientId: 'p1', amountG: 1 }] }, /part of itself/],
    ['a negative weight', { rows: [{ key: 'a', ingredientId: 'apple', amountG: -1 }] }, /from 0 to 100000/],
    ['what is not in the pantry', { rows: [{ key: 'a', ingredientId: 'moon', amountG: 1 }] }, /not in the pantry/],
  ])('refuses %s', (_claim, over, message) => {
    expect(() => fromPreparation({ ...jam, ...over }, pantry)).toThrow(message);
  });
  it('what is drained takes along what it is made of', () => {
    const one = fromPreparation({ ...jam, boiledOffG: 0, drainedG: 100, drainedIngredientId: 'apple' }, pantry);
    expect(one.composition.sugarsShare).toBeLessThan(
      fromPreparation({ ...jam, boiledOffG: 0, drainedG: 100 }, pantry).composition.sugarsShare,
    );
  });
  it('a ready blend is its flours together, and its cup weighs between theirs', () => {
    const blend = { name: 'House', rows: [{ key: 'a', ingredientId: 'sorghum', share: 0.7 }, { key: 'b', ingredientId: 'potato_starch', share: 0.29 }, { key: 'c', ingredientId: 'xanthan', share: 0.01 }] }; // prettier-ignore
    const one = fromBlend('b1', 3, blend, pantry);
    expect(one.composition.proteinShare).toBeCloseTo(
      0.7 * 0.084 + 0.29 * 0.001 + 0.01 * ingredients['xanthan']!.composition.proteinShare,
      9,
    );
    expect(one.xanthanPerG).toBeCloseTo(0.01 + 0.29 * 0.005, 9);
    expect(one.spoonedGPerMl).toBeGreaterThan(ingredients['sorghum']!.spoonedGPerMl!);
    expect(one.gluten).toBe('needsProof');
  });
  it('a crumb keeps the dry matter of its dough', () => {
    const dough = [portionOf(pantry, '', 'sorghum', 60), portionOf(pantry, '', 'water', 40)];
    const one = fromBake({ id: 'c1', name: 'Crumb' }, { formulaId: 'f', version: 2 }, dough, 0.03);
    const raw = mixedComposition(dough);
    expect(one.composition.starchShare / one.composition.proteinShare).toBeCloseTo(raw.starchShare / raw.proteinShare, 9);
    expect(sum(one)).toBeCloseTo(1, 9);
    expect(() => fromBake({ id: 'c1', name: 'Crumb' }, { formulaId: 'f', version: 2 }, dough, 0.9)).toThrow(/moistureShare|from 0/);
  });
  it('is judged by what went into it: a proven lot inside proves it, an open question inside shows', () => {
    const made = fromPreparation({ ...jam, rows: [{ key: 'a', ingredientId: 'millet', amountG: 100 }], boiledOffG: 0 }, pantry);
    const within: Pantry = { ...demoPantry, ingredients: { ...ingredients, p1: made } };
    const portion = portionOf(within, '', 'p1', 50);
    expect(leavesOf(within, portion).map(({ ingredient }) => ingredient.id)).toEqual(['millet']);
    // The demo's millet lot is over this kitchen's own limit of 10.
    expect(glutenFindings([portion], { ...demoKitchen, glutenLimitMgPerKg: 10 }, within, 'dough').map(({ code }) => code)).toEqual([
      'gluten.overLimit',
    ]);
    expect(glutenFindings([portion], { ...demoKitchen, glutenLimitMgPerKg: 20 }, within, 'dough')).toEqual([]);
    expect([...reachedIds(within.ingredients, ['p1'])].sort()).toEqual(['millet', 'p1']);
  });
  it('a ring of preparations is cut, not followed for ever', () => {
    const ring: Pantry = {
      ingredients: { ...ingredients, p1: { ...ingredients['jam']!, id: 'p1', parts: [{ ingredientId: 'p1', gPerG: 1 }] } },
      lots: {},
    };
    expect(leavesOf(ring, portionOf(ring, '', 'p1', 10)).length).toBe(1);
  });
  it('costs what went into it, and says how much has a price', () => {
    const priced: Pantry = { ingredients, lots: { l: { id: 'l', ingredientId: 'sorghum', code: '1', packG: 1000, packCostMinor: 400 } } };
    const cost = costOf([portionOf(priced, '', 'sorghum', 250), portionOf(priced, '', 'millet', 250)], priced);
    expect(cost).toEqual({ costMinor: 100, pricedShare: 0.5 });
  });
});

describe('what suits a guest', () => {
  it.each<[string, SuitId, 'yes' | 'may' | 'no']>([
    ['butter_unsalted', 'noMilk', 'no'],
    ['ghee', 'vegan', 'no'],
    ['honey', 'vegan', 'no'],
    ['honey', 'vegetarian', 'yes'],
    ['gelatin', 'vegetarian', 'no'],
    ['lard', 'vegetarian', 'no'],
    ['almond_milk', 'noMilk', 'yes'],
    ['almond_milk', 'noNuts', 'no'],
    ['peanut_ground', 'noNuts', 'yes'],
    ['peanut_ground', 'noPeanut', 'no'],
    ['flax_meal', 'noFlax', 'no'],
    ['oat_flour', 'noOats', 'no'],
    ['yeast_dry', 'noYeast', 'no'],
    ['block_plant', 'noSoy', 'may'],
    ['choc_chips', 'noMilk', 'may'],
    ['choc_chips', 'lactoseFree', 'may'],
    ['hard_cheese', 'vegetarian', 'may'],
    ['sugar_icing', 'noWheat', 'may'],
    ['wheat_starch_gf', 'noWheat', 'no'],
    ['sorghum', 'vegan', 'yes'],
    ['coconut_milk', 'noMilk', 'yes'],
  ])('%s for %s: %s', (id, suit, answer) => expect(suitability(ingredients[id]!, suit)).toBe(answer));

  it('lactose-free milk suits the lactose-free guest and never the one without milk', () => {
    const milk: Ingredient = { ...ingredients['milk_whole']!, lactoseFree: true };
    expect([suitability(milk, 'lactoseFree'), suitability(milk, 'noMilk'), suitability(milk, 'vegan')]).toEqual(['yes', 'no', 'no']);
  });
  it('counts every row, the dust and a maker’s "may contain" too, and looks into a preparation', () => {
    const made = fromPreparation(
      {
        schema: 1,
        id: 'p1',
        name: 'Glaze',
        rows: [{ key: 'a', ingredientId: 'honey', amountG: 10 }],
        acts: [],
        boiledOffG: 0,
        drainedG: 0,
        keepDays: 1,
        keepAt: 'room',
      },
      { ingredients, lots: {} },
    );
    const pantry: Pantry = { ingredients: { ...ingredients, p1: made }, lots: {} };
    const portions = [portionOf(pantry, '', 'p1', 5), portionOf(pantry, '', 'baking_powder', 1)];
    const found = suitFindings(portions, ['vegan', 'noWheat'], pantry, 'dough');
    expect(found.map(({ code, measured }) => [code, measured!.of])).toEqual([
      ['suit.broken', 'vegan: Honey'],
      ['suit.mayBreak', 'no wheat, wheat starch included: Baking powder, double acting'],
    ]);
  });
  it('asks for what a named guest cannot have, once, and forgets what it does not know', () => {
    const guests = [{ id: 'g1', name: 'Thursday order', suits: ['vegan', 'noSoy'] }];
    expect(suitsAskedFor(['guest:g1', 'noSoy', 'guest:gone', 'noMoon'], { guests })).toEqual(['vegan', 'noSoy']);
    expect(Object.keys(suits.values).length).toBeGreaterThan(15);
  });
});

describe('names', () => {
  it.each([
    ['fecola di patate', 'potato_starch'],
    ['polvilho azedo', 'tapioca_sour'],
    ['Farine de sarrasin', 'buckwheat'],
    ['flohsamenschalen', 'psyllium_husk'],
    ['besan', 'chickpea'],
    ['acucar mascavo', 'sugar_dbrown'],
    ['xanthan', 'xanthan'],
    ['sorgh', 'sorghum'],
    ['jowar', 'sorghum'],
  ])('%s is found first as %s', (typed, id) => expect(findIngredients(ingredients, typed)[0]!.id).toBe(id));

  it.each([
    ['potato flour', ['potato_flour', 'potato_starch']],
    ['cornflour', ['corn_starch', 'wheat_ap']],
    ['self-raising flour', ['blend_sr', 'wheat_ap']],
    ['corn flour', ['corn_flour_whole']],
    ['butter', ['butter_unsalted', 'butter_salted']],
    ['Kartoffelmehl', ['potato_starch', 'potato_flour']],
  ])('%s asks before it is taken', (typed, ids) => {
    const found = findIngredients(ingredients, typed).filter(({ id }) => ids.includes(id));
    expect(found.map(({ id }) => id).sort()).toEqual([...ids].sort());
    expect(found.every(({ asks }) => asks)).toBe(true);
  });

  it('are found by what a thing does', () => {
    expect(findIngredients(ingredients, 'binds').map(({ id }) => id)).toEqual(expect.arrayContaining(['xanthan', 'guar', 'psyllium_husk']));
    expect(doesWhat(ingredients['tapioca_starch']!)).toContain('stretches');
    expect(findIngredients(ingredients, '  ')).toEqual([]);
  });

  it('every alias, confusion and handling row is about an ingredient there is', () => {
    const ids = new Set(ingredientRows.map(([id]) => id));
    for (const [, of] of nameRows) expect(of.split(' ').every((id) => ids.has(id))).toBe(true);
    for (const [id, becomes] of turningRows) {
      expect([id, ...becomes.split(' ')].every((one) => ids.has(one) || one === 'unknown' || one === 'none')).toBe(true);
    }
    for (const { ids: of } of confusions.values) expect(of.every((id) => ids.has(id))).toBe(true);
    expect(handlingRows.map(([id]) => id)).toEqual([...ids]);
  });
});

it('what lies within a part is no more than it, where a label has less of it than the table', () => {
  const honey = withCorrections(ingredients['honey']!, { corrected: { 'composition.sugarsShare': label(0.7) } });
  expect([honey.composition.sugarsShare, honey.composition.addedSugarsShare]).toEqual([0.7, 0.7]);
  const butter = withCorrections(ingredients['butter_unsalted']!, { corrected: { 'composition.fatShare': label(0.4) } });
  expect(butter.composition.saturatedFatShare).toBeLessThanOrEqual(0.4);
});

describe('a thing that came in with its own label', () => {
  const own = { ...ingredients['corn_starch']!, id: 'ours', basis: 'label' as const, labelRead: true };
  it('may hold what a guest refuses by name until somebody says otherwise; an allergen was read', () => {
    const { unsuited: _none, ...unsaid } = own;
    expect([suitability(unsaid, 'noCorn'), suitability(unsaid, 'noRice'), suitability(unsaid, 'noMilk')]).toEqual(['may', 'may', 'yes']);
    expect([suitability(own, 'noCorn'), suitability(own, 'noRice')]).toEqual(['no', 'yes']);
    expect(suitability({ ...own, unsuited: [] }, 'noCorn')).toBe('yes');
  });
});
