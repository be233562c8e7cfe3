import { isPourable, isPouredWater } from '../ingredient/roles.js';
import { compositionOf, type Portion } from '../ingredient/mixture.js';
import type { Row } from '../document/formula.js';

/** The liquid that a dough is wetted with, and whose last spoons are held back. */
export type Pours = {
  readonly rowKey: string;
  readonly name: string;
  readonly amountG: number;
  readonly waterShare: number;
};

/**
 * What is poured: water where there is any, else the largest of milk, buttermilk, juice and their like.
 *
 * Units    g, shares 0..1.
 * Throws   nothing; null where eggs, fat and fruit wet it alone.
 * Findings none.
 * Source   common practice, no source: whatever wets the dough is what is held back.
 */
export function poursOf(rows: readonly { readonly row: Row; readonly portion: Portion }[]): Pours | null {
  const inDough = rows.filter(({ row, portion }) => row.use === 'dough' && portion.amountG > 0);
  const water = inDough.filter(({ portion }) => isPouredWater(portion.ingredient));
  const liquids = water.length > 0 ? water : inDough.filter(({ portion }) => isPourable(portion.ingredient));
  if (liquids.length === 0) return null;
  const { row, portion } = liquids.reduce((most, one) => (one.portion.amountG > most.portion.amountG ? one : most));
  const amountG = water.reduce((sum, one) => sum + one.portion.amountG, 0) || portion.amountG;
  return { rowKey: row.key, name: portion.ingredient.name, amountG, waterShare: compositionOf(portion).waterShare };
}
