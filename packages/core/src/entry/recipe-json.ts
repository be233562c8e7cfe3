import { mixWords } from './mix-words.js';
import type { Formula, RowUse } from '../document/formula.js';
import type { Pantry } from '../document/pantry.js';

/**
 * The ingredient lines in a text: those of a schema.org Recipe where it is one (alone, in a list or in a graph), else the text itself.
 *
 * Units    none.
 * Throws   nothing; JSON that is no recipe is a text like any other.
 * Findings none.
 * Source   schema.org Recipe, JSON-LD; property recipeIngredient, and its older name ingredients.
 *
 * @example
 * linesOf('120 g rice flour').name; // => null
 */
export function linesOf(text: string): { readonly name: string | null; readonly lines: string } {
  const recipe = recipeIn(parsed(text));
  if (!recipe) return { name: null, lines: text };
  const list = recipe['recipeIngredient'] ?? recipe['ingredients'];
  const lines = Array.isArray(list) ? list.filter((line) => typeof line === 'string') : typeof list === 'string' ? [list] : [];
  return { name: typeof recipe['name'] === 'string' ? recipe['name'] : null, lines: lines.join('\n') };
}

/**
 * A formula as a schema.org Recipe: grams of every ingredient, blend and dough, and the mixing steps.
 *
 * Units    g, one decimal.
 * Throws   nothing.
 * Findings none.
 * Source   schema.org Recipe, JSON-LD.
 */
export function recipeOf(formula: Formula, pantry: Pantry): Readonly<Record<string, unknown>> {
  const line = (grams: number, ingredientId: string) =>
    `${Number(grams.toFixed(1))} g ${pantry.ingredients[ingredientId]?.name ?? ingredientId}`;
  return {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: formula.name,
    recipeIngredient: [
      ...formula.blend.rows.map(({ share, ingredientId }) => line(share * formula.blendG, ingredientId)),
      ...formula.rows.map(({ amountG, ingredientId, use }) => `${line(amountG, ingredientId)}${useWords[use]}`),
    ],
    recipeInstructions: formula.mix.map((step) => ({ '@type': 'HowToStep', text: mixWords(step, formula, pantry) })),
  };
}

const useWords: Readonly<Record<RowUse, string>> = {
  dough: '',
  rollIn: ', to roll in',
  foldIn: ', folded in',
  wash: ', as a wash',
  topping: ', on top',
  filling: ', for the filling',
  dust: ', for dusting',
};

function parsed(text: string): unknown {
  const body = /<script[^>]*ld\+json[^>]*>([\s\S]*?)<\/script>/i.exec(text)?.[1] ?? text;
  if (!/^\s*[[{]/.test(body)) return null;
  try {
    return JSON.parse(body) as unknown;
  } catch {
    return null;
  }
}

function recipeIn(value: unknown): Record<string, unknown> | null {
  if (Array.isArray(value)) return value.map(recipeIn).find((found) => found !== null) ?? null;
  if (value === null || typeof value !== 'object') return null;
  const one = value as Record<string, unknown>;
  const types = [one['@type']].flat();
  if (types.includes('Recipe')) return one;
  return recipeIn(one['@graph'] ?? one['mainEntity'] ?? null);
}
