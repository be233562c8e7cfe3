import { families } from '../../facts/families.js';
import { isCrumb, isEgg, isGum, isNut, isProteinType, isStarch } from '../../ingredient/roles.js';
import { familiesNamedIn } from '../../entry/title.js';
import type { Family, Window } from '../../facts/families.js';
import type { Ingredient, Pantry } from '../../document/pantry.js';
import type { ListedAmount } from './formula-from-list.js';

/** What a list is measured by, percent of its blend. */
export type ListPercents = { readonly fat: number; readonly sugar: number; readonly egg: number; readonly water: number };
export type GuessedFamily = {
  readonly family: string;
  /** The word of the title that says so; left out: its amounts alone do. */ readonly word?: string;
  /** How far its amounts are from the middle of the family's: 1 is the edge of a window. */ readonly off: number;
};
export type FamilyGuess = {
  /** Nearest first. */ readonly nearest: readonly GuessedFamily[];
  /** Null where the list has no flour. */ readonly percents: ListPercents | null;
};

/** A title that names a family outweighs amounts that lie this many half windows off: a title is rarely wrong, an amount often odd. */
const WORD_IS_WORTH = 4;

/**
 * The families that a recipe may be of: by what its title calls it, and by its fat, sugar, egg and water against each family's windows.
 *
 * Units    percent of the blend; `off` in half windows, the root of the mean square of the four.
 * Throws   nothing.
 * Findings none.
 * Source   windows facts/families; words facts/family-words (common practice, no source); the weighing of both is judgement.
 *
 * @param title as it was written; left out: by amounts alone
 */
export function guessFamily(list: readonly ListedAmount[], { ingredients }: Pick<Pantry, 'ingredients'>, title?: string): FamilyGuess {
  const known = list.flatMap(({ ingredientId, massG, part }) => {
    const of = ingredients[ingredientId];
    return of && massG > 0 && (part === undefined || part.use === 'dough') ? [{ of, massG }] : [];
  });
  const percents = percentsOf(known);
  const words = title === undefined ? new Map<string, string>() : familiesNamedIn(title);
  const nearest = Object.values(families)
    .map((family): GuessedFamily => {
      const word = words.get(family.id);
      return { family: family.id, off: percents ? distance(percents, family, known) : 0, ...(word === undefined ? {} : { word }) };
    })
    .sort((a, b) => rank(a) - rank(b));
  return { nearest, percents };

  function rank({ off, word }: GuessedFamily): number {
    return off - (word === undefined ? 0 : WORD_IS_WORTH);
  }
}

type Amount = { readonly of: Ingredient; readonly massG: number };
const isGrain = (one: Ingredient) => isProteinType(one) || isStarch(one) || isCrumb(one) || one.kind === 'blend';

function percentsOf(list: readonly Amount[]): ListPercents | null {
  const grains = list.some(({ of }) => isGrain(of));
  const isBlend = ({ of }: Amount) => isGrain(of) || isGum(of) || (!grains && isNut(of));
  const sum = (of: readonly Amount[], share: (one: Ingredient) => number) => of.reduce((g, one) => g + one.massG * share(one.of), 0);
  const blendG = sum(list.filter(isBlend), () => 1);
  if (blendG <= 0) return null;
  const rows = list.filter((one) => !isBlend(one));
  return {
    // All fat counts, the flours' own too.
    fat: (100 * sum(list, ({ composition }) => composition.fatShare)) / blendG,
    sugar: (100 * sum(rows, ({ composition }) => composition.sugarsShare)) / blendG,
    egg: (100 * sum(rows, (one) => (isEgg(one) ? 1 : 0))) / blendG,
    water: (100 * sum(rows, ({ composition }) => composition.waterShare)) / blendG,
  };
}

/** A window of nothing but 0 is as wide as a slip of the hand. */
const LEAST_HALF = 3;

function distance({ fat, sugar, egg, water }: ListPercents, family: Family, list: readonly Amount[]): number {
  const offs = [off(fat, family.fatPercent), off(sugar, family.sugarPercent), off(egg, family.eggPercent), off(water, family.waterPercent)];
  const crumbs = list.some(({ of }) => isCrumb(of));
  // Crumb is what a crumb crust is made of, and nothing else is.
  const base = (family.base === 'crumb') === crumbs ? 0 : 4;
  return Math.sqrt((offs.reduce((sum, one) => sum + one ** 2, 0) + base ** 2) / offs.length);
}
const off = (value: number, [low, middle, high]: Window) =>
  (value - middle) / Math.max(LEAST_HALF, value < middle ? middle - low : high - middle);
