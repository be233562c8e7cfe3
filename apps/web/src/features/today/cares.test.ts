import { demoKitchen, publishedIngredients, type Kitchen, type Lot } from '@north-leaf/core';
import type { PantryBook } from '@north-leaf/contracts';
import { caresOf } from './cares';

const ON = '2026-03-10';
const book = (...lots: readonly Lot[]): PantryBook =>
  ({
    ingredients: publishedIngredients(),
    lots: Object.fromEntries(lots.map((lot) => [lot.id, lot])),
    revisions: { ingredients: {}, lots: {}, preparations: {} },
    on: ON,
  }) as unknown as PantryBook;
const lot = (more: Partial<Lot>): Lot => ({ id: 'a', ingredientId: 'butter_unsalted', code: '7', ...more });
/** Ovens that were measured lately: nothing is said of them. */
const kitchen: Kitchen = {
  ...demoKitchen,
  ovens: demoKitchen.ovens.map((oven) => ({ ...oven, readings: [{ dialC: 180, trueC: 178, at: `${ON}T08:00:00Z` }] })),
};
const words = (...lots: readonly Lot[]) => caresOf(kitchen, book(...lots)).map(({ text, state }) => `${state}: ${text}`);

describe('what to look after today', () => {
  it('names a lot two days before its day, on the day, and after it', () => {
    expect(words(lot({ bestByOn: '2026-03-13' }))).toEqual([]);
    expect(words(lot({ bestByOn: '2026-03-12' }))).toEqual(['watch: Butter lot 7 ends in 2 days']);
    expect(words(lot({ bestByOn: '2026-03-11' }))).toEqual(['watch: Butter lot 7 ends in 1 day']);
    expect(words(lot({ bestByOn: ON }))).toEqual(['watch: Butter lot 7 ends today']);
    expect(words(lot({ bestByOn: '2026-03-09' }))).toEqual(['fix: Butter lot 7 ended 1 day ago']);
  });

  it('says of a use-by day that it is past: it is not to be tasted', () => {
    expect(words(lot({ useByOn: '2026-03-08' }))).toEqual(['fix: Butter lot 7 past its use-by day 2 days: do not use, do not taste']);
  });

  it('goes by the use-by day where a bag has both', () => {
    expect(words(lot({ useByOn: '2026-03-11', bestByOn: '2026-09-01' }))).toHaveLength(1);
  });

  it('leaves alone what is empty or set aside', () => {
    expect(words(lot({ bestByOn: '2026-01-01', onHandG: 0 }))).toEqual([]);
    expect(words(lot({ bestByOn: '2026-01-01', setAside: 'smells' }))).toEqual([]);
  });

  it('names a flour without a report, and one over the limit with both numbers', () => {
    expect(words(lot({ ingredientId: 'sorghum' }))).toEqual([expect.stringMatching(/^fix: Sorghum flour.* lot 7 not proven$/)]);
    const over = lot({ ingredientId: 'sorghum', report: { mgPerKg: 34, below: false, method: 'R5 ELISA', on: '2026-02-01' } });
    expect(words(over)).toEqual([expect.stringMatching(/34 mg\/kg, limit 10$/)]);
  });

  it('sends an oven that was never measured to its own page', () => {
    const unread: Kitchen = { ...kitchen, ovens: [{ ...kitchen.ovens[0]!, readings: [] }] };
    expect(caresOf(unread, book())).toEqual([
      expect.objectContaining({
        state: 'watch',
        to: `/kitchen/ovens/${unread.ovens[0]!.id}`,
        text: expect.stringMatching(/never measured/),
      }),
    ]);
  });
});
