import { mostOfBlend } from '../facts/blend-limits.js';
import { isGum } from '../ingredient/roles.js';
import { panelOf } from './nutrients.js';
import type { Ingredient, Pantry } from '../document/pantry.js';
import type { LabelItem } from './decode-label.js';
import type { LabelRule } from './rounding.js';

/** Gums and other additions that no boxed blend holds much of. */
const CAP_GUM = 0.03;

/**
 * A pantry ingredient as an item of a label.
 *
 * Units    per 100 g.
 * Throws   nothing.
 * Findings none.
 * Source   the pantry's composition; caps are judgement: gums 3 %, others twice what bakers use at most.
 */
export function labelItemOf(ingredient: Ingredient, rule: LabelRule, over: Pick<LabelItem, 'declaredShare' | 'inTail'> = {}): LabelItem {
  const most = (mostOfBlend.values as Readonly<Record<string, number>>)[ingredient.id];
  const small = ['salt', 'leavener', 'acid', 'flavour'].includes(ingredient.kind);
  return {
    id: ingredient.id,
    per100G: panelOf(ingredient.composition, rule),
    cap: isGum(ingredient) ? CAP_GUM : small ? 0.05 : most === undefined ? 1 : Math.min(1, 2 * most),
    ...over,
  };
}

/**
 * Ingredients in a pasted list of a box, in printed order: what each name may mean, the words that could not be matched kept.
 *
 * Units    declared percents as shares.
 * Throws   nothing.
 * Findings none.
 * Source   names as `find` knows them.
 */
export function readIngredientList(
  text: string,
  find: (typed: string) => readonly { readonly id: string; readonly asks: boolean }[],
  ingredients: Pantry['ingredients'],
): {
  readonly written: string;
  readonly id: string | null;
  readonly asks: boolean;
  readonly declaredShare?: number;
  readonly inTail?: true;
}[] {
  const plain = text.replace(/^[^:]*ingredients?\s*:/i, '').replace(/\.\s*$/, '');
  const tailAt = plain.search(/contains?\s+(?:less than\s+)?2\s*%\s*(?:or less\s*)?(?:of(?: each)?|or less)?\s*:?/i);
  const parts = (part: string, inTail: boolean) =>
    splitOutside(
      part.replace(/contains?\s+(?:less than\s+)?2\s*%\s*(?:or less\s*)?(?:of(?: each)?(?: of)?)?(?: the following)?\s*:?/i, ''),
    ).map((written) => {
      const percent = /(\d+(?:[.,]\d+)?)\s*%/.exec(written);
      const name = written
        .replace(/\(?\s*\d+(?:[.,]\d+)?\s*%\s*\)?/, '')
        .replace(/\([^)]*\)/g, '')
        .replace(/\*+|\borganic\b|\bground\b/gi, '')
        .trim();
      const [found] = find(name);
      const known = found && ingredients[found.id] ? found : undefined;
      return {
        written,
        id: known?.id ?? null,
        asks: known?.asks ?? false,
        ...(percent ? { declaredShare: Number(percent[1]!.replace(',', '.')) / 100 } : {}),
        ...(inTail ? { inTail: true as const } : {}),
      };
    });
  return tailAt < 0 ? parts(plain, false) : [...parts(plain.slice(0, tailAt), false), ...parts(plain.slice(tailAt), true)];
}

/** At commas and semicolons that stand in no bracket. */
function splitOutside(text: string): string[] {
  const out: string[] = [];
  let depth = 0;
  let now = '';
  for (const letter of text) {
    if (letter === '(' || letter === '[') depth++;
    if (letter === ')' || letter === ']') depth = Math.max(0, depth - 1);
    if (depth === 0 && (letter === ',' || letter === ';')) {
      out.push(now);
      now = '';
    } else now += letter;
  }
  return [...out, now].map((part) => part.trim()).filter((part) => part !== '');
}
