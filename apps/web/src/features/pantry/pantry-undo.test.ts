import { demoCrackerV2, demoLots, fromBlend, publishedIngredients, type Ingredient } from '@north-leaf/core';
import { check, ownIngredientBodySchema } from '@north-leaf/contracts';
import type { PantryBook } from '@north-leaf/contracts';
import type { PantryChange } from './api';
import { pantryInverseOf, withRevision } from './pantry-undo';

const lot = demoLots[0]!;
const corrected = { 'composition.proteinShare': { value: 0.1, unit: 'share', basis: 'label' as const, source: 'bag' } };
const preparation = {
  schema: 1 as const,
  id: 'p1',
  name: 'Glaze',
  rows: [],
  acts: [],
  boiledOffG: 0,
  drainedG: 0,
  keepDays: 1,
  keepAt: 'room' as const,
};
const book: PantryBook = {
  ingredients: { ...publishedIngredients(), teff: { ...publishedIngredients()['teff']!, corrected } },
  lots: { [lot.id]: lot },
  on: '2026-11-25',
  preparations: [preparation],
  revisions: { lots: { [lot.id]: 4 }, ingredients: { teff: 2 }, preparations: { p1: 1 } },
  broken: {},
};

describe('taking a change of the pantry back', () => {
  it.each<[string, PantryChange, Partial<PantryChange> | null]>([
    [
      'a changed lot is put as it was',
      { kind: 'lot', lot: { ...lot, code: '9' }, revision: 4, recounted: false },
      { kind: 'lot', lot, recounted: false },
    ],
    ['a new lot is removed', { kind: 'lot', lot: { ...lot, id: 'new' }, revision: 0, recounted: true }, { kind: 'removeLot', id: 'new' }],
    ['a removed lot comes back, counted', { kind: 'removeLot', id: lot.id }, { kind: 'lot', lot, recounted: true }],
    [
      'a first correction goes back to the table',
      { kind: 'correct', id: 'sorghum', change: { corrected }, revision: 0 },
      { kind: 'removeIngredient', id: 'sorghum' },
    ],
    [
      'a second correction goes back to the first',
      { kind: 'correct', id: 'teff', change: { corrected: {} }, revision: 2 },
      { kind: 'correct', id: 'teff', change: expect.objectContaining({ corrected }) },
    ],
    ['a removed preparation comes back', { kind: 'removePreparation', id: 'p1' }, { kind: 'preparation', preparation }],
    ['what was never there needs nothing', { kind: 'removeLot', id: 'nowhere' }, null],
  ])('%s', (_claim, change, back) => {
    if (back === null) expect(pantryInverseOf(change, book)).toBeNull();
    else expect(pantryInverseOf(change, book)).toMatchObject(back);
  });
  it('is sent with the revision there is now', () => {
    expect(
      withRevision(pantryInverseOf({ kind: 'lot', lot: { ...lot, code: '9' }, revision: 4, recounted: false }, book)!, book),
    ).toMatchObject({
      revision: 4,
    });
  });
  it('a removed ingredient comes back with every field it had, and the server takes it', () => {
    const made = fromBlend('5b1f0d3c-6a0e-4f7d-8f43-6a1f0c2d9b01', 1, demoCrackerV2.blend, { ...book, lots: {} });
    const all = [
      ...Object.values(publishedIngredients()),
      made,
      { ...made, note: 'n', lactoseFree: true, packedGPerMl: 0.7, cookedToC: 80 } as Ingredient,
    ];
    for (const ingredient of all.filter(({ gluten }) => gluten !== 'contains')) {
      const own = { ...ingredient, id: 'mine' };
      const before = {
        ...book,
        ingredients: { ...book.ingredients, mine: own },
        revisions: { ...book.revisions, ingredients: { mine: 1 } },
      };
      const back = pantryInverseOf({ kind: 'removeIngredient', id: 'mine' }, before) as Extract<PantryChange, { kind: 'own' }>;
      expect({ id: 'mine', ...back.ingredient }).toEqual(own);
      expect({ name: own.name, ...check(ownIngredientBodySchema, { revision: 0, ingredient: back.ingredient }) }).toMatchObject({
        name: own.name,
        ok: own.kind !== 'excluded',
      });
    }
  });
});
