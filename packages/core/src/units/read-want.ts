import { fanDifferenceK } from '../facts/oven.js';
import { readQuantity, type ReadQuantity } from './read-quantity.js';

/** How an oven moves its air, as far as a recipe tells: a fan or none. */
export type SaidAir = 'fan' | 'still';
const STILL = /\s*(?:(?:no|without) fan|conventional|static|still(?: air)?|top and bottom)$/i;
const FAN = /\s*(?:with )?(?:fan(?: oven)?|convection)$/i;

/** A want as it was typed: read for this oven, and for which air it was meant where that was said and is another. */
export type ReadWant = ReadQuantity & { readonly meantFor?: SaidAir };

/**
 * An oven's temperature as recipes write it: `180 fan`, `gas 6`, `350F`, `200 no fan`. What was meant for the other kind of oven is turned
 * into what this one needs; what says no kind is taken as it stands.
 *
 * Units    result in C; `bare` says what a number without unit means; `here` is this oven's air.
 * Throws   nothing: what cannot be read comes back as a reason.
 * Findings none.
 * Source   facts/oven fanDifferenceK: a fan oven is set 20 C lower, common practice, no source.
 *
 * @example
 * readWant('180 fan', 'C', 'still'); // => { ok: true, value: 200, meantFor: 'fan' }
 */
export function readWant(typed: string, bare: string, here: SaidAir): ReadWant {
  const still = STILL.test(typed);
  const said: SaidAir | null = still ? 'still' : FAN.test(typed) ? 'fan' : null;
  const read = readQuantity(typed.replace(STILL, '').replace(FAN, ''), 'oven', bare);
  if (!read.ok || said === null || said === here) return read;
  return { ok: true, value: read.value + (said === 'fan' ? 1 : -1) * fanDifferenceK.value, meantFor: said };
}
