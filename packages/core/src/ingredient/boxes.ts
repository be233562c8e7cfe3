import { publishedIngredients } from './published.js';
import type { Pantry } from '../document/pantry.js';
import type { Portion } from './mixture.js';

/**
 * A boxed or ready blend as what is in it; anything else, and a box nobody knows the make-up of, as it is.
 *
 * Units    g.
 * Throws   nothing.
 * Findings none.
 * Source   parts of a ready blend; facts/boxes for the generic ones.
 */
export function openedBox(pantry: Pantry, portion: Portion): Portion[] {
  const { ingredient, amountG } = portion;
  if (ingredient.kind !== 'blend') return [portion];
  const parts = ingredient.parts ?? ingredient.usualParts ?? [];
  const known = parts.flatMap(({ ingredientId, gPerG }): Portion[] => {
    const of = pantry.ingredients[ingredientId] ?? publishedIngredients()[ingredientId];
    return of ? [{ ingredient: of, amountG: gPerG * amountG, lot: undefined } as Portion] : [];
  });
  return known.length === parts.length && known.length > 0 ? known : [portion];
}

/** A box whose flours and starches nobody knows. */
export const isClosedBox = (pantry: Pantry, portion: Portion): boolean =>
  portion.ingredient.kind === 'blend' && openedBox(pantry, portion)[0] === portion;
