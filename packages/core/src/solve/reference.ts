import { InputError } from '../errors.js';
import { evaluate, problemsOf } from '../evaluate.js';
import { families } from '../facts/families.js';
import { textureFeatureNames } from '../facts/texture.js';
import { publishedIngredients } from '../ingredient/published.js';
import { runSteps } from '../run/plan/steps.js';
import { runTimes, timeline } from '../run/times.js';
import { referenceKitchen } from './reference-kitchen.js';
import { starterFormula } from './starter.js';
import { textureFeatures } from '../outlook/outlook.js';
import type { Formula } from '../document/formula.js';
import type { Pantry } from '../document/pantry.js';
import type { Family } from '../facts/families.js';
import type { MiddleFeature } from '../facts/texture.js';
import type { FirstMinutes } from '../run/first-minutes.js';

export const referencePantry: Pantry = { ingredients: publishedIngredients(), lots: {} };

/** A family's first formula in the reference kitchen, from published ingredients. It takes tens of evaluations. */
export function referenceFormula(family: Family): Formula {
  let n = 0;
  return starterFormula(family, family.name, { kitchen: referenceKitchen, pantry: referencePantry }, () => `k${n++}`);
}

/**
 * Its texture features as it comes out of that kitchen's oven: what `outlook/middles` holds.
 *
 * Units    as facts/texture textureWeights; four significant digits.
 * Throws   InputError for a formula that is not worked out to its end.
 * Findings none.
 * Source   solve/starter, evaluate.
 */
export function referenceFeatures(formula: Formula): Readonly<Record<MiddleFeature, number>> {
  const evaluation = evaluate(formula, referenceKitchen, referencePantry);
  const { blend, dough, bake, keep } = evaluation;
  if (blend.state === 'waiting' || dough.state === 'waiting' || bake.state === 'waiting' || keep.state === 'waiting')
    throw new InputError('family', `${formula.name}: ${JSON.stringify(problemsOf(evaluation))}`);
  const features = textureFeatures({ blend: blend.result, dough: dough.result, bake: bake.result, keep: keep.result });
  const names = textureFeatureNames.filter((name): name is MiddleFeature => name !== 'moisture' && name !== 'crispness');
  return Object.fromEntries(names.map((name) => [name, Number(features[name].toPrecision(4))])) as never;
}

/** Every family's first formula, in the order of the table. */
export const referenceFormulas = (): (readonly [id: string, Formula])[] =>
  Object.values(families).map((family) => [family.id, referenceFormula(family)]);

/**
 * What it asks of hands and of the clock in that kitchen, made once as it stands: what `run/first-minutes` holds.
 *
 * Units    min, whole; pieces.
 * Throws   InputError for a formula that is not worked out to its end.
 * Findings none.
 * Source   run/plan/steps; minutes of hands are judgement (facts/run).
 */
export function referenceMinutes(formula: Formula): FirstMinutes {
  const evaluation = evaluate(formula, referenceKitchen, referencePantry);
  const steps = runSteps({ formula, kitchen: referenceKitchen, pantry: referencePantry }, evaluation);
  const out = steps.findLastIndex(({ stage }) => stage === 'bake');
  const pieces = evaluation.sheet.state === 'waiting' ? 0 : evaluation.sheet.result.pieces;
  return { handsMin: Math.round(runTimes(steps).handsMin), outMin: Math.round(timeline(steps)[out]!.endMin), pieces };
}
