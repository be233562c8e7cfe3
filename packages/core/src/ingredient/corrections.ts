import { InputError, within } from '../errors.js';
import { numbersOf, patched } from '../document/field.js';
import { compositionFields, ingredientFields } from '../document/pantry.js';
import type { NumberField } from '../document/field.js';
import type { Composition, Ingredient, IngredientChange } from '../document/pantry.js';

/** Every number of an ingredient that a kitchen may correct, by where it stands. */
export const correctableFields: Readonly<Record<string, NumberField>> = Object.fromEntries(
  numbersOf(ingredientFields).flatMap(({ path, field }) => (field.correctable ? [[path, field]] : [])),
);

/** Parts that sum to the whole; saturated fat is in fat, sodium in ash. */
export const wholeParts = Object.entries(compositionFields).flatMap(([part, field]) =>
  (field as NumberField).part === 'whole' ? [part as WholePart] : [],
);
/** Parts that every ingredient has. */
type WholePart = { [K in keyof Composition]-?: undefined extends Composition[K] ? never : K }[keyof Composition];
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
  for (const [field, { value }] of Object.entries(corrected)) {
    const about = correctableFields[field];
    if (!about) throw new InputError(field, 'is not a value that can be corrected');
    within(field, value, about.low, about.high, about.unit);
  }
  const said = patched(ingredient, Object.fromEntries(Object.entries(corrected).map(([field, { value }]) => [field, value])));
  return {
    ...said,
    composition: capped(balanced(said.composition, new Set(wholeParts.filter((part) => `composition.${part}` in corrected))), corrected),
    ...(allergens ? { allergens, labelRead: true } : {}),
    ...(lactoseFree ? { lactoseFree } : {}),
    corrected,
  };
}

/** What was corrected stays, the rest gives way. */
function balanced(was: Composition, set: ReadonlySet<WholePart>): Composition {
  const parts = wholeParts.filter((part) => set.has(part));
  if (parts.length === 0) return was;
  const composition: Record<WholePart, number> = { ...was };
  const sumOf = (some: readonly WholePart[]) => some.reduce((sum, part) => sum + composition[part], 0);
  const held = sumOf(parts);
  if (held > 1 + ROUNDING_SHARE) {
    throw new InputError('composition', `the corrected parts sum to ${(held * 100).toFixed(1)} g in 100 g: at most 100`);
  }
  const free = wholeParts.filter((part) => !set.has(part));
  const rest = Math.max(0, 1 - held);
  const without = sumOf(free.filter((part) => part !== 'starchShare'));
  if (free.includes('starchShare') && without <= rest) return { ...was, ...composition, starchShare: rest - without };
  const sum = sumOf(free);
  for (const part of free) composition[part] = sum > 0 ? (composition[part] * rest) / sum : 0;
  // Rounded label values that pass 100 g are scaled back onto it.
  if (held > 1) for (const part of parts) composition[part] = composition[part] / held;
  return { ...was, ...composition };
}

/** What lies within a part is no more than it: added sugars, where the label has fewer sugars than the table. */
function capped(composition: Composition, corrected: IngredientChange['corrected']): Composition {
  const over = Object.entries(compositionFields as Readonly<Record<string, NumberField>>).flatMap(([name, { within: parent }]) => {
    const [value, most] = [composition[name as keyof Composition], composition[parent as keyof Composition]];
    return value !== undefined && most !== undefined && value > most && !(`composition.${name}` in corrected) ? [[name, most]] : [];
  });
  return { ...composition, ...Object.fromEntries(over) };
}
