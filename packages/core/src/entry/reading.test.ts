import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { hazardsOf } from '../ingredient/safety/allergens.js';
import { publishedIngredients } from '../ingredient/published.js';
import { readIngredientList } from '../label/box.js';
import { readLine, readList } from './read-line.js';
import { readName } from './read-name.js';
import type { Ingredient } from '../document/pantry.js';
import type { Hazard } from '../ingredient/safety/allergens.js';

const ingredients = publishedIngredients();
const cases = <T>(name: string): T[] => (JSON.parse(readFileSync(join(__dirname, '../worked', name), 'utf8')) as { lines: T[] }).lines;
const carries = (id: string, all: readonly Hazard[]) => all.every((hazard) => hazardsOf(ingredients[id]!).includes(hazard));

describe('names that hide gluten or an allergen (our own list: weak evidence)', () => {
  type Case = { name: string; hides: (Hazard | 'unknown')[] };
  const read = cases<Case>('hazard-names-cases.json').map((one) => ({ ...one, line: readLine(`100 g ${one.name}`, ingredients) }));
  it('are never answered silently by what lacks them', () => {
    const silent = read.filter(
      ({ line, hides }) =>
        line.ingredientId !== null && !line.asks && (hides.includes('unknown') || !carries(line.ingredientId, hides as Hazard[])),
    );
    expect(silent.map(({ name, line }) => `${name} -> ${line.ingredientId}`)).toEqual([]);
  });
  it('where it asks, one of the choices carries each of them, but for two dishes that have no row', () => {
    const lacks = read.filter(
      ({ line, hides }) =>
        line.asks && !hides.includes('unknown') && hides.length > 0 && !line.candidates.some((id) => carries(id, hides as Hazard[])),
    );
    expect(lacks.map(({ name }) => name)).toEqual(['frangipane', "crème d'amande"]);
    for (const { line } of lacks) expect(line.why).toMatch(/no row of its own/);
  });
  it('number nearly three hundred', () => expect(read.length).toBeGreaterThan(280));
});

describe('lines of everyday recipes, written before the reader ran on them (ours: weak evidence)', () => {
  type Case = { line: string; right: string[]; g?: number; ask?: 'ask' | 'may' };
  const read = cases<Case>('everyday-lines-cases.json').map((one) => ({ ...one, read: readLine(one.line, ingredients) }));
  const answered = read.filter(({ read: line }) => line.ingredientId !== null && !line.asks);
  it('are never silently wrong: what is answered is right, or is wheat and kept out', () => {
    const wrong = answered.filter(
      ({ read: line, right }) => !right.includes(line.ingredientId!) && ingredients[line.ingredientId!]!.gluten !== 'contains',
    );
    expect(wrong.map(({ line, read: { ingredientId } }) => `${line} -> ${ingredientId}`)).toEqual([]);
  });
  it('weigh what they say, within 15 %', () => {
    const off = answered.filter(({ g, read: line }) => g !== undefined && !(Math.abs((line.mass?.massG ?? 0) / g - 1) <= 0.15));
    expect(off.map(({ line, g, read: { mass } }) => `${line}: ${mass?.massG} for ${g}`)).toEqual([]);
  });
  it('are asked about in vain, an exact name that asks, 5 times in 100 at most', () => {
    const vain = read.filter(({ read: line, ask }) => line.asks && line.exact && ask === undefined);
    expect(vain.length / read.length).toBeLessThanOrEqual(0.05);
  });
  it('are unknown 3 times in 100 at most', () => {
    expect(read.filter(({ read: line }) => line.ingredientId === null && !line.asks).length / read.length).toBeLessThanOrEqual(0.03);
  });
});

describe('ingredient lines with their weights, in six languages', () => {
  type Case = { line: string; id: string; g: number; tol: number; asks?: true };
  it.each(cases<Case>('pasted-cases.json').map((one) => [one.line, one] as const))('%s', (_line, { line, id, g, tol, asks }) => {
    const read = readLine(line, ingredients);
    expect({ asks: read.asks, among: read.candidates.includes(id) }).toEqual({ asks: asks ?? false, among: true });
    if (!asks) expect(Math.abs(read.mass!.massG / g - 1)).toBeLessThanOrEqual(tol);
  });
});

