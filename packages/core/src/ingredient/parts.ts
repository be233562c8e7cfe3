import { portionOf } from './mixture.js';
import type { Pantry } from '../document/pantry.js';
import type { Portion } from './mixture.js';

/** A preparation in a preparation in a preparation: deeper than this is a ring. */
const DEEPEST = 6;

/**
 * A portion taken apart into what it was made from, down to what was bought; itself where it was bought.
 *
 * Units    g.
 * Throws   nothing; a part that is no longer in the pantry is left whole, a ring is cut.
 * Findings none.
 * Source   the parts that every made ingredient carries; the lots that a batch was made of.
 */
export function leavesOf(pantry: Pantry, portion: Portion, depth = 0, madeOf = portion.lot?.madeOf ?? []): Portion[] {
  const { parts } = portion.ingredient;
  if (!parts || parts.length === 0 || depth >= DEEPEST) return [portion];
  return parts.flatMap(({ ingredientId, gPerG, lotId }) => {
    const amountG = gPerG * portion.amountG;
    if (!pantry.ingredients[ingredientId]) return [{ ...portion, amountG }];
    // A batch is of the bags that it was made of, whichever is open today.
    const bags = madeOf.filter((one) => one.ingredientId === ingredientId && one.usedG > 0);
    const bagsG = bags.reduce((sum, { usedG }) => sum + usedG, 0);
    const taken = bags.length > 0 ? bags.map((bag) => ({ lotId: bag.lotId, share: bag.usedG / bagsG })) : [{ lotId, share: 1 }];
    return taken.flatMap((one) => leavesOf(pantry, portionOf(pantry, '', ingredientId, amountG * one.share, one.lotId), depth + 1, madeOf));
  });
}

/**
 * A portion as it is taken from the shelf: a batch of a preparation that stands there, else what it was made from.
 *
 * Units    g.
 * Throws   nothing; as leavesOf.
 * Findings none.
 * Source   a lot of what was made here is what it is; without one it is made now, of its parts.
 */
export function takenFrom(pantry: Pantry, portion: Portion, depth = 0): Portion[] {
  const { parts } = portion.ingredient;
  if (portion.lot || !parts || parts.length === 0 || depth >= DEEPEST) return [portion];
  return parts.flatMap(({ ingredientId, gPerG, lotId }) =>
    pantry.ingredients[ingredientId]
      ? takenFrom(pantry, portionOf(pantry, '', ingredientId, gPerG * portion.amountG, lotId), depth + 1)
      : [{ ...portion, amountG: gPerG * portion.amountG }],
  );
}

/**
 * Every ingredient id that a list of ids reaches through what is made from what.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * [...reachedIds({ a: { parts: [{ ingredientId: 'b' }] } }, ['a'])]; // => ['a', 'b']
 */
export function reachedIds(ingredients: Pantry['ingredients'], ids: Iterable<string>): Set<string> {
  const reached = new Set<string>();
  const todo = [...ids];
  for (let id = todo.pop(); id !== undefined; id = todo.pop()) {
    if (reached.has(id)) continue;
    reached.add(id);
    todo.push(...(ingredients[id]?.parts ?? []).map(({ ingredientId }) => ingredientId));
  }
  return reached;
}

/** Grams of everything on the shelf that goes into several portions, by ingredient. */
export function leafAmounts(pantry: Pantry, portions: readonly Portion[]): Map<string, number> {
  const sums = new Map<string, number>();
  for (const { ingredient, amountG } of portions.flatMap((portion) => takenFrom(pantry, portion))) {
    sums.set(ingredient.id, (sums.get(ingredient.id) ?? 0) + amountG);
  }
  return sums;
}
