import { demoKitchen } from '../demo/seeded-crackers.js';
import { InputError } from '../errors.js';
import { evaluate, problemsOf } from '../evaluate.js';
import { families } from '../facts/families.js';
import { textureFeatureNames } from '../facts/texture.js';
import { publishedIngredients } from '../ingredient/published.js';
import { starterFormula } from './starter.js';
import { textureFeatures } from '../outlook/outlook.js';
import type { Formula } from '../document/formula.js';
import type { Pantry } from '../document/pantry.js';
import type { Family } from '../facts/families.js';
import type { TextureFeature } from '../facts/texture.js';

const pantry: Pantry = { ingredients: publishedIngredients(), lots: {} };

/** A family's first formula in the reference kitchen, the demo's, from published ingredients. It takes tens of evaluations. */
export function referenceFormula(family: Family): Formula {
  let n = 0;
  return starterFormula(family, family.name, { kitchen: demoKitchen, pantry }, () => `k${n++}`);
}

/**
 * Its texture features as it comes out of that kitchen's oven: what `outlook/middles` holds.
 *
 * Units    as facts/texture textureWeights; four significant digits.
 * Throws   InputError for a formula that is not worked out to its end.
 * Findings none.
 * Source   solve/starter, evaluate.
 */
export function referenceFeatures(formula: Formula): Readonly<Record<TextureFeature, number>> {
  const evaluation = evaluate(formula, demoKitchen, pantry);
  const { blend, dough, bake, keep } = evaluation;
  if (blend.state === 'waiting' || dough.state === 'waiting' || bake.state === 'waiting' || keep.state === 'waiting')
    throw new InputError('family', `${formula.name}: ${JSON.stringify(problemsOf(evaluation))}`);
  const features = textureFeatures({ blend: blend.result, dough: dough.result, bake: bake.result, keep: keep.result });
  return Object.fromEntries(textureFeatureNames.map((name) => [name, Number(features[name].toPrecision(4))])) as never;
}

/** Of every family, in the order of the table. */
export const referenceMiddles = (): Record<string, Readonly<Record<TextureFeature, number>>> =>
  Object.fromEntries(Object.values(families).map((family) => [family.id, referenceFeatures(referenceFormula(family))]));
