import { InputError } from '../errors.js';
import type { BlendRow } from '../document/formula.js';

/**
 * A blend with one share set and the others sharing the change, so that shares still sum to 1.
 *
 * Pinned rows stay put; the rest keep their proportions to each other.
 *
 * Units    shares 0..1.
 * Throws   InputError at blend.rows[i].share when the pinned rows leave no room for it, or no other row can give.
 * Findings none.
 * Source   arithmetic.
 *
 * @example
 * withShare([{ share: 0.5 }, { share: 0.3 }, { share: 0.2 }], 0, 0.6).map(({ share }) => share); // => [0.6, 0.24, 0.16]
 */
export function withShare(rows: readonly BlendRow[], index: number, share: number): BlendRow[] {
  const path = `blend.rows[${index}].share`;
  if (!(share >= 0 && share <= 1)) throw new InputError(path, `must be from 0 to 100 %, got ${Number((share * 100).toPrecision(6))}`);
  const gives = (row: BlendRow, i: number) => i !== index && row.pinned !== true;
  const held = rows.reduce((sum, row, i) => (i !== index && row.pinned ? sum + row.share : sum), 0);
  const left = 1 - held - share;
  const free = rows.reduce((sum, row, i) => (gives(row, i) ? sum + row.share : sum), 0);
  if (left < -1e-9) throw new InputError(path, `must be at most ${((1 - held) * 100).toFixed(1)} %: pinned rows hold the rest`);
  const givers = rows.filter(gives).length;
  if (givers === 0 && left > 1e-9) throw new InputError(path, 'cannot change: every other row is pinned');
  return rows.map((row, i) => {
    if (i === index) return { ...row, share };
    if (!gives(row, i)) return row;
    return { ...row, share: free > 0 ? (row.share * Math.max(0, left)) / free : Math.max(0, left) / givers };
  });
}

/**
 * Without one row: the rest grow to fill its place.
 *
 * Units    shares of the blend, summing to 1.
 * Throws   InputError when the rest are all pinned.
 * Findings none.
 * Source   none.
 *
 * @example
 * withoutRow([{ key: 'a', ingredientId: 'x', share: 0.5 }, { key: 'b', ingredientId: 'y', share: 0.3 }, { key: 'c', ingredientId: 'z', share: 0.2 }], 0).map(({ share }) => Number(share.toFixed(2))); // => [0.6, 0.4]
 */
export function withoutRow(rows: readonly BlendRow[], index: number): BlendRow[] {
  return withShare(rows, index, 0).filter((_, i) => i !== index);
}
