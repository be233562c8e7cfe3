import { families } from '../facts/families.js';
import { demoPuffSticks } from '../demo/puff-sticks.js';
import { kitchen, pantry, resultOf, worked } from '../worked/a-formula.js';
import { laminated } from './laminated.js';
import type { Formula } from '../document/formula.js';

const { laminate: _none, ...flat } = demoPuffSticks.sheet;
/** The demo's sticks as they would be with all butter rubbed in. */
const mixed: Formula = {
  ...demoPuffSticks,
  rows: demoPuffSticks.rows.map((row) => (row.use === 'rollIn' ? { ...row, use: 'dough', fat: { state: 'rubbed' } } : row)),
  mix: [
    ...demoPuffSticks.mix,
    { key: 'm4', act: 'rub', of: [{ rowKey: 'r3', share: 1 }] },
    { key: 'm5', act: 'beat', of: [{ rowKey: 'r3', share: 0.5 }, { rowKey: 'r2', share: 1 }] }, // prettier-ignore
  ],
  sheet: flat,
};

describe('fat folded into a dough that had it mixed in', () => {
  const folded = laminated(mixed, families['puff']!, kitchen, pantry)!;

  it('keeps every gram, takes the fat out of the mix, and can be worked out', () => {
    expect(folded.rows.map(({ amountG }) => amountG)).toEqual(mixed.rows.map(({ amountG }) => amountG));
    expect(folded.rows.find(({ use }) => use === 'rollIn')).toEqual({
      key: 'r3',
      ingredientId: 'butter_lam',
      amountG: 251.6,
      use: 'rollIn',
    });
    expect(JSON.stringify(folded.mix)).not.toContain('r3');
    expect(folded.mix.map(({ key }) => key)).toEqual(['m1', 'm2', 'm3', 'm5']);
    expect(resultOf(worked(folded), 'sheet').laminate!.layers.fatLayers).toBe(27);
  });

  it('leaves what is rolled in already, and says so where there is nothing to fold or no cold', () => {
    expect(laminated(folded, families['puff']!, kitchen, pantry)!.rows).toEqual(folded.rows);
    const dry = { ...mixed, rows: mixed.rows.filter(({ key }) => key !== 'r3') };
    expect(laminated(dry, families['puff']!, kitchen, pantry)).toBeNull();
    expect(
      laminated(mixed, families['puff']!, { ...kitchen, places: kitchen.places.filter(({ kind }) => kind !== 'fridge') }, pantry),
    ).toBeNull();
  });
});
