/** Kinds of quantity that are typed; the core holds one unit of each. */
export const quantityKinds = ['mass', 'length', 'height', 'temperature', 'oven', 'difference', 'percent', 'minutes'] as const;
export type QuantityKind = (typeof quantityKinds)[number];

export const GRAMS_PER_OUNCE = 28.349523125;
const MM_PER_INCH = 25.4;
export const M_PER_FOOT = 0.3048;

export const ouncesOf = (g: number): number => g / GRAMS_PER_OUNCE;
/**
 * Grams of ounces.
 *
 * Units    oz to g.
 * Throws   nothing.
 * Findings none.
 * Source   NIST SP 811: 1 oz = 28.349523125 g.
 *
 * @example
 * gramsOf(1); // => 28.3495
 */
export const gramsOf = (oz: number): number => oz * GRAMS_PER_OUNCE;
/**
 * Inches of millimetres.
 *
 * Units    mm to in.
 * Throws   nothing.
 * Findings none.
 * Source   NIST SP 811: 1 in = 25.4 mm exactly.
 *
 * @example
 * inchesOf(25.4); // => 1
 */
export const inchesOf = (mm: number): number => mm / MM_PER_INCH;
export const mmOf = (inches: number): number => inches * MM_PER_INCH;
export const feetOf = (m: number): number => m / M_PER_FOOT;
export const fahrenheitOf = (c: number): number => (c * 9) / 5 + 32;
export const celsiusOf = (f: number): number => ((f - 32) * 5) / 9;
