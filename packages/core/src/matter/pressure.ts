import { atmosphere } from '../facts/altitude.js';
import { waterVapourPressure } from '../facts/thermal.js';

/**
 * Pressure of the air at a height above the sea.
 *
 * Units    m; Pa.
 * Throws   nothing.
 * Findings none.
 * Source   ICAO standard atmosphere.
 *
 * @example
 * pressureAt(1609); // => 83431, a city a mile high
 */
export function pressureAt(altitudeM: number): number {
  const { seaPa, perM, power } = atmosphere.values;
  return seaPa * (1 - perM * altitudeM) ** power;
}

/**
 * Where water boils under a pressure: the bakes' own law of vapour pressure, turned round.
 *
 * Units    Pa; C.
 * Throws   nothing.
 * Findings none.
 * Source   facts/thermal waterVapourPressure.
 *
 * @example
 * boilsAtC(pressureAt(3000)); // => 90.0
 */
export function boilsAtC(pressurePa: number): number {
  const { a, b, c } = waterVapourPressure.values;
  return b / (a - Math.log(pressurePa)) - c - 273.15;
}
