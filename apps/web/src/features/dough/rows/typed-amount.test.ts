import { applyEdits, demoCrackerV2, publishedIngredients, type Edit } from '@north-leaf/core';
import { readRowMass } from '../../../ui/form/typed-mass';
import { weighed } from './typed-amount';

const ingredients = publishedIngredients();
const read = (text: string, id: string, own: Readonly<Record<string, number>> = {}) => readRowMass(text, 'g', ingredients[id], own);

describe('a row’s amount as it is typed', () => {
  it('takes a plain weight in any unit that is named', () => {
    expect(read('62', 'rice_white')).toEqual({ ok: true, value: 62 });
    expect(read('0.5 kg', 'rice_white')).toMatchObject({ ok: true, value: 500 });
    // 16 oz are a pound: 453.59237 g, NIST SP 811.
    expect(readRowMass('1 lb', 'oz', ingredients['rice_white'], {})).toMatchObject({ ok: true, value: expect.closeTo(453.6, 1) });
  });

  it('takes cups and spoons by what they weigh of this ingredient', () => {
    const flour = read('1 cup', 'rice_white');
    const butter = read('1 cup', 'butter_unsalted');
    expect(flour).toMatchObject({ ok: true });
    // A US cup of butter is 227 g: common practice, no source.
    expect(butter.ok && Math.abs(butter.value - 227) < 5).toBe(true);
    expect(flour.ok && butter.ok && flour.value < butter.value).toBe(true);
  });

  it('goes by the kitchen’s own cup where it was weighed', () => {
    const usual = read('1 cup', 'rice_white');
    const own = read('1 cup', 'rice_white', { cup: 1 });
    expect(usual).toMatchObject({ ok: true });
    expect(own).toMatchObject({ ok: true });
  });

  it('says why what it cannot read cannot be read', () => {
    expect(read('some', 'rice_white')).toMatchObject({ ok: false, reason: expect.stringMatching(/\w/) });
    expect(readRowMass('2 cups', 'g', undefined, {})).toMatchObject({ ok: false });
  });

  it('keeps how it was typed beside the grams, and forgets it when grams are typed', () => {
    const path = demoCrackerV2.rows.findIndex(({ ingredientId }) => ingredientId !== 'water');
    const inSpoons = applyEdits(demoCrackerV2, weighed(demoCrackerV2, path, 13.5, '1 tbsp') as Edit[]);
    expect(inSpoons.rows[path]).toMatchObject({ amountG: 13.5, entered: '1 tbsp' });
    const inGrams = applyEdits(inSpoons, weighed(inSpoons, path, 20, '20 g') as Edit[]);
    expect(inGrams.rows[path]!.amountG).toBe(20);
    expect(inGrams.rows[path]!.entered).toBeUndefined();
    expect(weighed(demoCrackerV2, 999, 1, '1')).toEqual([]);
  });
});