describe('a name', () => {
  const of = (name: string) => readName(name, ingredients);
  it.each([
    ['dark chocolate', 'choc_dark'], // `d` of `d'` was eaten: `rk chocolate`
    ['dates', 'dates'],
    ['double cream', 'cream_double'],
    ['desiccated coconut', 'coconut_desiccated'],
    ['fresh yeast', 'yeast_fresh'], // fresh was stripped: dried yeast, 2.5 times too little
    ['dried apricots', 'apricots_dried'],
    ['Butter, unsalted', 'butter_unsalted'],
    ['fresh raspberries', 'raspberries'],
    ['gluten-free rolled oats', 'oats_rolled'],
    ['œufs', 'egg_whole'],
  ])('%s is %s, without a question', (name, id) => expect(of(name)).toMatchObject({ asks: false, ids: [id] }));

  it.each([
    'flour',
    'oil',
    'cream',
    'butter',
    'nuts',
    'sugar mix',
    'seeds',
    'cheese',
    'biscuits',
    'yeast',
    'cornflour',
    'burro',
    'nata',
    'farina',
  ])('of a class or of two countries is never one thing: %s', (name) => expect(of(name).ids.length === 0 || of(name).asks).toBe(true));
  it.each([
    'nut-free chocolate',
    'milk-free margarine',
    'lactose-free butter',
    'dairy-free spread',
    'burro senza lattosio',
    'chocolate sem leite',
    'Schokolade ohne Nüsse',
  ])('with something said to be absent asks: %s', (name) => expect(of(name).asks).toBe(true));
  it.each([
    ['xantam gumm', 'xanthan'],
    ['sorgum flour', 'sorghum'],
    ['tapoica starch', 'tapioca_starch'],
  ])('with a slip of the pen asks: %s', (name, id) => expect(of(name)).toMatchObject({ asks: true, ids: expect.arrayContaining([id]) }));
  it.each(['hazelnut milk', 'vegan cheddar', 'spelt milk', 'mesquite flour', 'wholemeal spelt flour mix'])(
    'that is known in part asks: %s',
    (name) => expect(of(name).asks).toBe(true),
  );
});

describe('a bare flour', () => {
  const mine: Ingredient = { ...ingredients['blend_ap']!, id: 'own-1', name: 'House blend', madeFrom: { blendId: 'b', version: 2 } };
  it('offers what this kitchen blends beside wheat and the boxes, in every language', () => {
    for (const name of ['flour', 'plain flour', 'farinha', 'Mehl', 'flour mix']) {
      const { asks, ids } = readName(name, { ...ingredients, [mine.id]: mine });
      expect({ name, asks, ids: ids.slice(0, 2) }).toEqual({ name, asks: true, ids: ['wheat_ap', 'own-1'] });
    }
    expect(readName('rice flour', { ...ingredients, [mine.id]: mine }).ids).not.toContain('own-1');
  });
});

describe('a line', () => {
  const line = (text: string) => readLine(text, ingredients);
  it.each([
    ['1 medium egg', 44],
    ['1 cup (150 ml) buttermilk', 155],
    ['4 tsp plus 1 tsp baking powder', 23],
    ['2 x 7 g sachets dried yeast', 14],
    ['juice of 2 lemons', 90],
    ['the zest of one orange', 10],
    ['1 Würfel frische Hefe', 42],
  ])('%s weighs about %p g', (text, g) => expect(Math.abs(line(text).mass!.massG / g - 1)).toBeLessThan(0.05));
  it.each([
    'butter or margarine, 100 g',
    'zucchero 150 g di cui 50 per la crema',
    '1 uovo e 1 tuorlo',
    '100 g milk (hazelnut)',
    '100 g milk, hazelnut',
    '2 flax eggs',
  ])('that says two things asks: %s', (text) => expect(line(text).asks).toBe(true));
  it('means what this kitchen said it means, and the rest of the line still counts', () => {
    const said = { 'plain flour': 'blend_ap' };
    expect(readLine('200 g plain flour', ingredients, { said })).toMatchObject({ asks: false, ingredientId: 'blend_ap', exact: true });
    expect(readLine('200 g plain flour', ingredients).asks).toBe(true);
  });
});

