import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { families } from '../../facts/families.js';
import { familyWords } from '../../facts/family-words.js';
import { linesOf, readList } from '../../index.js';
import { referencePantry as pantry } from '../reference.js';
import { guessFamily } from './guess-family.js';
import type { ListedAmount } from './formula-from-list.js';

const read = <T>(name: string) => JSON.parse(readFileSync(join(__dirname, '../../worked', name), 'utf8')) as T;
/** One formula of the trade a family (common practice, no source): kept for the sums of the dough, not made for this. */
type Worked = { family: string; blendG: number; blend: Record<string, number>; rows: Record<string, number> };
const ofTheTrade = read<Worked[]>('family-formulas.json');
const listed = (grams: Record<string, number>): ListedAmount[] =>
  Object.entries(grams).map(([ingredientId, massG]) => ({ ingredientId, massG, written: '' }));
const listOf = ({ blendG, blend, rows }: Worked) =>
  listed({ ...rows, ...Object.fromEntries(Object.entries(blend).map(([id, share]) => [id, share * blendG])) });
const recipes = read<{ recipes: { name: string; text: string; family: string }[] }>('first-recipes.json').recipes;
const listOfText = (text: string): { title: string | null; list: ListedAmount[] } => {
  const { name, lines } = linesOf(text);
  const list = readList(lines, pantry.ingredients, { filling: 'spooned', own: {}, said: {} }).flatMap(
    ({ ingredientId, mass, written, part }) =>
      ingredientId && mass ? [{ ingredientId, massG: mass.massG, written, ...(part ? { part } : {}) }] : [],
  );
  return { title: name, list };
};
const placeOf = (family: string, list: readonly ListedAmount[], title?: string) =>
  guessFamily(list, pantry, title).nearest.findIndex((one) => one.family === family) + 1;

describe('guessing the family of a recipe', () => {
  it('by its amounts alone a formula of the trade is among the first five of 33 at least four times in five', () => {
    const places = ofTheTrade.map((one) => placeOf(one.family, listOf(one)));
    expect(places.filter((place) => place <= 5).length / places.length).toBeGreaterThanOrEqual(0.8);
  });

  it.each(recipes.map(({ name, text, family }) => [name, text, family]))(
    '%s: its title and amounts say what it is',
    (_name, text, family) => {
      const { title, list } = listOfText(text);
      expect(guessFamily(list, pantry, title ?? undefined).nearest[0]!.family).toBe(family);
    },
  );

  it('a title in another language or with other marks is the same title', () => {
    expect(guessFamily([], pantry, 'Eclairs').nearest[0]).toMatchObject({ family: 'choux' });
    expect(guessFamily([], pantry, 'BIGNE della nonna').nearest[0]).toMatchObject({ family: 'choux' });
    expect(guessFamily([], pantry, 'Scones, grandmother’s').nearest[0]).toMatchObject({ family: 'biscuit_rubbed', word: 'scones' });
  });

  it('the longest name speaks: drop biscuits are no scones, strawberry shortcake no short crust', () => {
    expect(guessFamily([], pantry, 'Peanut butter cookies').nearest[0]!.family).toBe('cookie_nut_butter');
    expect(guessFamily([], pantry, 'Raised pie').nearest[0]!.family).toBe('hot_water_crust');
  });

  it('every family has a name, and none has another’s', () => {
    expect(Object.keys(familyWords.values).sort()).toEqual(Object.keys(families).sort());
    const all = Object.values(familyWords.values).flatMap((words) => words.split('; '));
    expect(all.filter((word, i) => all.indexOf(word) !== i)).toEqual([]);
  });

  it('the amounts are those of the list: half a kilo of flour with 250 g of butter is about 41 % fat more than the flour’s own', () => {
    const { percents } = guessFamily(listed({ corn_starch: 500, butter_unsalted: 250, water: 100 }), pantry);
    expect(percents!.fat).toBeCloseTo((100 * (250 * pantry.ingredients['butter_unsalted']!.composition.fatShare)) / 500, 0);
    expect(guessFamily(listed({ butter_unsalted: 100 }), pantry).percents).toBeNull();
  });
});
