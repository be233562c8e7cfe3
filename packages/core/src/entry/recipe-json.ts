import { familiesNamedIn } from './title.js';
import { mixWords, preparationActWords } from './mix-words.js';
import type { Formula, Row, RowUse } from '../document/formula.js';
import type { PreparationAct } from '../document/preparation.js';
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
  if (!recipe) return titled(text);
  const list = recipe['recipeIngredient'] ?? recipe['ingredients'];
  const lines = Array.isArray(list) ? list.filter((line) => typeof line === 'string') : typeof list === 'string' ? [list] : [];
  return { name: typeof recipe['name'] === 'string' ? recipe['name'] : null, lines: lines.join('\n') };
}

/** Amounts begin with a figure, a fraction or a number in words; what is called so often is a title. */
const HAS_FIGURE = /[\p{N}]/u;
const LONGEST_TITLE = 80;

/** A first line without an amount is the title where it stands apart from the list, or names a good. */
function titled(text: string): { readonly name: string | null; readonly lines: string } {
  const lines = text.split(/\r?\n/);
  const at = lines.findIndex((line) => line.trim() !== '');
  const title = lines[at]?.trim() ?? '';
  const follows = lines.slice(at + 1);
  const isTitle =
    title !== '' &&
    title.length <= LONGEST_TITLE &&
    !HAS_FIGURE.test(title) &&
    !title.endsWith(':') &&
    follows.some((line) => HAS_FIGURE.test(line));
  if (!isTitle || !(follows[0]?.trim() === '' || familiesNamedIn(title).size > 0)) return { name: null, lines: text };
  return { name: title, lines: follows.join('\n') };
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
      ...formula.rows
        .filter(({ component }) => component === undefined)
        .map((row) => `${line(row.amountG, row.ingredientId)}${useWords[row.use] && `, ${placeWords(row)}`}`),
      // A heading for each component, then its own: read back, they are one component again.
      ...(formula.components ?? []).flatMap(({ key, name }) => {
        const rows = formula.rows.filter(({ component }) => component === key);
        return rows[0]
          ? [`${name} (${placeWords(rows[0])}):`, ...rows.map(({ amountG, ingredientId }) => line(amountG, ingredientId))]
          : [];
      }),
    ],
    recipeInstructions: [
      ...formula.mix.map((step) => ({ '@type': 'HowToStep', text: mixWords(step, formula, pantry) })),
      ...(formula.components ?? [])
        .filter(({ acts }) => acts.length > 0)
        .map(({ name, acts }) => ({
          '@type': 'HowToSection',
          name,
          itemListElement: acts.map((act) => ({ '@type': 'HowToStep', text: actSentence(act) })),
        })),
    ],
  };
}

const actSentence = ({ act, min, stopAt }: PreparationAct): string =>
  [preparationActWords[act], min ? `${min} min` : '', stopAt ? `until ${stopAt}` : ''].filter((word) => word !== '').join(', ');

/** What a row is for, and when it goes on where that is not the usual: in words that are read back. */
function placeWords({ use, goesOn }: Row): string {
  const moment = goesOn && goesOn.at in momentWordsOut ? momentWordsOut[goesOn.at as keyof typeof momentWordsOut] : '';
  return [useWords[use], moment].filter((word) => word !== '').join(', ');
}
const momentWordsOut = { hot: 'hot from the oven', cooled: 'once cooled', serving: 'at serving' } as const;
const useWords: Readonly<Record<RowUse, string>> = {
  dough: '',
  rollIn: 'to roll in',
  foldIn: 'folded in',
  wash: 'as a wash',
  topping: 'on top',
  filling: 'for the filling',
  dust: 'for dusting',
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
