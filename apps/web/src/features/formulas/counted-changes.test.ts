import { demoCrackerV2, type Formula } from '@north-leaf/core';
import { countedChanges } from './counted-changes';

const saved = demoCrackerV2;
const paths = (now: Formula) => countedChanges(saved, now).map(({ path }) => path);

describe('the changes a baker would count', () => {
  it('are none where nothing changed, rows in another order too', () => {
    expect(countedChanges(saved, saved)).toEqual([]);
    expect(countedChanges(saved, { ...saved, rows: [...saved.rows].reverse() })).toEqual([]);
  });

  it('name a row by where it stood, not by where it stands', () => {
    const [first, ...rest] = saved.rows;
    const moved = { ...saved, rows: [...rest, { ...first!, amountG: first!.amountG + 5 }] };
    expect(paths(moved)).toEqual(['/rows/0/amountG']);
  });

  it('count a row that came and one that went', () => {
    const [, ...rest] = saved.rows;
    const added = { ...saved.rows[0]!, key: 'new', ingredientId: 'honey' };
    const found = countedChanges(saved, { ...saved, rows: [...rest, added] });
    expect(found).toHaveLength(2);
    expect(found.some(({ to }) => (to as { ingredientId?: string } | undefined)?.ingredientId === 'honey')).toBe(true);
    expect(found.some(({ path, to }) => path === '/rows/0' && to === undefined)).toBe(true);
  });

  it('take a row of the same thing for the same, though a pasted list gave it another key', () => {
    const pasted = { ...saved, rows: saved.rows.map((row, i) => ({ ...row, key: `p${i}` })) };
    expect(countedChanges(saved, pasted)).toEqual([]);
  });

  it('are silent about how an amount was typed, and count the order of mixing as one', () => {
    const typed = { ...saved, rows: saved.rows.map((row, i) => (i === 0 ? { ...row, entered: '1 cup' } : row)) };
    expect(countedChanges(saved, typed)).toEqual([]);
    expect(paths({ ...saved, mix: saved.mix.slice(1) })).toEqual(['/mix']);
  });
});
