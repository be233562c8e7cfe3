import fc from 'fast-check';
import { families } from '../facts/families.js';
import { publishedIngredients } from '../ingredient/published.js';
import { aFormula, pantry, resultOf, worked } from '../worked/a-formula.js';
import { formulaFromList } from '../solve/from-list/formula-from-list.js';
import { massOfAmount } from './mass-of-amount.js';
import { readAmount } from './read-amount.js';
import { readLine, readList } from './read-line.js';
import { linesOf, recipeOf } from './recipe-json.js';
import { slipsIn } from './slips.js';
import type { Formula, Row } from '../document/formula.js';

const ingredients = publishedIngredients();
const cracker = families['cracker_savoury']!;
const grams = (text: string) => readLine(text, ingredients).mass?.massG;

describe('what stands behind a comma', () => {
  it.each(['1 stick butter, soft', '113 g butter, cold', '100 g butter, at room temperature'])(
    '%s asks what butter asks, and why',
    (line) => {
      const [plain, said] = ['100 g butter', line].map(
        (text) => readList(text, publishedIngredients(), { filling: 'spooned', own: {}, said: {} })[0]!,
      );
      expect([said!.candidates, said!.why]).toEqual([plain!.candidates, plain!.why]);
    },
  );
});

describe('amounts', () => {
  it.each<[string, number, number, string | null, string]>([
    ['2 1/2 cups flour', 2.5, 2.5, 'cup', 'flour'],
    ['1½ tbsp oil', 1.5, 1.5, 'tablespoon', 'oil'],
    ['⅓ cup water', 1 / 3, 1 / 3, 'cup', 'water'],
    ['1/3 cup ice water', 1 / 3, 1 / 3, 'cup', 'ice water'],
    ['150 to 170 g rice', 150, 170, 'gram', 'rice'],
    ['2-3 T water', 2, 3, 'tablespoon', 'water'],
    ['1 t salt', 1, 1, 'teaspoon', 'salt'],
    ['2,5 dl acqua', 2.5, 2.5, 'decilitre', 'acqua'],
    ['half an egg', 0.5, 0.5, null, 'egg'],
    ['a pinch of salt', 1, 1, 'pinch', 'salt'],
    ['pinch of salt', 1, 1, 'pinch', 'salt'],
    ['un bicchiere di latte', 1, 1, 'glass', 'latte'],
    ['duas xícaras de açúcar', 2, 2, 'cupBrazil', 'açúcar'],
    ['two and a half cups rice', 2.5, 2.5, 'cup', 'rice'],
    ['3 eggs', 3, 3, null, 'eggs'],
    ['1 fl oz milk', 1, 1, 'fluidOunce', 'milk'],
  ])('%s', (text, low, high, of, rest) => {
    const read = readAmount(text)!;
    expect([read.low, read.high, read.measure?.of ?? null, read.rest]).toEqual([expect.closeTo(low, 9), expect.closeTo(high, 9), of, rest]);
  });
  it.each(['salt to taste', 'flour', '', '   ', 'cups of stars'])('%p has no number and is not given one', (text) => {
    expect(readAmount(text)?.low ?? 1).toBe(1);
    if (!text.startsWith('cups')) expect(readAmount(text)).toBeNull();
  });
  it('a number over nothing is no amount', () => expect(readAmount('1/0 cup water')).toBeNull());
});

describe('grams', () => {
  it('a weight in brackets outranks the cup it stands beside', () => expect(grams('1 cup (120 g) tapioca starch')).toBe(120));
  it('a stick of butter is 113.4 g, a stick of flour is nothing', () => {
    expect(grams('1 stick unsalted butter')).toBeCloseTo(113.4, 6);
    expect(grams('1 stick sorghum flour')).toBeUndefined();
  });
  it('half an egg is half of it beaten (common practice: a medium egg of 52 g gives 26 g)', () => {
    expect(readLine('half an egg', ingredients).mass).toMatchObject({
      massG: 25,
      assumption: expect.stringContaining('beaten and weighed'),
    });
  });
  it('a span is as wide as it was said, a glass asks once, and then is the kitchen’s own', () => {
    expect(readLine('150 to 170 g sorghum flour', ingredients).mass!.sdG).toBeCloseTo(20 / Math.sqrt(12), 9);
    const glass = readLine('1 glass of milk', ingredients).mass!;
    expect([glass.asks, glass.sdG > 15]).toEqual(['glass', true]);
    const own = readLine('1 glass of milk', ingredients, { own: { glass: 180 } }).mass!;
    expect(own.asks).toBeUndefined();
    expect(own.massG).toBeCloseTo(180 * ingredients['milk_whole']!.spoonedGPerMl!, 6);
  });
  it('a dipped cup weighs 15 % more than a spooned one; brown sugar is pressed into it', () => {
    expect(grams('2 cups dipped sorghum flour')! / grams('2 cups sorghum flour')!).toBeCloseTo(1.15, 9);
    expect(grams('1 cup light brown sugar')).toBeCloseTo(220, 0);
  });
  it('what weighs nothing known is left open, not guessed', () => {
    const { spoonedGPerMl: _s, teaspoonG: _t, ...bare } = ingredients['teff']!;
    expect(massOfAmount(readAmount('1 cup teff')!, bare)).toBeNull();
  });
});

