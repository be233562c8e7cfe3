import { InputError } from '../errors.js';
import { massOfVolume } from '../units/volume.js';
import type { Ingredient } from '../document/pantry.js';
import type { CupFilling, VolumeUnit } from '../units/volume.js';

export type BlendUnit = 'g' | 'part' | VolumeUnit;
export type BlendAmount = {
  readonly ingredientId: string;
  readonly amount: number;
  readonly unit: BlendUnit;
  readonly filling?: CupFilling;
};
export type BlendFromAmounts = {
  /** Grams where they are known: parts by weight have none. */ readonly grams: readonly (number | null)[];
  readonly shares: readonly number[];
  /** One standard deviation of each share; 0 for what was weighed. */ readonly sdShares: readonly number[];
  readonly totalG: number | null;
};

/**
 * Shares of a blend from how it was found: weighed, in parts by weight, or in cups and spoons.
 *
 * Cups are uncertain; the hand that fills them is the same for all, so its habit cancels between them and only the rest spreads.
 *
 * Units    g, parts or counts in; shares 0..1 out.
 * Throws   InputError at [i].amount unless above 0 and finite, at [i].unit when parts are mixed with grams or cups, at [i].ingredientId
 *          when a cup of it has no known weight, at the list when it is empty.
 * Findings none.
 * Source   facts/cups; shares spread to first order.
 *
 * @example
 * blendFromAmounts([{ ingredientId: 'sorghum', amount: 2, unit: 'part' }, { ingredientId: 'potato_starch', amount: 1, unit: 'part' }], all).shares; // => [2/3, 1/3]
 */
export function blendFromAmounts(amounts: readonly BlendAmount[], ingredients: Readonly<Record<string, Ingredient>>): BlendFromAmounts {
  if (amounts.length === 0) throw new InputError('amounts', 'nothing is in it: add a flour');
  const inParts = amounts.some(({ unit }) => unit === 'part');
  const masses = amounts.map((one, i) => {
    if (!(one.amount > 0) || !Number.isFinite(one.amount) || one.amount > 100000) {
      throw new InputError(`amounts[${i}].amount`, `must be above 0 and at most 100000, got ${one.amount}`);
    }
    if (inParts && one.unit !== 'part')
      throw new InputError(`amounts[${i}].unit`, 'parts cannot be mixed with grams or cups: use one of them');
    return massOf(one, i, ingredients);
  });
  const totalG = masses.reduce((sum, { massG }) => sum + massG, 0);
  const shares = masses.map(({ massG }) => massG / totalG);
  const spread = shares.reduce((sum, share, i) => sum + (share * masses[i]!.eachCv) ** 2, 0);
  return {
    grams: masses.map(({ massG }) => (inParts ? null : massG)),
    shares,
    sdShares: shares.map((share, i) => {
      const own = masses[i]!.eachCv;
      // d share = share (e_i - sum of share_k e_k)
      return share * Math.sqrt(Math.max(0, own ** 2 * (1 - 2 * share) + spread));
    }),
    totalG: inParts ? null : totalG,
  };
}

function massOf({ ingredientId, amount, unit, filling }: BlendAmount, i: number, ingredients: Readonly<Record<string, Ingredient>>) {
  const ingredient = ingredients[ingredientId];
  if (!ingredient) throw new InputError(`amounts[${i}].ingredientId`, `is not in the pantry: ${ingredientId}`);
  if (unit === 'g' || unit === 'part') return { massG: amount, eachCv: 0 };
  const { spoonedGPerMl, teaspoonG } = ingredient;
  if (spoonedGPerMl === undefined)
    throw new InputError(`amounts[${i}].unit`, `nobody knows what a ${unit} of ${ingredient.name} weighs: weigh it`);
  return massOfVolume({ unit, count: amount, filling: filling ?? 'spooned', spoonedGPerMl, teaspoonG });
}
