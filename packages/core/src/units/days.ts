/**
 * Whole months from one calendar day to another, as they are counted on a calendar.
 *
 * Units    days as 2026-11-25; result in months, negative when the second day is earlier.
 * Throws   nothing; a day that cannot be read gives NaN.
 * Findings none.
 * Source   calendar arithmetic.
 *
 * @example
 * monthsBetween('2025-11-26', '2026-11-25'); // => 11
 */
export function monthsBetween(fromOn: string, toOn: string): number {
  const [from, to] = [fromOn, toOn].map((on) => on.split('-').map(Number)) as [number[], number[]];
  return (to[0]! - from[0]!) * 12 + (to[1]! - from[1]!) - (to[2]! < from[2]! ? 1 : 0);
}

/**
 * A calendar day some days after another; before it when negative.
 *
 * Units    days as 2026-11-25.
 * Throws   RangeError for a day that cannot be read.
 * Findings none.
 * Source   calendar arithmetic.
 *
 * @example
 * daysAfter('2026-11-25', 7); // => '2026-12-02'
 */
export function daysAfter(on: string, days: number): string {
  return new Date(Date.parse(`${on}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}

/** Whole days from one calendar day to another; negative when the second is earlier. */
export function daysBetween(fromOn: string, toOn: string): number {
  return Math.round((Date.parse(`${toOn}T00:00:00Z`) - Date.parse(`${fromOn}T00:00:00Z`)) / 86_400_000);
}
