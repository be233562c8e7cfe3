import { demoKitchen, demoLots, demoPreparation, demoCrackerV2, publishedIngredients } from '@north-leaf/core';
import {
  blendBodySchema,
  boxLabelSchema,
  check,
  crumbBodySchema,
  findBlendsBodySchema,
  glutenLimitBodySchema,
  guestBodySchema,
  imitateBodySchema,
  ingredientChangeBodySchema,
  lotBodySchema,
  ownIngredientBodySchema,
  preparationBodySchema,
} from './index.js';
import type { Schema } from 'joi';

const lot = demoLots[0]!;
const fact = { value: 0.1, unit: 'share', basis: 'label', source: 'bag' };
const { name, kind, composition, allergens, gluten, origin } = publishedIngredients()['teff']!;
const own = { name, kind, composition, allergens, gluten, origin };
const search = { goals: [{ key: 'bend', way: 'atLeast', value: 1.9, strength: 'must' }], mostFlours: 5, reach: 'all' };
const label = { items: [{ ingredientId: 'rice_white' }, { ingredientId: 'xanthan', inTail: true }], panel: [{ nutrient: 'protein', printed: 2, lessThan: true }], rule: 'us', basisG: 30, tolerance: 0.15 }; // prettier-ignore
const good: [string, Schema<unknown>, Record<string, unknown>][] = [
  ['a lot', lotBodySchema, { revision: 0, recounted: true, lot }],
  ['a correction', ingredientChangeBodySchema, { revision: 1, change: { corrected: { 'composition.proteinShare': fact }, allergens: ['eu.gluten_cereal:wheat:possible'] } }],
  ['an own ingredient', ownIngredientBodySchema, { revision: 0, ingredient: own }],
  ['a preparation', preparationBodySchema, { revision: 0, preparation: demoPreparation }],
  ['a limit', glutenLimitBodySchema, { mgPerKg: 10 }],
  ['a guest', guestBodySchema, demoKitchen.guests![0] as never],
  ['a search', findBlendsBodySchema, { formula: demoCrackerV2, search }],
  ['a label', boxLabelSchema, label],
  ['an imitation', imitateBodySchema, { formula: demoCrackerV2, search, label }],
  ['a blend', blendBodySchema, { basedOn: null, blend: demoCrackerV2.blend }],
  ['a crumb', crumbBodySchema, { name: 'Crumb' }],
]; // prettier-ignore

describe('bodies of the pantry', () => {
  it.each(good)('take %s', (_name, schema, body) => expect(check(schema, body)).toMatchObject({ ok: true }));

  it.each(good)('%s with a key nobody knows, or without one of its own, is refused', (_name, schema, body) => {
    expect(check(schema, { ...body, secret: 1 })).toMatchObject({ ok: false, problems: [{ path: 'secret' }] });
    for (const key of Object.keys(body).filter((one) => one !== 'note')) {
      const { [key]: _gone, ...rest } = body;
      expect(check(schema, rest)).toMatchObject({ ok: false });
    }
  });

  it.each<[string, Schema<unknown>, unknown, string]>([
    ['the thirtieth of February', lotBodySchema, { revision: 0, recounted: true, lot: { ...lot, bestByOn: '2026-02-30' } }, 'lot.bestByOn'],
    ['a day in words', lotBodySchema, { revision: 0, recounted: true, lot: { ...lot, openedOn: 'Tuesday' } }, 'lot.openedOn'],
    ['a report without a day', lotBodySchema, { revision: 0, recounted: true, lot: { ...lot, report: { mgPerKg: 3, below: true, method: 'R5' } } }, 'lot.report.on'],
    ['a value learned by nobody', ingredientChangeBodySchema, { revision: 0, change: { corrected: { grit: { ...fact, basis: 'published' } } } }, 'change.corrected.grit.basis'],
    ['an allergen of no list', ingredientChangeBodySchema, { revision: 0, change: { corrected: {}, allergens: ['milk'] } }, 'change.allergens[0]'],
    ['gluten as an own ingredient', ownIngredientBodySchema, { revision: 0, ingredient: { ...own, gluten: 'contains' } }, 'ingredient.gluten'],
    ['an act nobody does', preparationBodySchema, { revision: 0, preparation: { ...demoPreparation, acts: [{ key: 'a', act: 'juggle' }] } }, 'preparation.acts[0].act'],
    ['laxer than the law', glutenLimitBodySchema, { mgPerKg: 21 }, 'mgPerKg'],
    ['a limit nobody keeps', guestBodySchema, { id: 'g', name: 'Guest', suits: ['noMoon'] }, 'suits[0]'],
    ['a wish of no strength', findBlendsBodySchema, { formula: demoCrackerV2, search: { ...search, goals: [{ ...search.goals[0], strength: 'perhaps' }] } }, 'search.goals[0].strength'],
    ['an empty label', boxLabelSchema, { ...label, items: [] }, 'items'],
    ['a number as text', boxLabelSchema, { ...label, basisG: '30' }, 'basisG'],
  ])('refuse %s at its place', (_claim, schema, body, path) => {
    const checked = check(schema, body);
    expect(checked.ok ? [] : checked.problems.map((problem) => problem.path)).toEqual([path]);
  }); // prettier-ignore
});
