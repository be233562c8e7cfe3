import { atmosphere, underBoiling } from '../facts/altitude.js';
import { boilsAtC, pressureAt } from './pressure.js';
import type { Family, Window } from '../facts/family.js';

/**
 * A family as it is at a kitchen's height: gas swells as the air thins, so it takes less leavener, and no middle comes near what water
 * cannot reach there.
 *
 * Units    m above the sea; percent of the blend, C.
 * Throws   nothing.
 * Findings none.
 * Source   volume of a gas against pressure (textbook); facts/altitude.
 */
export function familyAt(family: Family, altitudeM = 0): Family {
  if (altitudeM <= 0) return family;
  const pressure = pressureAt(altitudeM);
  const less = (window: Window): Window => window.map((percent) => (percent * pressure) / atmosphere.values.seaPa) as unknown as Window;
  const { doneCoreC, sodaPercent } = family;
  return {
    ...family,
    leavenerPercent: less(family.leavenerPercent),
    ...(sodaPercent ? { sodaPercent: less(sodaPercent) } : {}),
    ...(doneCoreC === undefined ? {} : { doneCoreC: Math.min(doneCoreC, boilsAtC(pressure) - underBoiling.value) }),
  };
}
