import { demoCrackerV2, demoKitchen, demoLots } from '../demo/seeded-crackers.js';
import { applyEdits, valueAt } from '../document/edits.js';
import { evaluate } from '../evaluate.js';
import { families } from '../facts/families.js';
import { publishedIngredients } from '../ingredient/published.js';
import { starterFormula } from '../solve/starter.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Pantry } from '../document/pantry.js';
import type { Evaluation } from '../evaluate.js';
import type { Json } from '../document/edits.js';

export const pantry: Pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
export const kitchen: Kitchen = demoKitchen;

const starters = new Map<string, Formula>();
/** The formula that a family starts with, in the demo kitchen; it takes tens of evaluations, so each is made once. */
export function aStarter(id: string): Formula {
  let n = 0;
  const made = starters.get(id) ?? starterFormula(families[id]!, id, { kitchen, pantry }, () => `k${n++}`);
  starters.set(id, made);
  return made;
}

/** Any formula with some places set to something else. */
export const withSet = (formula: Formula, set: Readonly<Record<string, Json>>): Formula =>
  Object.entries(set).reduce((now, [path, to]) => {
    const from = valueAt(now, path);
    return applyEdits(now, [{ path, ...(from === undefined ? {} : { from }), to }]);
  }, formula);

/** The demo cracker with some places set to something else. */
export const aFormula = (set: Readonly<Record<string, Json>> = {}): Formula => withSet(demoCrackerV2, set);

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
