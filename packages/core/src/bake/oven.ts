import { InputError } from '../errors.js';
import { bakeSpread } from '../facts/oven.js';
import { onCurve } from '../math/interpolate.js';
import type { Kitchen, Oven } from '../document/kitchen.js';

/**
 * The oven a formula names.
 *
 * Units    none.
 * Throws   InputError at bake.ovenId for one the kitchen does not have.
 * Findings none.
 * Source   the kitchen.
 */
export function ovenOf(kitchen: Kitchen, ovenId: string): Oven {
  const oven = kitchen.ovens.find(({ id }) => id === ovenId);
  if (!oven) throw new InputError('bake.ovenId', 'is not an oven of this kitchen');
  return oven;
}

/**
 * What to set the dial to, so that the air is what is wanted.
 *
 * Units    C. The measured offset (true minus dial) is read between readings by true temperature, flat beyond them.
 * Throws   nothing; an oven never measured is taken at its word.
 * Findings none.
 * Source   the kitchen's own readings.
 *
 * @example
 * dialFor({ readings: [{ dialC: 180, trueC: 186 }] }, 180); // => 174
 */
export function dialFor(oven: Pick<Oven, 'readings'>, wantC: number): number {
  const byTrue = [...oven.readings].sort((a, b) => a.trueC - b.trueC);
  if (byTrue.length === 0) return wantC;
  return (
    wantC -
    onCurve(
      byTrue.map(({ trueC }) => trueC),
      byTrue.map(({ trueC, dialC }) => trueC - dialC),
      wantC,
    )
  );
}

/** How far the air may stray from what is wanted, one sd in C. */
export const ovenSpreadC = (oven: Oven): number => (oven.readings.length > 0 ? bakeSpread.values.ovenMeasuredC : bakeSpread.values.ovenC);
