import fc from 'fast-check';
import {
  guestFields,
  ingredientFields,
  kitchenThings,
  lotFields,
  ownIngredientFields,
  preparationFields,
  publishedIngredients,
  type Fields,
} from '@north-leaf/core';
import { anyDocument } from '../../core/src/worked/any-document.js';
import { check } from './check.js';
import { schemaOf } from './of-fields.js';

/** Every document that the registry describes, and what the API takes for it. */
const documents: readonly (readonly [string, Fields])[] = [
  ['an ingredient of our own', ownIngredientFields],
  ['a lot', lotFields],
  ['a preparation', preparationFields],
  ['a guest', guestFields],
  ...Object.entries(kitchenThings).map(([list, fields]) => [`one of the ${list}`, fields as Fields] as const),
];

describe('what the registry describes', () => {
  it.each(documents)('is taken, with every member: %s', (_name, fields) => {
    fc.assert(
      fc.property(anyDocument(fields), (one) => {
        expect(check(schemaOf(fields), one)).toEqual({ ok: true, value: one });
      }),
      { numRuns: 60, seed: 16 },
    );
  });
  it.each(documents)('is refused without what it needs, and with what nobody knows: %s', (_name, fields) => {
    const schema = schemaOf(fields);
    const [one] = fc.sample(anyDocument(fields), { numRuns: 1, seed: 16 }) as [Record<string, unknown>];
    for (const [key, { optional }] of Object.entries(fields)) {
      const { [key]: _gone, ...rest } = one;
      expect({ key, ok: check(schema, rest).ok }).toEqual({ key, ok: optional === true });
    }
    expect(check(schema, { ...one, nobodyKnows: 1 })).toMatchObject({ ok: false, problems: [{ path: 'nobodyKnows' }] });
  });
  it('holds every published ingredient: no value is out of its own limits', () => {
    for (const one of Object.values(publishedIngredients())) {
      expect({ id: one.id, ...check(schemaOf(ingredientFields), one) }).toMatchObject({ id: one.id, ok: true });
    }
  });
});
