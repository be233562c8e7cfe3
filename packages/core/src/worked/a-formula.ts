import { demoCrackerV2, demoKitchen, demoLots } from '../demo/seeded-crackers.js';
import { applyEdits } from '../document/edits.js';
import { evaluate } from '../evaluate.js';
import { publishedIngredients } from '../ingredient/published.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Pantry } from '../document/pantry.js';
import type { Evaluation } from '../evaluate.js';
import type { Json } from '../document/edits.js';

export const pantry: Pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
export const kitchen: Kitchen = demoKitchen;

/** The demo cracker with some places set to something else. */
export function aFormula(set: Readonly<Record<string, Json>> = {}): Formula {
  return Object.entries(set).reduce<Formula>((formula, [path, to]) => {
    const from = path
      .split('/')
      .slice(1)
      .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], formula);
    return applyEdits(formula, [{ path, ...(from === undefined ? {} : { from: from as Json }), to }]);
  }, demoCrackerV2);
}

export const worked = (formula: Formula, itsKitchen = kitchen, itsPantry = pantry): Evaluation => evaluate(formula, itsKitchen, itsPantry);

/** A stage's result; the test fails where it is waiting. */
export function resultOf<K extends 'blend' | 'dough' | 'chill' | 'sheet' | 'bake' | 'keep'>(
  evaluation: Evaluation,
  stage: K,
): Extract<Evaluation[K], { result: unknown }>['result'] {
  const one = evaluation[stage];
  if (one.state === 'waiting') throw new Error(`${stage} is waiting: ${JSON.stringify(one.problem)}`);
  return (one as { result: unknown }).result as never;
}

export const WATER = '/rows/0/amountG';

/** A row of filling, as an edit sets it. */
export const aFilling = (ingredientId: string, amountG: number, key: string, goesOn?: Json): Json => ({
  key,
  ingredientId,
  amountG,
  use: 'filling',
  ...(goesOn === undefined ? {} : { goesOn }),
});
