import { kitchenThings, lotFields, ownIngredientFields, publishedIngredients, type Fields, type Lot } from '@north-leaf/core';
import { changeWords } from './change-words';

describe('a change in the words of the registry', () => {
  const husk = publishedIngredients()['psyllium_husk']!;
  const words = (patch: object) => changeWords(ownIngredientFields as Fields, husk, { ...husk, ...patch });
  it.each([
    [{}, ''],
    [{ waterHoldGPerG: 9.5 }, 'Water hold, cold 10 → 9.5 g/g'],
    [{ composition: { ...husk.composition, fatShare: 0.007, sodiumShare: 0.0007 } }, 'Fat 0.6 → 0.7 g, Sodium 60 → 70 mg'],
    [{ grit: undefined, needsCold: true }, 'Grit 1 → none, Its label keeps it cold'],
    [{ kind: 'starch', gum: 'flaxMeal', does: [], heat: 'cooked' }, 'What it is gum → starch, How it was heated none → cooked, Used as psyllium husk → ground flax and 1 more'], // prettier-ignore
  ])('%j', (patch, said) => expect(words(patch)).toBe(said));
  it('of a lot and of a tray', () => {
    const lot: Lot = { id: 'a', ingredientId: 'teff', code: '7', onHandG: 900 };
    const changed = { ...lot, onHandG: 400, report: { mgPerKg: 3, below: true, method: 'R5', on: '2026-10-01' } };
    expect(changeWords(lotFields, lot, changed)).toBe('On hand 900 → 400 g, Report');
    const tray = { id: 't', name: 'Large', count: 2, widthMm: 300, lengthMm: 400, material: 'aluminium' };
    expect(changeWords(kitchenThings.trays, tray, { ...tray, count: 3, material: 'glass' })).toBe(
      'How many 2 → 3, Made of bright aluminium → glass',
    );
  });
});
