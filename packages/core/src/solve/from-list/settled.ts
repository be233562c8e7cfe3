import { applyEdits } from '../../document/edits.js';
import { evaluate, findingsOf } from '../../evaluate.js';
import type { Formula } from '../../document/formula.js';
import type { Kitchen } from '../../document/kitchen.js';
import type { Pantry } from '../../document/pantry.js';

/** What a list of ingredients does not speak of: the oven, when a filling goes in, where and how long the good is kept. */
const unsaid = /^\/(?:bake|keep)\/|^\/rows\/\d+\/goesOn$/;
const MOST_ROUNDS = 6;

/**
 * A first formula whose oven and keeping are set to what was written into it: a filling goes in after the weights and bakes through, what
 * needs the cold lies there. The findings' own changes are taken, those only that touch nothing a recipe has said.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none of its own; what is left is for the baker.
 * Source   the findings of bake and keep.
 */
export function withOvenSettled(formula: Formula, kitchen: Kitchen, pantry: Pantry): Formula {
  let now = formula;
  const taken = new Set<string>();
  for (let i = 0; i < MOST_ROUNDS; i++) {
    const next = findingsOf(evaluate(now, kitchen, pantry)).find(
      ({ code, stage, level, change }) =>
        level === 'fix' &&
        (stage === 'bake' || stage === 'keep') &&
        change?.of === 'formula' &&
        change.edits.every(({ path }) => unsaid.test(path)) &&
        !taken.has(`${code} ${JSON.stringify(change.edits)}`),
    );
    if (next?.change?.of !== 'formula') return now;
    taken.add(`${next.code} ${JSON.stringify(next.change.edits)}`);
    now = applyEdits(now, next.change.edits);
  }
  return now;
}
