import { evaluateDough } from '../evaluate.js';
import { asBaked } from '../document/happened.js';
import { runState } from './state.js';
import type { BakeEvent, RunStep } from '../document/bake.js';
import type { Formula } from '../document/formula.js';
import type { DoughResult } from '../dough/dough.js';
import type { Case } from '../document/case.js';

/**
 * The dough as it is in the bowl at this moment: what was weighed, what is still to come as planned, what was skipped not at all.
 *
 * Units    g.
 * Throws   nothing: null where it cannot be worked out.
 * Findings none; the stage's own are left out.
 * Source   evaluateDough on what was weighed.
 *
 * @param formula as the run was planned, already scaled
 */
export function bowlDough(
  { formula, kitchen, pantry }: Omit<Case, 'family'>,
  steps: readonly RunStep[],
  events: readonly BakeEvent[],
): { readonly dough: DoughResult; readonly formula: Formula; readonly heldG: number } | null {
  const made = asBaked(formula, events);
  const state = runState(steps, events, kitchen.scaleStepG);
  const planned = new Map<string, number>();
  let heldG = 0;
  for (const { step, state: is, weighedG } of state.steps) {
    if (step.kind !== 'weigh') continue;
    // What is held back is not in yet, whatever the formula says.
    const inG = is === 'todo' && weighedG === 0 ? step.amountG! : weighedG;
    planned.set(step.rowKey!, (planned.get(step.rowKey!) ?? 0) + inG);
    heldG += is === 'skipped' ? 0 : (step.heldG ?? 0);
  }
  // Spoons and doses are weighed at the feel, beside the step of their row.
  const besides = new Map<string, number>();
  for (const [key, sum] of Object.entries(made.weighed)) {
    const atSteps = state.steps.reduce((g, { step, weighedG }) => g + (step.rowKey === key ? weighedG : 0), 0);
    besides.set(key, sum - atSteps);
  }
  const inBowl = (key: string, otherwise: number) => (planned.get(key) ?? otherwise) + (besides.get(key) ?? 0);
  const { blend } = made.formula;
  const grams = blend.rows.map(({ key, share }) => inBowl(key, share * made.formula.blendG * state.factor));
  const blendG = grams.reduce((sum, g) => sum + g, 0);
  if (blendG <= 0) return null;
  const asItIs: Formula = {
    ...made.formula,
    blendG,
    blend: { ...blend, rows: blend.rows.map((row, i) => ({ ...row, share: grams[i]! / blendG })) },
    // What boils and drains off a filling is nothing to the dough, and may be more than was weighed so far.
    ...(made.formula.components ? { components: made.formula.components.map((one) => ({ ...one, boiledOffG: 0, drainedG: 0 })) } : {}),
    rows: made.formula.rows.map((row) => ({ ...row, amountG: Math.max(0, inBowl(row.key, row.amountG * state.factor)) })),
  };
  const { dough } = evaluateDough(asItIs, kitchen, pantry);
  if (dough.state === 'waiting') return null;
  const { pours } = dough.result;
  const spooned = pours ? Math.max(0, besides.get(pours.rowKey) ?? 0) : 0;
  return { dough: dough.result, formula: asItIs, heldG: Math.max(0, heldG - spooned) };
}