describe('laws of entry', () => {
  it('no text throws or is lost', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.string({ unit: 'grapheme' })), (text) => {
        expect(readLine(text, ingredients).written).toBe(text);
      }),
      { numRuns: 400 },
    );
  });
  it('grams written out and read again are the same', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20000 }), fc.constantFrom('sorghum', 'potato_starch', 'honey', 'water'), (tenths, id) => {
        expect(grams(`${tenths / 10} g ${ingredients[id]!.name}`)).toBeCloseTo(tenths / 10, 9);
      }),
    );
  });
  it('twice as many cups weigh twice as much', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), (quarters) => {
        expect(grams(`${quarters / 2} cups teff flour`)).toBeCloseTo(2 * grams(`${quarters / 4} cups teff flour`)!, 6);
      }),
    );
  });
});

describe('what looks like a slip', () => {
  const slips = (text: string) => slipsIn(readList(text, ingredients), cracker, ingredients).map(({ line, kind }) => [line, kind]);
  it.each<[string, string, [number, string][]]>([
    ['salt for sugar', '250 g sorghum flour\n80 g fine salt', [[1, 'saltForSugar']]],
    ['a tablespoon for a teaspoon', '100 g sorghum flour\n1 tbsp baking powder', [[1, 'spoonForSpoon']]],
    ['ten times too much gum', '200 g sorghum flour\n20 g xanthan gum', [[1, 'tooMuchGum']]],
    ['a line that stands twice', '200 g sorghum flour\n50 ml water\n20 ml water', [[2, 'doubled']]],
    ['wheat', '200 g rye flour', [[0, 'gluten']]],
    ['a name nobody knows', '200 g moonbeams', [[0, 'unknown']]],
    ['no amount', '200 g teff flour\nhoney', [[1, 'noAmount']]],
    ['nothing, in a plain list', '240 g sorghum flour\n1 tsp fine salt\n1/2 cup water\n2 tbsp olive oil', []],
  ])('%s', (_claim, text, wanted) => expect(slips(text)).toEqual(wanted));
  it('says what a spoon too large more likely was', () => {
    const [slip] = slipsIn(readList('100 g sorghum flour\n1 tbsp baking powder', ingredients), cracker, ingredients);
    expect(slip!.likelyG).toBeCloseTo(4.6, 1);
  });
});