describe('a list', () => {
  const read = readList(
    [
      'For the dough:',
      '200 g sorghum flour',
      '100 g caster sugar',
      '1 egg, for the wash',
      'rice flour, for dusting',
      '1 egg plus 1 egg yolk',
      'FILLING',
      '50 g caster sugar',
      '300 g ricotta',
      '2 flax eggs',
      'Topping',
      '20 g flaked almonds',
      'Per servire:',
      '100 ml double cream',
    ].join('\n'),
    ingredients,
  );
  it('is split by its headings; a line’s own words win', () => {
    expect(read.map(({ ingredientId, part }) => [ingredientId, part?.use ?? 'dough', part?.goesOn])).toEqual([
      ['sorghum', 'dough', undefined],
      ['sugar_caster', 'dough', undefined],
      ['egg_whole', 'wash', undefined],
      ['rice_white', 'dust', undefined],
      ['egg_whole', 'dough', undefined],
      ['egg_yolk', 'dough', undefined],
      ['sugar_caster', 'filling', undefined],
      ['ricotta', 'filling', undefined],
      ['flax_meal', 'filling', undefined],
      ['water', 'filling', undefined],
      ['almonds_flaked', 'topping', undefined],
      ['cream_double', 'topping', 'serving'],
    ]);
    expect(read[7]!.under).toBe('FILLING');
    expect(read[8]!.mass!.massG + read[9]!.mass!.massG).toBe(104);
  });
});

describe('a list as a new user typed it', () => {
  it('takes a heading with a comma for a heading, a thing with one for a thing, and asks about bare wheat', () => {
    const read = readList('Filling, once cooled\n300 g cream\n20 g wheat', ingredients);
    expect(read.map(({ written, part }) => [written, part?.use])).toEqual([
      ['300 g cream', 'filling'],
      ['20 g wheat', 'filling'],
    ]);
    expect(read[1]).toMatchObject({ asks: true, ingredientId: 'wheat_ap' });
    expect(readList('Rice flour, for dusting', ingredients)).toHaveLength(1);
  });
});

describe('the list on a box', () => {
  const of = (text: string) => readIngredientList(text, ingredients);
  it('opens a bracket of an EU list: five flours, in order', () => {
    const read = of('Flour (rice, potato, tapioca, maize, buckwheat), thickener: xanthan gum');
    expect(read.map(({ candidates }) => candidates[0])).toEqual([
      'rice_white',
      expect.stringMatching(/^potato_/),
      'tapioca_starch',
      'corn_flour_whole',
      'buckwheat',
      'xanthan',
    ]);
    // Potato flour and potato starch are two goods: asked.
    expect(read[1]).toMatchObject({ asks: true, candidates: expect.arrayContaining(['potato_flour', 'potato_starch']) });
  });
  it.each([
    ['Codex wheat starch', 'wheat_starch_gf'],
    ['Soya flour', 'soy_flour'],
    ['Rice flour', 'rice_white'],
    ['Stabiliser (E464)', 'hpmc'],
    ['Vegetable fibre (psyllium)', 'psyllium_husk'],
    ['Starches (potato, tapioca)', 'potato_starch'],
    ['White rice flour (53 %)', 'rice_white'],
  ])('%s begins with %s', (text, id) => expect(of(text)[0]!.candidates).toContain(id));
  it('keeps declared shares and what stands behind “2 % or less”', () => {
    expect(of('Ingredients: rice flour 60%, potato starch (30 %), contains 2% or less of xanthan gum.')).toMatchObject([
      { id: 'rice_white', declaredShare: 0.6 },
      { id: 'potato_starch', declaredShare: 0.3 },
      { id: 'xanthan', inTail: true },
    ]);
  });
});
