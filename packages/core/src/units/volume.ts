import { cupFilling, cupMl, cupSpread, spoonsOfCup } from '../facts/cups.js';

export type CupFilling = keyof typeof cupFilling.values;
export type VolumeUnit = 'cup' | 'tablespoon' | 'teaspoon';

/** ml of one of a measure. */
export const volumeMl = (unit: VolumeUnit, cup: keyof typeof cupMl.values = 'us'): number =>
  unit === 'cup' ? cupMl.values[cup] : cupMl.values.us / spoonsOfCup.values[unit];

/**
 * Grams in some cups or spoons, and how far that may be out.
 *
 * Units    `spoonedGPerMl` g/ml; `cv` is one standard deviation over the mean, `eachCv` the part that does not cancel between
 *          ingredients measured by the same hand.
 * Throws   nothing.
 * Findings none.
 * Source   facts/cups: mass of a cup is spooned density times how it was filled; person 6 %, cup to cup 4 % over the root of their number.
 *
 * @example
 * massOfVolume({ unit: 'cup', count: 1, filling: 'spooned', spoonedGPerMl: 0.5114 }).massG; // => 121.0 (shown rounded)
 */
export function massOfVolume({
  unit,
  count,
  filling,
  spoonedGPerMl,
  teaspoonG,
}: {
  readonly unit: VolumeUnit;
  readonly count: number;
  readonly filling: CupFilling;
  readonly spoonedGPerMl: number;
  /** Known weight of a level teaspoon: outranks density for spoons. */ readonly teaspoonG?: number | undefined;
}): { readonly massG: number; readonly cv: number; readonly eachCv: number } {
  const { person, each, density, unknownFilling } = cupSpread.values;
  const ofSpoon = unit !== 'cup' && teaspoonG !== undefined;
  const oneG = ofSpoon ? teaspoonG * (unit === 'tablespoon' ? 3 : 1) : volumeMl(unit) * spoonedGPerMl * cupFilling.values[filling];
  const ownCv = Math.hypot(each / Math.sqrt(Math.max(1, count)), density, filling === 'unknown' ? unknownFilling : 0);
  return { massG: oneG * count, cv: Math.hypot(ownCv, person), eachCv: ownCv };
}
