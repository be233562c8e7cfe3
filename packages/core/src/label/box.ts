import { readName } from '../entry/read-name.js';
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
  const most = ingredient.mostOfBlendShare;
  const small = ['salt', 'leavener', 'acid', 'flavour'].includes(ingredient.kind);
  return {
    id: ingredient.id,
    per100G: panelOf(ingredient.composition, rule, ingredient.otherKcalPerG),
    cap: isGum(ingredient) ? CAP_GUM : small ? 0.05 : most === undefined ? 1 : Math.min(1, 2 * most),
    ...over,
  };
}

export type BoxItem = {
  readonly written: string;
  readonly id: string | null;
  /** What it may mean; the baker is asked where there is more than one, or the name stands for several grades. */ readonly candidates: readonly string[];
  readonly asks: boolean;
  readonly why: string;
  readonly declaredShare?: number;
  readonly inTail?: true;
};

/**
 * Ingredients in a pasted list of a box, in printed order: what each name may mean, the words that could not be matched kept.
 *
 * A bracket of flours is opened (`Flour (rice, potato, maize)` is three), a class before a name (`Thickener: xanthan gum`) is left out.
 *
 * Units    declared percents as shares.
 * Throws   nothing.
 * Findings none.
 * Source   names as entry/read-name knows them.
 *
 * @example
 * readIngredientList('Flour (rice, maize)', ingredients).map(({ id }) => id); // => ['rice_white', 'corn_flour_whole']
 */
export function readIngredientList(text: string, ingredients: Pantry['ingredients']): BoxItem[] {
  const plainText = text.replace(/^[^:(]*\bingredients?\s*:/i, '').replace(/\.\s*$/, '');
  const tailAt = plainText.search(/contains?\s+(?:less than\s+)?2\s*%\s*(?:or less\s*)?(?:of(?: each)?|or less)?\s*:?/i);
  const items = (part: string, inTail: boolean) =>
    splitOutside(
      part.replace(/contains?\s+(?:less than\s+)?2\s*%\s*(?:or less\s*)?(?:of(?: each)?(?: of)?)?(?: the following)?\s*:?/i, ''),
    ).flatMap((written) => openedItem(written, ingredients).map((one): BoxItem => (inTail ? { ...one, inTail: true } : one)));
  return tailAt < 0 ? items(plainText, false) : [...items(plainText.slice(0, tailAt), false), ...items(plainText.slice(tailAt), true)];
}

/** Words before a colon, or before a bracket, that say what a thing is for and not what it is. */
const forWhat =
  /^(?:thickeners?|thickening agents?|stabili[sz]ers?|emulsifiers?|raising agents?|leavening(?: agents?)?|anti-?caking agents?|acidity regulators?|preservatives?|gums?|fibres?|fibers?|vegetable fibres?|plant fibres?)$/i;

/** One item of the list, or all that its bracket names. */
function openedItem(written: string, ingredients: Pantry['ingredients']): BoxItem[] {
  const colon = /^([^:(]+):\s*(.+)$/.exec(written);
  if (colon && forWhat.test(colon[1]!.trim())) return splitOutside(colon[2]!).flatMap((one) => openedItem(one, ingredients));
  const bracket = /^([^([]*)[([]([^)\]]*)[)\]]?\s*(.*)$/.exec(written);
  const inside = bracket ? splitOutside(bracket[2]!).filter((one) => /\p{L}/u.test(one.replace(/\d+(?:[.,]\d+)?\s*%/g, ''))) : [];
  const head = bracket?.[1]!.trim() ?? '';
  const opens =
    bracket !== null && inside.length > 0 && (inside.length > 1 || forWhat.test(head) || /^(?:flours?|starch(?:es)?)$/i.test(head));
  if (!opens) return [itemOf(written, [withoutBracket(written)], ingredients)];
  // `Flour (rice, …)`: rice flour, else rice; `Thickener (E415)`: E415.
  const singular = head.replace(/(?:es|s)$/i, (end) => (/starches$/i.test(head) ? '' : end === 's' ? '' : end));
  return inside.map((one) =>
    itemOf(
      `${one} (${head})`,
      forWhat.test(head) ? [withoutBracket(one)] : [`${withoutBracket(one)} ${singular}`, withoutBracket(one)],
      ingredients,
    ),
  );
}

function itemOf(written: string, names: readonly string[], ingredients: Pantry['ingredients']): BoxItem {
  const percent = /(\d+(?:[.,]\d+)?)\s*%/.exec(written);
  const answers = names.map((name) => readName(name, ingredients));
  const { ids, asks, why } = answers.find(({ exact }) => exact) ?? answers.find((one) => one.ids.length > 0) ?? answers[0]!;
  return {
    written,
    id: ids[0] ?? null,
    candidates: ids,
    asks,
    why,
    ...(percent ? { declaredShare: Number(percent[1]!.replace(',', '.')) / 100 } : {}),
  };
}

const withoutBracket = (text: string): string =>
  text
    .replace(/\(?\s*\d+(?:[.,]\d+)?\s*%\s*\)?/, '')
    .replace(/\([^)]*\)/g, '')
    .replace(/\*+|\borganic\b/gi, '')
    .trim();

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
