import { coreVersion, demoCrackerV2, demoKitchen, demoLots, publishedIngredients, type Lot } from '@north-leaf/core';
import type { FormulaVersion } from '@north-leaf/contracts';
import { isAsSaved } from './as-saved';

const { sorghum, millet } = publishedIngredients();
const [lot] = demoLots.filter(({ ingredientId }) => ingredientId === 'sorghum') as [Lot];
const [other] = demoLots.filter(({ ingredientId }) => ingredientId === 'millet') as [Lot];
const pantry = { ingredients: { sorghum: sorghum! }, lots: { [lot.id]: lot } };
const saved = {
  coreVersion,
  formula: demoCrackerV2,
  kitchen: demoKitchen,
  pantry: { ...pantry, on: '2026-11-20' },
} as unknown as FormulaVersion;
const today = { ingredients: { ...pantry.ingredients, millet: millet! }, lots: { ...pantry.lots, [other.id]: other }, on: '2026-12-01' };

describe('what was worked out when a version was saved', () => {
  it('stands another day, with less left of a lot, beside what the formula does not read', () => {
    expect(isAsSaved(saved, demoKitchen, { ...today, lots: { ...today.lots, [lot.id]: { ...lot, onHandG: 12 } } })).toBe(true);
  });
  it.each([
    ['another core', { ...saved, coreVersion: '1.0.0' }, demoKitchen, today],
    ['a kitchen that was measured since', saved, { ...demoKitchen, roomC: 27 }, today],
    [
      'an ingredient put right',
      saved,
      demoKitchen,
      { ...today, ingredients: { ...today.ingredients, sorghum: { ...sorghum!, name: 'x' } } },
    ],
    ['a lot set aside', saved, demoKitchen, { ...today, lots: { ...today.lots, [lot.id]: { ...lot, setAside: 'moths' } } }],
    ['a lot more', saved, demoKitchen, { ...today, lots: { ...today.lots, new: { ...lot, id: 'new' } } }],
  ])('does not with %s', (_, version, kitchen, now) => expect(isAsSaved(version, kitchen, now)).toBe(false));
});
