import fc from 'fast-check';
import { lotFields, ownIngredientFields, publishedIngredients, type Lot, type OwnIngredient } from '@north-leaf/core';
import { anyDocument } from '../../../../../../../packages/core/src/worked/any-document';
import { formOfLot, lotOfForm } from '../../lots/lot-of-form';
import { asOwn, formOf, likeness, ownOfForm } from './own-ingredient-of-form';

/** A composition that sums to no more than the whole, as a label's does. */
const lean = (one: OwnIngredient): OwnIngredient => ({
  ...one,
  composition: {
    ...publishedIngredients()['sorghum']!.composition,
    ...(one.composition.alcoholShare === undefined ? {} : { alcoholShare: 0.001 }),
  },
});

describe('a form that was only opened', () => {
  it('changes nothing of an ingredient of our own, known to it or not', () => {
    fc.assert(
      fc.property(anyDocument(ownIngredientFields), (any) => {
        const one = { ...lean(any), toCome: { of: 'a later release' } } as OwnIngredient;
        const read = ownOfForm(formOf(one as never), one);
        // A label that nobody said they read is now said to be unread, and an empty list is none.
        const { does, ...rest } = one;
        expect(read).toEqual({
          ok: true,
          ingredient: {
            ...rest,
            labelRead: one.labelRead ?? false,
            ...(does?.length ? { does } : {}),
          },
        });
      }),
      { numRuns: 60, seed: 16 },
    );
  });
  it('changes nothing of a lot', () => {
    fc.assert(
      fc.property(anyDocument(lotFields), (any) => {
        const lot = { ...any, toCome: 1 } as Lot;
        expect(lotOfForm(formOfLot(lot), lot.id, lot.ingredientId, lot)).toEqual(lot);
      }),
      { numRuns: 60, seed: 16 },
    );
  });
});

describe('an ingredient of our own', () => {
  it('that behaves like one of the table is as good as it', () => {
    for (const twin of Object.values(publishedIngredients())) {
      const own = asOwn(twin);
      if (!own) continue;
      const form = { ...formOf(likeness(twin) as never), name: 'Ours', allergens: own.allergens, labelRead: true };
      const read = ownOfForm(form, likeness(twin));
      const { unsuited: limits = [], name: _n, allergens: _a, labelRead: _l, basis: _b, source: _s, note: _t, ...does } = own;
      expect(read).toMatchObject({
        ok: true,
        ingredient: { ...does, unsuited: limits, composition: { ...does.composition, starchShare: expect.any(Number) as number } },
      });
    }
  });
  it('from a label: what is left open to 100 g is starch, what is too much is said at the whole', () => {
    const form = { ...formOf({ name: 'Millet of the mill' }), numbers: { ...formOf({}).numbers, 'composition.waterShare': '11', 'composition.proteinShare': '10,5', grit: '4' } }; // prettier-ignore
    expect(ownOfForm(form, {})).toEqual({ ok: false, problems: { grit: 'must be from 0 to 3' } });
    const mended = { ...form, numbers: { ...form.numbers, grit: '' } };
    const read = ownOfForm(mended, {});
    expect(read).toMatchObject({ ok: true, ingredient: { composition: { waterShare: 0.11, proteinShare: 0.105, sodiumShare: 0 } } });
    expect(read.ok && read.ingredient.composition.starchShare).toBeCloseTo(0.785, 9);
    const tooMuch = { ...form, numbers: { ...mended.numbers, 'composition.fatShare': '95' } };
    expect(ownOfForm(tooMuch, {})).toMatchObject({
      ok: false,
      problems: { root: expect.stringContaining('sum to 116.5 in 100') as string },
    });
  });
});
