import { daysAfter } from '../units/days.js';
import { within } from '../errors.js';
import { keepingOf } from './safety/hygiene.js';
import { lotsInUse, portionOf } from './mixture.js';
import { takenFrom } from './parts.js';
import type { Formula } from '../document/formula.js';
import type { Lot, Pantry } from '../document/pantry.js';
import type { Preparation } from '../document/preparation.js';

/** g weighed of a row from each bag, by row key and lot. */
export type Bags = Readonly<Record<string, Readonly<Record<string, number>>>>;
/** What a bake took from a lot for one row ('b2' of the blend, 'r1' of the rows). */
export type StockUse = { readonly rowKey: string; readonly lotId: string; readonly usedG: number };

/**
 * What a bake takes from the lots of a pantry: what was weighed, else what was planned.
 *
 * The lot that the row names first, else in the order a baker reaches; what one lot cannot give, the next does. The last one takes
 * what is left over, however little it was thought to hold. A preparation takes from its batches, else from the lots of its parts. Where a hand emptied one
 * bag and went on with the next, each gives what was weighed from it.
 *
 * Units    g.
 * Throws   InputError where the pantry no longer has an ingredient.
 * Findings none.
 * Source   first expired, first out: common practice, no source.
 */
export function stockUses(
  { formula, factor }: { readonly formula: Pick<Formula, 'blend' | 'blendG' | 'rows'>; readonly factor: number },
  weighed: Readonly<Record<string, number>>,
  pantry: Pantry,
  bags: Bags = {},
): StockUse[] {
  const wanted = [
    ...formula.blend.rows.map(({ key, ingredientId, share, lotId }) => ({
      key,
      ingredientId,
      lotId,
      amountG: share * formula.blendG * factor,
    })),
    ...formula.rows.map(({ key, ingredientId, amountG, lotId }) => ({ key, ingredientId, lotId, amountG: amountG * factor })),
  ];
  const left = new Map(Object.values(pantry.lots).map(({ id, onHandG }) => [id, onHandG ?? Infinity]));
  return wanted.flatMap(({ key, ingredientId, lotId, amountG }) => {
    const several = Object.entries(bags[key] ?? {}).filter(([id]) => pantry.lots[id]?.ingredientId === ingredientId);
    if (several.length > 1) return several.flatMap(([id, usedG]) => (usedG > 0 ? [{ rowKey: key, lotId: id, usedG }] : []));
    const portion = portionOf(pantry, ingredientId, ingredientId, weighed[key] ?? amountG, lotId);
    return takenFrom(pantry, portion).flatMap(({ ingredient, lot, amountG: leafG }) => {
      const lots = [...(lot ? [lot] : []), ...lotsInUse(pantry, ingredient.id).filter(({ id }) => id !== lot?.id)];
      let rest = leafG;
      return lots.flatMap(({ id }, i): StockUse[] => {
        const usedG = i === lots.length - 1 ? rest : Math.min(rest, Math.max(0, left.get(id)!));
        if (usedG <= 0) return [];
        rest -= usedG;
        left.set(id, left.get(id)! - usedG);
        return [{ rowKey: key, lotId: id, usedG }];
      });
    });
  });
}

/**
 * A batch of a preparation as a lot of the pantry: what of it there is, the day it was made and keeps to, and the lots it was made of.
 *
 * Units    g, days.
 * Throws   InputError at times out of 0.01..1000; as fromPreparation.
 * Findings none.
 * Source   the preparation's own keeping, no longer than keepingOf lets it; stockUses.
 *
 * @param batch its id and code, how many times the preparation as written, and where it stands
 */
export function batchOf(
  preparation: Preparation,
  { id, code, times, placeId }: { readonly id: string; readonly code: string; readonly times: number; readonly placeId?: string },
  pantry: Pantry & { readonly on: string },
): Lot {
  within('times', times, 0.01, 1000, 'times');
  // Refuses what cannot be made.
  const { mostDays } = keepingOf(preparation, pantry);
  const rawG = preparation.rows.reduce((sum, { amountG }) => sum + amountG, 0);
  const rows = preparation.rows.map((row) => ({ ...row, use: 'filling' as const }));
  const uses = stockUses({ formula: { blend: { name: '', rows: [] }, blendG: 0, rows }, factor: times }, {}, pantry);
  const madeOf = new Map<string, number>();
  for (const { lotId, usedG } of uses) madeOf.set(lotId, (madeOf.get(lotId) ?? 0) + usedG);
  return {
    id,
    ingredientId: preparation.id,
    code,
    onHandG: Number(((rawG - preparation.boiledOffG - preparation.drainedG) * times).toFixed(2)),
    madeOn: pantry.on,
    // Written down for longer than it is safe, it is kept no longer than that.
    useByOn: daysAfter(pantry.on, Math.floor(Math.min(preparation.keepDays, mostDays ?? Infinity))),
    ...(placeId === undefined ? {} : { placeId }),
    madeOf: [...madeOf].map(([lotId, usedG]) => ({ ingredientId: pantry.lots[lotId]!.ingredientId, lotId, usedG })),
  };
}
