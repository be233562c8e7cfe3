import { coreVersion, editsBetween, type Kitchen, type Lot, type Pantry } from '@north-leaf/core';
import type { FormulaVersion } from '@north-leaf/contracts';

/**
 * Whether what was worked out when a version was saved is still true: the same core, the same kitchen, the same ingredients, and the same
 * lots of them but for how much is left. What is not so must not stand as a number for a moment.
 * The day alone moves no number; what it finds of dates follows with the answer, and until then nothing found can be pressed.
 */
export function isAsSaved(saved: FormulaVersion, kitchen: Kitchen, pantry: Pantry): boolean {
  if (saved.coreVersion !== coreVersion) return false;
  const { ingredients } = saved.pantry;
  const lotsOf = ({ lots }: Pantry) =>
    Object.fromEntries(Object.entries(lots).flatMap(([id, lot]) => (ingredients[lot.ingredientId] ? [[id, withoutRest(lot)]] : [])));
  const now = Object.fromEntries(Object.keys(ingredients).map((id) => [id, pantry.ingredients[id]]));
  return same(saved.kitchen, kitchen) && same(ingredients, now) && same(lotsOf(saved.pantry), lotsOf(pantry));
}

const withoutRest = ({ onHandG: _rest, ...lot }: Lot) => lot;
const same = (a: unknown, b: unknown) => editsBetween(a, b).length === 0;
