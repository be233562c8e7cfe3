import { InputError } from '../errors.js';
import { withoutRow, withShare } from './rebalance.js';

const rows = (...shares: number[]) => shares.map((share, i) => ({ key: `b${i}`, ingredientId: 'sorghum', share }));

describe('sharing a change of the blend', () => {
  it('lets the others keep their proportions', () => {
    expect(withShare(rows(0.5, 0.3, 0.2), 0, 0.6).map(({ share }) => share)).toEqual([
      0.6,
      expect.closeTo(0.24, 12),
      expect.closeTo(0.16, 12),
    ]);
  });
  it('leaves pinned rows where they are', () => {
    const [a, b, c] = withShare([{ ...rows(0.5)[0]!, pinned: true }, ...rows(0.3, 0.2)], 1, 0.4);
    expect([a!.share, b!.share, c!.share]).toEqual([0.5, 0.4, expect.closeTo(0.1, 12)]);
  });
  it('refuses what pinned rows leave no room for, and says how much there is', () => {
    expect(() => withShare([{ ...rows(0.5)[0]!, pinned: true }, ...rows(0.3, 0.2)], 1, 0.6)).toThrow(/at most 50.0 %/);
    expect(() => withShare(rows(1), 0, 0.5)).toThrow(InputError);
    expect(() => withShare(rows(0.5, 0.5), 0, 1.2)).toThrow(/from 0 to 100 %/);
  });
  it('takes a row out and fills its place', () => {
    expect(withoutRow(rows(0.5, 0.3, 0.2), 0).map(({ share }) => share)).toEqual([expect.closeTo(0.6, 12), expect.closeTo(0.4, 12)]);
  });
});
