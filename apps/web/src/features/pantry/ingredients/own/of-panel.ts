import {
  compositionOfPanel,
  InputError,
  labelNutrients,
  usualComposition,
  type Composition,
  type FromPanel,
  type Ingredient,
  type LabelNutrient,
  type Market,
} from '@north-leaf/core';
import { nutrientWords, printedOf, typedNumber, type TypedPanel } from '../../../../ui/form/nutrition-panel';
import { t } from '../../../../platform/words';

export type ReadPanel =
  ({ readonly ok: true } & FromPanel) | { readonly ok: false; readonly message: string; readonly nutrient: LabelNutrient | undefined };

/** Where labels are printed as in the US; elsewhere carbohydrate is without fibre. */
export const panelRuleOf = (market: Market | undefined): 'us' | 'eu' => (market === 'us' || market === 'canada' ? 'us' : 'eu');

const isNutrient = (word: string | undefined): word is LabelNutrient => labelNutrients.some((one) => one === word);

/** What a typed panel makes of an ingredient; `<` stands for half of what it is less than. */
export function readPanel({ rule, basis, typed }: TypedPanel, usual: Composition): ReadPanel {
  const basisG = typedNumber(basis);
  if (!(basisG >= 1 && basisG <= 1000)) return { ok: false, nutrient: undefined, message: t('pantry.panelIsAbout', { typed: basis }) };
  const rows = printedOf(rule, typed);
  const wrong = rows.find(({ printed }) => !Number.isFinite(printed) || printed < 0);
  if (wrong) return { ok: false, nutrient: wrong.nutrient, message: t('ui.textIsNotANumber', { text: typed[wrong.nutrient]! }) };
  const per100G = Object.fromEntries(
    rows.map(({ nutrient, printed, lessThan }) => [nutrient, ((lessThan ? printed / 2 : printed) * 100) / basisG]),
  );
  try {
    return { ok: true, ...compositionOfPanel({ rule, per100G }, usual) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const word = error.path.split('.')[1];
    const nutrient = isNutrient(word) ? word : undefined;
    return { ok: false, nutrient, message: nutrient ? `${nutrientWords[nutrient]}: ${error.message}` : error.message };
  }
}

/** What its like usually holds: of the ingredient it is said to be like, else of its kind. */
export function usualOf(kind: string, like: Ingredient | undefined, ingredients: readonly Ingredient[]): Composition {
  if (like) return like.composition;
  const known = ingredients.filter(({ kind: its }) => its !== 'excluded');
  return usualComposition(known.some((one) => one.kind === kind) ? (kind as Ingredient['kind']) : 'flour_grain', known);
}
