import { celsiusOf, fahrenheitOf } from './convert.js';

/** How an oven's dial is marked. */
export type DialUnit = 'C' | 'F' | 'gas';

/** Below mark 1 the dial of a gas oven goes by halves and quarters of it. */
const LOW_MARKS: readonly (readonly [mark: number, fahrenheit: number])[] = [
  [0.25, 225],
  [0.5, 250],
  [1, 275],
];

/**
 * What a dial shows at a temperature, in its own unit.
 *
 * Units    C in; C, F or gas mark out.
 * Throws   nothing; gas marks below a quarter and above 10 go on in a straight line.
 * Findings none.
 * Source   gas mark n is 250 + 25 n F from 1 on, marks 1/2 and 1/4 are 250 and 225 F; common practice, no source.
 *
 * @example
 * dialOf('gas', 200); // => about 5.7, mark 6 is 204 C
 */
export function dialOf(unit: DialUnit, atC: number): number {
  if (unit === 'C') return atC;
  const f = fahrenheitOf(atC);
  if (unit === 'F') return f;
  if (f >= 275) return (f - 250) / 25;
  const [low, high] = f >= 250 ? [LOW_MARKS[1]!, LOW_MARKS[2]!] : [LOW_MARKS[0]!, LOW_MARKS[1]!];
  return Math.max(0, low[0] + ((high[0] - low[0]) * (f - low[1])) / (high[1] - low[1]));
}

/**
 * Temperature of a dial setting.
 *
 * Units    C, F or gas mark in; C out.
 * Throws   nothing.
 * Findings none.
 * Source   as dialOf.
 *
 * @example
 * celsiusOfDial('gas', 6); // => 204.4
 */
export function celsiusOfDial(unit: DialUnit, setting: number): number {
  if (unit === 'C') return setting;
  if (unit === 'F') return celsiusOf(setting);
  if (setting >= 1) return celsiusOf(250 + 25 * setting);
  const [low, high] = setting >= 0.5 ? [LOW_MARKS[1]!, LOW_MARKS[2]!] : [LOW_MARKS[0]!, LOW_MARKS[1]!];
  return celsiusOf(low[1] + ((high[1] - low[1]) * (setting - low[0])) / (high[0] - low[0]));
}

/**
 * A dial setting in words: `180 °C`, `356 °F`, `mark 6`.
 *
 * Units    C.
 * Throws   nothing.
 * Findings none.
 * Source   gas marks as in `dialOf`.
 *
 * @example
 * dialWords('gas', 200); // => 'mark 5½'
 */
export function dialWords(unit: DialUnit, atC: number): string {
  const value = dialOf(unit, atC);
  if (unit !== 'gas') return `${Math.round(value)} °${unit}`;
  if (value >= 0.9) return `mark ${(Math.round(value * 2) / 2).toString().replace('.5', '½')}`;
  return value >= 0.375 ? 'mark ½' : 'mark ¼';
}
