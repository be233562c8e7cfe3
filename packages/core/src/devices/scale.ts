import { normalFrom } from '../math/seeded.js';
import { roundTo } from '../units/rounding.js';
import { weighTolerance } from '../facts/run.js';

/** A scale's word: what it shows, and whether it stands still. */
export type ScaleReading = { readonly grams: number; readonly steady: boolean; readonly over: boolean };

export type ScaleHabits = {
  readonly stepG: number;
  readonly mostG: number;
  /** Of one reading, one sd. */ readonly noiseG: number;
  /** Creep per minute under load. */ readonly driftGPerMin: number;
  /** Time constant with which the pan comes to rest. */ readonly settleS: number;
};
export const usualScale: ScaleHabits = { stepG: 0.1, mostG: 5000, noiseG: 0.04, driftGPerMin: 0.05, settleS: 0.25 };

/** Where a simulated pan is: what truly lies on it, what it shows towards it, what was tared, and how much it has crept. */
export type ScalePan = { readonly loadG: number; readonly shownG: number; readonly tareG: number; readonly creepG: number };
export const emptyPan: ScalePan = { loadG: 0, shownG: 0, tareG: 0, creepG: 0 };

/**
 * A pan some seconds later, with something put on or taken off.
 *
 * It comes to rest like a first-order lag, and creeps under load; it can be asked at any step of time.
 *
 * Units    g, s.
 * Throws   nothing.
 * Findings none.
 * Source   a made-up stand-in: no maker's scale is meant.
 */
export function panAfter(pan: ScalePan, seconds: number, addedG = 0, habits: ScaleHabits = usualScale): ScalePan {
  const loadG = Math.max(0, pan.loadG + addedG);
  const near = Math.exp(-seconds / habits.settleS);
  const creepG = loadG > 0 ? pan.creepG + (habits.driftGPerMin * seconds) / 60 : 0;
  return { ...pan, loadG, shownG: loadG + (pan.shownG - loadG) * near, creepG };
}

/**
 * What the display says: noisy, in whole steps, unsteady while the pan still moves, over above its most.
 *
 * Units    g.
 * Throws   nothing.
 * Findings none.
 * Source   a made-up stand-in.
 */
export function readPan(pan: ScalePan, next: () => number, habits: ScaleHabits = usualScale): ScaleReading {
  const over = pan.loadG > habits.mostG;
  const gross = pan.shownG + pan.creepG + habits.noiseG * normalFrom(next);
  return {
    grams: over ? habits.mostG : roundTo(gross - pan.tareG, habits.stepG),
    // Nearer than it can show: a zero taken earlier would be off by what is still to come.
    steady: !over && Math.abs(pan.shownG - pan.loadG) < habits.stepG / 2,
    over,
  };
}

/**
 * The display set to zero with what lies on the pan.
 *
 * Units    g.
 * Throws   nothing.
 * Findings none.
 * Source   a made-up stand-in.
 */
export const tared = (pan: ScalePan): ScalePan => ({ ...pan, tareG: pan.shownG + pan.creepG });

/**
 * Switched off and on again with its load: it starts from zero there.
 *
 * Units    g.
 * Throws   nothing.
 * Findings none.
 * Source   a made-up stand-in.
 */
export const restarted = (pan: ScalePan): ScalePan => ({ ...pan, shownG: pan.loadG, tareG: pan.loadG, creepG: 0 });

/** Readings of one rest of the pan, oldest first. */
export type Rest = readonly { readonly reading: ScaleReading; readonly atMs: number }[];

/**
 * A rest of the pan with one more reading: what is older than `weighTolerance.steadyS` falls out, and whatever moved begins a new one.
 *
 * Units    ms of any clock that only goes on; g.
 * Throws   nothing.
 * Findings none.
 * Source   facts/run weighTolerance (judgement); a running mean of what stands still, as kitchen scales make it themselves.
 */
export function restAfter(rest: Rest, reading: ScaleReading, atMs: number): Rest {
  const { steadyS, sameG } = weighTolerance.values;
  const still = reading.steady && !reading.over && rest.every((one) => one.reading.steady && !one.reading.over);
  const same = still && Math.abs(reading.grams - restReading(rest, reading).grams) <= sameG;
  const kept = same ? rest.filter((one) => atMs - one.atMs <= steadyS * 1000) : [];
  return [...kept, { reading, atMs }];
}

/**
 * What a rest weighs: the mean of its readings, so that the noise of one is neither a zero nor a weight. Its newest says the rest.
 *
 * Units    g.
 * Throws   nothing.
 * Findings none.
 * Source   the mean of a rest.
 *
 * @example
 * restReading([{ reading: { grams: 10, steady: true } }, { reading: { grams: 10.2, steady: true } }], { grams: 0, steady: false }).grams; // => 10.1
 */
export function restReading(rest: Rest, otherwise: ScaleReading): ScaleReading {
  const newest = rest.at(-1)?.reading;
  if (!newest) return otherwise;
  return { ...newest, grams: rest.reduce((sum, { reading }) => sum + reading.grams, 0) / rest.length };
}

/**
 * A line of text from a scale that speaks over a serial line: the first number with its sign and unit.
 *
 * Grams unless kg, oz or lb stands behind it. A line that says it is unstable (`US`, `SD`, `?`) is unsteady; `OL` or `OVER` is over.
 *
 * Units    g.
 * Throws   nothing; null for a line without a number.
 * Findings none.
 * Source   common practice of such lines, no source; NIST Handbook 44 appendix C for the pound and ounce (exact).
 *
 * @example
 * readScaleLine('ST,GS,+  412.5 g'); // => { grams: 412.5, steady: true, over: false }
 */
export function readScaleLine(line: string): ScaleReading | null {
  if (/\b(OL|OVER)\b/i.test(line)) return { grams: 0, steady: false, over: true };
  const found = /([+-]?)\s*(\d+(?:[.,]\d+)?)\s*(kg|g|oz|lb)?/i.exec(line);
  if (!found) return null;
  const unit = (found[3] ?? 'g').toLowerCase();
  const perUnit = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 }[unit as 'g' | 'kg' | 'oz' | 'lb'];
  const grams = Number(found[2]!.replace(',', '.')) * perUnit * (found[1] === '-' ? -1 : 1);
  return { grams, steady: !/\bUS\b|\bSD\b|\?/i.test(line), over: false };
}

/**
 * A weight measurement as the Bluetooth weight scale service sends it (characteristic 2A9D).
 *
 * Units    g; the bytes count 0.005 kg or 0.01 lb.
 * Throws   nothing; null for fewer than three bytes.
 * Findings none.
 * Source   Bluetooth SIG Weight Scale Service 1.0, Weight Measurement (from memory).
 */
export function readWeightMeasurement(bytes: DataView): ScaleReading | null {
  if (bytes.byteLength < 3) return null;
  const imperial = (bytes.getUint8(0) & 1) === 1;
  const raw = bytes.getUint16(1, true);
  if (raw === 0xffff) return { grams: 0, steady: false, over: true };
  return { grams: imperial ? raw * 0.01 * 453.59237 : raw * 5, steady: true, over: false };
}
