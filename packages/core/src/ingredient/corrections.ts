import { InputError, within } from '../errors.js';
import type { Composition, Ingredient } from '../document/pantry.js';
import type { Fact } from '../facts/fact.js';

type Correctable = { readonly name: string; readonly unit: string; readonly low: number; readonly high: number };
const share = (name: string): Correctable => ({ name, unit: 'share', low: 0, high: 1 });

/** Every number of an ingredient that a kitchen may correct, with what the core takes for it. */
export const correctableFields: Readonly<Record<string, Correctable>> = {
  'composition.waterShare': share('Water'),
  'composition.proteinShare': share('Protein'),
  'composition.fatShare': share('Fat'),
  'composition.saturatedFatShare': share('of it saturated'),
  'composition.sugarsShare': share('Sugars'),
  'composition.starchShare': share('Starch'),
  'composition.fibreShare': share('Fibre'),
  'composition.ashShare': share('Ash'),
  'composition.otherShare': share('Other'),
  'composition.sodiumShare': share('Sodium'),
  spoonedGPerMl: { name: 'Spooned cup', unit: 'g/ml', low: 0.05, high: 3 },
  packedGPerMl: { name: 'Packed cup', unit: 'g/ml', low: 0.05, high: 3 },
  teaspoonG: { name: 'Level teaspoon', unit: 'g', low: 0.1, high: 15 },
  pieceG: { name: 'One piece', unit: 'g', low: 0.01, high: 10000 },
  waterHoldGPerG: { name: 'Water hold, cold', unit: 'g/g', low: 0, high: 40 },
  setsAtC: { name: 'Starch sets from', unit: 'C', low: 40, high: 110 },
  xanthanPerG: { name: 'Binds like xanthan', unit: 'g/g', low: 0, high: 2 },
  grit: { name: 'Grit', unit: '0 to 3', low: 0, high: 3 },
  flavour: { name: 'Flavour', unit: '0 to 3', low: 0, high: 3 },
  particleUm: { name: 'Grind', unit: 'um', low: 1, high: 10000 },
};

/** What a kitchen knows better than the table: numbers with where they come from, allergens as its label lists them. */
export type IngredientChange = {
  readonly corrected: Readonly<Record<string, Fact>>;
  readonly allergens?: readonly string[];
  readonly lactoseFree?: true;
};

/** Parts that sum to the whole; saturated fat is in fat, sodium in ash. */
export const wholeParts = [
  'waterShare',
  'proteinShare',
  'fatShare',
  'sugarsShare',
  'starchShare',
  'fibreShare',
  'ashShare',
  'otherShare',
] as const;
/** How far label values, each rounded, may sum past the whole. */
const ROUNDING_SHARE = 0.02;

/**
 * An ingredient with a kitchen's corrections.
 *
 * Parts must still sum to the whole: starch, which the table has by difference, takes up what the corrections leave; where starch is
 * corrected itself, or cannot give enough, the uncorrected parts share the rest in proportion.
 *
 * Units    shares 0..1; others as correctableFields say.
 * Throws   InputError at the field for one that cannot be corrected or is out of range, at composition when parts sum past the whole.
 * Findings none.
 * Source   the label or measurement that each correction names.
 *
 * @example
 * // Sorghum, 8.4 % protein in the table; the bag says 10.2 %: starch goes from 68.2 to 66.4 %.
 */
export function withCorrections(ingredient: Ingredient, { corrected, allergens, lactoseFree }: IngredientChange): Ingredient {
  const composition: Record<string, number> = { ...ingredient.composition };
  const other: Record<string, number> = {};
  const set = new Set<string>();
  for (const [field, { value }] of Object.entries(corrected)) {
    const about = correctableFields[field];
    if (!about) throw new InputError(field, 'is not a value that can be corrected');
    within(field, value, about.low, about.high, about.unit);
    const part = /^composition\.(\w+)$/.exec(field)?.[1];
    if (part === undefined) other[field] = value;
    else {
      composition[part] = value;
      set.add(part);
    }
  }
  balance(composition, set);
  return {
    ...ingredient,
    ...other,
    composition: composition as unknown as Composition,
    ...(allergens ? { allergens, labelRead: true } : {}),
    ...(lactoseFree ? { lactoseFree } : {}),
    corrected,
  };
}

function balance(composition: Record<string, number>, set: ReadonlySet<string>): void {
  const parts = wholeParts.filter((part) => set.has(part));
  if (parts.length === 0) return;
  const held = parts.reduce((sum, part) => sum + composition[part]!, 0);
  if (held > 1 + ROUNDING_SHARE) {
    throw new InputError('composition', `the corrected parts sum to ${(held * 100).toFixed(1)} g in 100 g: at most 100`);
  }
  const free = wholeParts.filter((part) => !set.has(part));
  const rest = Math.max(0, 1 - held);
  const without = free.filter((part) => part !== 'starchShare').reduce((sum, part) => sum + composition[part]!, 0);
  if (free.includes('starchShare') && without <= rest) {
    composition['starchShare'] = rest - without;
    return;
  }
  const sum = free.reduce((total, part) => total + composition[part]!, 0);
  for (const part of free) composition[part] = sum > 0 ? (composition[part]! * rest) / sum : 0;
  // Rounded label values that pass 100 g are scaled back onto it.
  if (held > 1) for (const part of parts) composition[part] = composition[part]! / held;
}
