import { InputError } from '../../errors.js';
import { families } from '../../facts/families.js';
import { madeFirst } from './component-steps.js';
import { chilling, mixing } from './dough-steps.js';
import { after, baking, withOvenOn, wrapped } from './oven-steps.js';
import { laminating, shaping } from './sheet-steps.js';
import type { PlannedLook, RunStep } from '../../document/bake.js';
import type { Evaluation } from '../../evaluate.js';
import type { Made, ResultsOf } from './made.js';
import type { Case } from '../../document/case.js';

/**
 * The steps of a run: weighing in the order of the mix, the hand's word, cold, roll or folds, oven loads with their looks, cooling, rating.
 *
 * Every gram of the formula is weighed in one step or in parts that sum to it; spoons held back are part of their row.
 *
 * Units    g, min, mm, C.
 * Throws   InputError at the problem of the first stage that could not be worked out.
 * Findings none.
 * Source   the formula and what its stages gave; minutes of hands facts/run (judgement).
 *
 * @param formula as it will be made, already scaled
 * @param looks of the first load; none: one look about when it should be done
 */
export function runSteps(
  { formula, kitchen, pantry }: Omit<Case, 'family'>,
  evaluation: Evaluation,
  looks: readonly PlannedLook[] = [],
): RunStep[] {
  const results = resultsOf(evaluation);
  // Every stage was worked out, so the family is known.
  const made: Made = { formula, family: families[formula.family]!, kitchen, pantry, results, looks };
  const { goes } = formula.keep;
  const asDough = [...madeFirst(made), ...mixing(made), ...chilling(made), ...(formula.sheet.laminate ? laminating(made) : [])];
  // A block is not rolled out: whoever bakes it does that.
  if (goes === 'dough') return [...asDough.filter(({ what }) => what !== 'lastRoll'), wrapped(made)];
  const shaped = [...asDough, ...shaping(made)];
  if (goes === 'shaped') return [...shaped.filter(({ what }) => what !== 'proof'), wrapped(made)];
  return withOvenOn([...shaped, ...baking(made), ...after(made)], made);
}

function resultsOf(evaluation: Evaluation): ResultsOf {
  const { outlook: _outlook, ...stages } = evaluation;
  return Object.fromEntries(
    Object.entries(stages).map(([name, stage]) => {
      if (stage.state === 'waiting') throw new InputError(stage.problem?.path ?? name, stage.problem?.message ?? 'could not be worked out');
      return [name, stage.result];
    }),
  ) as ResultsOf;
}
