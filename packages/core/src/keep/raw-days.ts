import { rawEggDays } from '../facts/cold.js';
import { leftOverDays } from '../facts/keeping-dough.js';
import type { Place } from '../document/kitchen.js';

/**
 * Days that a raw dough, or raw pieces of it, may be kept where they lie.
 *
 * Units    d; g of raw egg in the dough.
 * Throws   nothing.
 * Findings none.
 * Source   facts/keeping-dough leftOverDays (judgement), facts/cold rawEggDays; local rules win.
 *
 * @example
 * rawDays({ kind: 'freezer' }, 0); // => 60
 */
export function rawDays(place: Pick<Place, 'kind'> | null | undefined, rawEggG: number): number {
  const days = leftOverDays.values;
  if (place?.kind === 'freezer') return days.freezer;
  if (place?.kind !== 'fridge') return rawEggG > 0 ? 0 : days.otherwise;
  return rawEggG > 0 ? Math.min(days.fridge, rawEggDays.value) : days.fridge;
}
