import { thickToppingShare } from '../../facts/keeping.js';
import { hygieneOf } from '../../ingredient/safety/hygiene.js';
import { sumG } from '../../ingredient/mixture.js';
import { goesOnOf, isInOven } from './goes-on.js';
import type { Pantry } from '../../document/pantry.js';
import type { PartHygiene } from '../../ingredient/safety/hygiene.js';
import type { PlacedRow } from './components.js';

/** Something that lies in or on the piece, of one use and one moment. */
export type PartOnPiece = PartHygiene & {
  readonly use: 'filling' | 'topping';
  /** It meets the oven. */ readonly baked: boolean;
  readonly massG: number;
  readonly names: readonly string[];
};

/**
 * Fillings and toppings of a batch as food: loose rows of one use and moment together, each preparation by itself as well, since it is
 * mixed by itself. A topping that is thin and bakes is left out, a wash too: they dry with the piece.
 *
 * Units    g; `doughG` the dough of the batch.
 * Throws   nothing.
 * Findings none: keep judges.
 * Source   ingredient/hygiene; thin as facts/keeping thickToppingShare (judgement).
 */
export function partsOnPiece(rows: readonly PlacedRow[], pantry: Pantry, packed: boolean, doughG: number): PartOnPiece[] {
  const groups = new Map<string, PlacedRow[]>();
  for (const placed of rows) {
    const { row, portion } = placed;
    if ((row.use !== 'filling' && row.use !== 'topping') || portion.amountG <= 0) continue;
    const madeFrom = portion.ingredient.madeFrom;
    const alone = madeFrom && 'preparationId' in madeFrom ? row.key : '';
    const key = [row.use, isInOven(row) ? 'oven' : goesOnOf(row)!.at, alone].join(' ');
    groups.set(key, [...(groups.get(key) ?? []), placed]);
  }
  return [...groups.values()].flatMap((placed) => {
    const portions = placed.map(({ portion }) => portion);
    const { row } = placed[0]!;
    const [massG, baked] = [sumG(portions), isInOven(row)];
    const use = row.use as PartOnPiece['use'];
    if (use === 'topping' && baked && massG < thickToppingShare.value * doughG) return [];
    return [
      {
        ...hygieneOf(pantry, portions, { heated: baked, packed }),
        use,
        baked,
        massG,
        names: portions.map(({ ingredient }) => ingredient.name),
      },
    ];
  });
}
