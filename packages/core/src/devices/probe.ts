import { onCurve } from '../math/interpolate.js';
import { normalFrom, seeded } from '../math/seeded.js';
import type { Kitchen } from '../document/kitchen.js';

/** Minutes and temperatures of what a probe is stuck into. */
export type Course = { readonly min: readonly number[]; readonly atC: readonly number[] };

const NOISE_C = 0.15;
const STEP_C = 0.1;

/**
 * What a probe shows some seconds after it was put in: it comes from the room to what it is in, with noise, in tenths.
 *
 * Units    min along the course, s in it, C.
 * Throws   nothing.
 * Findings none.
 * Source   a made-up stand-in: a lag of four seconds.
 */
export function probeReading(
  course: Course,
  { atMin, inS }: { readonly atMin: number; readonly inS: number },
  roomC: number,
  next: () => number,
): number {
  const trueC = onCurve(course.min, course.atC, atMin);
  const shown = trueC + (roomC - trueC) * Math.exp(-inS / 4) + NOISE_C * normalFrom(next);
  return Math.round(shown / STEP_C) * STEP_C;
}

/**
 * A kitchen that is not quite what its owner thinks: every oven's air off by some kelvin from its readings, every blend thirstier or less.
 * The stand-in devices and the tests of learning read the world from it; nobody is shown it.
 *
 * Units    K; factor.
 * Throws   nothing.
 * Findings none.
 * Source   invented; spreads like those of facts/oven bakeSpread and facts/dough waterSpread.
 */
export function hiddenKitchen(kitchen: Kitchen, blendName: string, seed: number): { readonly kitchen: Kitchen; readonly thirst: number } {
  const next = seeded(seed);
  const ovens = kitchen.ovens.map((oven) => {
    const offC = 6 * normalFrom(next);
    return { ...oven, readings: oven.readings.map((one) => ({ ...one, trueC: one.trueC - offC })) };
  });
  const thirst = Math.exp(0.06 * normalFrom(next));
  const learned = [
    ...kitchen.learned.filter(({ what, about }) => !(what === 'thirstFactor' && about === blendName)),
    { what: 'thirstFactor' as const, about: blendName, value: thirst, sd: 0, bakeIds: [] },
  ];
  return { kitchen: { ...kitchen, ovens, learned }, thirst };
}

/**
 * A temperature as the Bluetooth health thermometer service sends it (characteristic 2A1C).
 *
 * Units    C.
 * Throws   nothing; null for fewer than five bytes or the service's "not a number".
 * Findings none.
 * Source   Bluetooth SIG Health Thermometer Service 1.0; IEEE 11073-20601 32-bit float (from memory): a 24-bit mantissa times ten to the exponent.
 */
export function readTemperatureMeasurement(bytes: DataView): number | null {
  if (bytes.byteLength < 5) return null;
  const mantissa = bytes.getUint8(1) | (bytes.getUint8(2) << 8) | (bytes.getInt8(3) << 16);
  if (mantissa === 0x7fffff) return null;
  const value = mantissa * 10 ** bytes.getInt8(4);
  return (bytes.getUint8(0) & 1) === 1 ? ((value - 32) * 5) / 9 : value;
}
