import { acrylamideBenchmarks, acrylamideLaw, acrylamideRange } from '../facts/acrylamide.js';
import type { AcrylamideClass, AcrylamideMeasure } from '../facts/acrylamide.js';
import type { Family } from '../facts/families.js';
import type { DoughColours } from '../dough/colours.js';

/** An index of acrylamide as it leaves the oven: an order of magnitude, not a measurement. ug per kg of the baked dough. */
export type Acrylamide = {
  readonly value: number;
  /** P10 and P90. */ readonly low: number;
  readonly high: number;
  readonly benchmark: number;
  readonly kind: AcrylamideClass;
};

/** A piece as it comes out: share of water, browning of its darker face and of top, base and rim together. */
type Browned = { readonly moistureShare: number; readonly faceBrowning: number; readonly meanBrowning: number };

/** What it is sold as, to the regulation. */
export const acrylamideClassOf = ({ acrylamideAs, kind }: Pick<Family, 'acrylamideAs' | 'kind'>): AcrylamideClass =>
  acrylamideAs ?? (kind === 'cookie' ? 'biscuit' : kind === 'cracker' ? 'cracker' : 'alike');

/**
 * How much acrylamide a piece is likely to hold.
 *
 * It grows with what browns (faces and rim), as the last water leaves, from free asparagine and reducing sugars; ammonium bicarbonate
 * multiplies it.
 *
 * Units    ug/kg baked.
 * Throws   nothing.
 * Findings none; bake.acrylamide judges it.
 * Source   facts/acrylamide: judgement, good to a factor of two or three. Only a laboratory knows.
 */
export function acrylamideOf(
  family: Pick<Family, 'acrylamideAs' | 'kind'>,
  { asparagineMgPerKgDry, ammoniaPercent, reducingShare }: DoughColours,
  { moistureShare, faceBrowning, meanBrowning }: Browned,
  measures: readonly AcrylamideMeasure[] = [],
): Acrylamide {
  const law = acrylamideLaw.values;
  const browned = Math.max(0, 0.5 * (faceBrowning + meanBrowning)) / law.browning;
  const value =
    law.ugPerKg *
    ((asparagineMgPerKgDry * (1 - moistureShare)) / law.asparagineMgPerKg) ** law.asparaginePower *
    browned ** law.browningPower *
    (1 / (1 + (moistureShare / law.halfAtMoisture) ** law.moisturePower)) *
    (1 + law.perReducing * reducingShare) *
    (1 + law.perAmmonia * ammoniaPercent) *
    (measures.includes('enzyme') ? law.enzymeShare : 1);
  const wide = Math.exp(acrylamideRange.value * law.sdLog);
  const kind = acrylamideClassOf(family);
  return { value, low: value / wide, high: value * wide, benchmark: acrylamideBenchmarks.values[kind], kind };
}