describe('a formula from a list', () => {
  const list = readList(
    'Ingredients:\n1 1/2 cups sorghum flour\n1/2 cup tapioca starch\n\n1 tsp xanthan gum\n1/3 cup ice water\n1 stick butter, cold',
    ingredients,
  );
  const amounts = list.map(({ ingredientId, mass, written }) => ({ ingredientId: ingredientId!, massG: mass!.massG, written }));
  let n = 0;
  const made = formulaFromList(aFormula(), amounts, pantry, { newKey: () => `n${n++}`, how: 'instead' });

  it('makes flours and gums the blend and the rest rows, keeps the dust, and can be worked out', () => {
    expect(made.blend.rows.map(({ ingredientId }) => ingredientId)).toEqual(['sorghum', 'tapioca_starch', 'xanthan']);
    expect(made.blend.rows.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
    expect(made.blendG).toBeCloseTo(181.5 + 57.5 + 2.8, 0);
    expect(made.rows.map(({ ingredientId, use, entered }) => [ingredientId, use, entered])).toEqual([
      ['rice_white_fine', 'dust', undefined],
      ['water', 'dough', '1/3 cup ice water'],
      ['butter_unsalted', 'dough', '1 stick butter, cold'],
    ]);
    expect(resultOf(worked(made), 'dough').doughG).toBeCloseTo(made.blendG + 78.9 + 113.4, 0);
  });
  it('added to what there is keeps every gram of it', () => {
    const both = formulaFromList(aFormula(), amounts, pantry, { newKey: () => `n${n++}`, how: 'besides' });
    expect(both.blendG).toBeCloseTo(240 + made.blendG, 1);
    expect(both.rows.length).toBe(aFormula().rows.length + 2);
  });
  it('keeps how far a box read from its label may be out: spreads of one ingredient add in quadrature', () => {
    const box = [
      { ingredientId: 'rice_white', massG: 100, written: '200 g flour', sdG: 30 },
      { ingredientId: 'tapioca_starch', massG: 100, written: '200 g flour', sdG: 40 },
      { ingredientId: 'rice_white', massG: 50, written: '50 g rice flour' },
    ];
    const { blend, blendEntered } = formulaFromList(aFormula(), box, pantry, { newKey: () => `n${n++}`, how: 'instead' });
    expect(blend.uncertainShare).toEqual([30 / 250, 40 / 250]);
    expect(blendEntered?.text).toBe('200 g flour; 50 g rice flour');
    expect(made.blend.uncertainShare).toBeUndefined();
  });
  it('without flour leaves the blend alone', () => {
    const only = formulaFromList(aFormula(), [{ ingredientId: 'honey', massG: 20, written: 'honey' }], pantry, {
      newKey: () => 'k',
      how: 'instead',
    });
    expect(only.blend).toEqual(aFormula().blend);
  });
});

describe('recipes of the open web format (schema.org Recipe)', () => {
  it('go out and come back, gram for gram', () => {
    const json = JSON.stringify(recipeOf(aFormula(), pantry));
    const { name, lines } = linesOf(json);
    expect(name).toBe('Seeded sorghum crackers');
    const read = readList(lines, pantry.ingredients);
    expect(read.map(({ ingredientId }) => ingredientId)).toEqual(
      [...aFormula().blend.rows, ...aFormula().rows].map(({ ingredientId }) => ingredientId),
    );
    expect(read[0]!.mass!.massG).toBeCloseTo(134.4, 6);
  });
  it('with their components: each comes back by its name, for what and when it was', () => {
    const of = (key: string, ingredientId: string, amountG: number, more: object) => ({ key, ingredientId, amountG, ...more }) as Row;
    const formula: Formula = {
      ...aFormula(),
      rows: [
        ...aFormula().rows,
        of('a1', 'apple', 300, { use: 'filling', component: 'a' }),
        of('a2', 'sugar_white', 40, { use: 'filling', component: 'a' }),
        of('b1', 'cream_heavy', 200, { use: 'topping', goesOn: { at: 'serving' }, component: 'b' }),
        of('b2', 'sugar_icing', 20, { use: 'topping', goesOn: { at: 'serving' }, component: 'b' }),
        of('c1', 'raisins', 60, { use: 'foldIn', component: 'c' }),
        of('c2', 'blueberries', 60, { use: 'foldIn', component: 'c' }),
        of('d', 'egg_yolk', 10, { use: 'wash' }),
      ],
      components: [
        { key: 'a', name: 'The fruit', acts: [{ key: 'x', act: 'boil', min: 5 }], boiledOffG: 20, drainedG: 0 },
        { key: 'b', name: 'Filling of the top', acts: [], boiledOffG: 0, drainedG: 0 },
        { key: 'c', name: 'Soaked fruit', acts: [], boiledOffG: 0, drainedG: 0 },
      ],
    };
    const json = JSON.stringify(recipeOf(formula, pantry));
    expect(json).toContain('"name":"The fruit"');
    const listed = readList(linesOf(json).lines, pantry.ingredients).map(({ ingredientId, mass, written, part, under }) => ({
      ingredientId: ingredientId!,
      massG: mass!.massG,
      written,
      ...(part ? { part } : {}),
      ...(under === undefined ? {} : { under }),
    }));
    let n = 0;
    const back = formulaFromList(aFormula(), listed, pantry, { newKey: () => `n${n++}`, how: 'instead' });
    expect(back.components!.map(({ name }) => name)).toEqual(['The fruit', 'Filling of the top', 'Soaked fruit']);
    const its = (name: string) => {
      const { key } = back.components!.find((one) => one.name === name)!;
      return back.rows
        .filter(({ component }) => component === key)
        .map(({ ingredientId, amountG, use, goesOn }) => [ingredientId, amountG, use, goesOn?.at]);
    };
    expect(its('The fruit')).toEqual([
      ['apple', 300, 'filling', undefined],
      ['sugar_white', 40, 'filling', undefined],
    ]);
    expect(its('Filling of the top').map((one) => one.slice(2))).toEqual([
      ['topping', 'serving'],
      ['topping', 'serving'],
    ]);
    expect(its('Soaked fruit').map((one) => one[2])).toEqual(['foldIn', 'foldIn']);
    expect(back.rows.find(({ ingredientId }) => ingredientId === 'egg_yolk')).toMatchObject({ use: 'wash' });
  });
  it.each([
    ['in a graph', { '@graph': [{ '@type': 'WebPage' }, { '@type': ['Recipe'], name: 'A', recipeIngredient: ['1 egg'] }] }],
    ['in a list', [{ '@type': 'Recipe', name: 'A', ingredients: ['1 egg'] }]],
  ])('are found %s', (_where, json) => expect(linesOf(JSON.stringify(json))).toEqual({ name: 'A', lines: '1 egg' }));
  it('what is no recipe is a list like any other', () => {
    expect(linesOf('{oops')).toEqual({ name: null, lines: '{oops' });
    expect(linesOf('1 egg')).toEqual({ name: null, lines: '1 egg' });
  });
});
