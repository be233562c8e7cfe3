import type { Ingredient } from '../../document/pantry.js';
import type { Portion } from '../mixture.js';

/** In place of codes: nobody read this label. */
export const UNREAD = 'label.unread:possible';
const OF_KIND: Readonly<Partial<Record<Ingredient['kind'], readonly string[]>>> = {
  dairy: ['us.milk', 'eu.milk'],
  egg: ['us.egg', 'eu.egg'],
};

/**
 * The codes on an ingredient, and those that its kind holds whether or not they were ticked.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   EU Regulation 1169/2011, Annex II; US FALCPA and FASTER, from memory.
 *
 * @example
 * allergenCodes(ingredients.butter_unsalted); // => ['us.milk', 'eu.milk']
 */
export const allergenCodes = ({ allergens, kind }: Pick<Ingredient, 'allergens' | 'kind'>): readonly string[] => {
  const more = (OF_KIND[kind] ?? []).filter((code) => !allergens.includes(code));
  return more.length === 0 ? allergens : [...allergens.filter((code) => !more.includes(code.replace(':possible', ''))), ...more];
};

/** An allergen code, and whether every maker's product holds it or only some. */
export type Allergen = { readonly code: string; readonly possible: boolean };

/**
 * Allergens of several portions: the union of their parts, certain before possible.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   codes of US (9) and EU (14) lists on every ingredient; the label in hand always wins.
 */
export function allergensOf(portions: readonly Portion[]): Allergen[] {
  const possible = new Map<string, boolean>();
  for (const { ingredient, amountG } of portions) {
    if (amountG <= 0) continue;
    for (const coded of [...allergenCodes(ingredient), ...(ingredient.labelRead === false ? [UNREAD] : [])]) {
      const depends = coded.endsWith(':possible');
      const code = depends ? coded.slice(0, -':possible'.length) : coded;
      possible.set(code, depends && (possible.get(code) ?? true));
    }
  }
  return [...possible]
    .map(([code, depends]) => ({ code, possible: depends }))
    .sort((a, b) => Number(a.possible) - Number(b.possible) || a.code.localeCompare(b.code));
}

/** What a change brings and takes away: new where it was not, or was only possible; gone the other way round. */
export function allergenChange(
  before: readonly Portion[],
  after: readonly Portion[],
): { readonly brought: Allergen[]; readonly gone: Allergen[] } {
  const [was, is] = [allergensOf(before), allergensOf(after)];
  const without = (list: readonly Allergen[], others: readonly Allergen[]) =>
    list.filter(({ code, possible }) => !others.some((other) => other.code === code && other.possible === possible));
  return { brought: without(is, was), gone: without(was, is) };
}

/** What an ingredient may hurt with, in plain words. */
export const hazards = [
  'gluten',
  'oats',
  'milk',
  'egg',
  'nuts',
  'peanut',
  'soy',
  'sesame',
  'fish',
  'lupin',
  'mustard',
  'celery',
  'sulphites',
] as const;
export type Hazard = (typeof hazards)[number];
const codesOf: Readonly<Record<Hazard, RegExp>> = {
  gluten: /gluten_cereal|^us\.wheat/,
  oats: /gluten_cereal:oats/,
  milk: /\.milk/,
  egg: /\.egg/,
  nuts: /\.nuts|\.tree_nut/,
  peanut: /\.peanut/,
  soy: /\.soy/,
  sesame: /\.sesame/,
  fish: /\.fish/,
  lupin: /\.lupin/,
  mustard: /\.mustard/,
  celery: /\.celery/,
  sulphites: /\.sulphites/,
};

/**
 * Hazards of an ingredient, those that depend on its maker too.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   its allergen codes and gluten class; the label in hand wins.
 *
 * @example
 * hazardsOf(ingredients.oats_rolled); // => ['gluten', 'oats']
 */
export function hazardsOf({ allergens, gluten }: Pick<Ingredient, 'allergens' | 'gluten'>): Hazard[] {
  return hazards.filter((hazard) => (hazard === 'gluten' && gluten === 'contains') || allergens.some((code) => codesOf[hazard].test(code)));
}
