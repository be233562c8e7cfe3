import { InputError } from '../../errors.js';
import { isOfDough } from '../../document/formula.js';
import { families } from '../../facts/families.js';
import { stageNames, type StageName } from '../../findings/finding.js';
import { madeFirst } from './component-steps.js';
import { chilling, divided, mixing } from './dough-steps.js';
import { after, baking, withOvenOn, wrapped } from './oven-steps.js';
import { laminating, shaping } from './sheet-steps.js';
import type { GoodOfDough, PlannedLook, RunStep } from '../../document/bake.js';
import type { Evaluation } from '../../evaluate.js';

import type { DoughMade, Made, ResultsOf } from './made.js';
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
  const results = resultsOf(evaluation, stageNames);
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

/**
 * Whether a stage is done for all goods of a dough together.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   one dough, several goods: blend, dough and chill are theirs together (solve/dough-of).
 *
 * @example
 * isOfMixing('bake'); // => false
 */
export const isOfMixing = (stage: StageName): boolean => stage === 'blend' || stage === 'dough' || stage === 'chill';

/**
 * The steps of one mixing for several goods: weighed, mixed, rested and chilled together, then a share cut off for each. Every good is
 * shaped and baked in a run of its own, that begins from its share.
 *
 * Units    g, min, mm, C.
 * Throws   InputError at the problem of the first stage that could not be worked out.
 * Findings none.
 * Source   as runSteps.
 *
 * @param formula whose dough it is, scaled to what the goods take together
 * @param goods in the order they are cut off
 */
export function mixingSteps(
  { formula, kitchen, pantry }: Omit<Case, 'family'>,
  evaluation: Evaluation,
  goods: readonly GoodOfDough[],
): RunStep[] {
  const dough = { ...formula, rows: formula.rows.filter(isOfDough) };
  const results = resultsOf(evaluation, ['blend', 'dough', 'chill']);
  const made: DoughMade = { formula: dough, family: families[formula.family]!, kitchen, pantry, results };
  return [...madeFirst(made), ...mixing(made), ...chilling(made), ...divided(made, goods)];
}

/** Results of these stages; the first that was not worked out is the problem. */
function resultsOf<K extends StageName>(evaluation: Evaluation, stages: readonly K[]): Pick<ResultsOf, K> {
  return Object.fromEntries(
    stages.map((name) => {
      const stage = evaluation[name];
      if (stage.state === 'waiting') throw new InputError(stage.problem?.path ?? name, stage.problem?.message ?? 'could not be worked out');
      return [name, stage.result];
    }),
  ) as Pick<ResultsOf, K>;
}
