import { celsiusOf, GRAMS_PER_OUNCE, gramsOf, M_PER_FOOT, mmOf, type QuantityKind } from './convert.js';
import { celsiusOfDial } from './dial.js';

type Reader = { readonly pattern: RegExp; readonly toCore: (value: number) => number };
const heat: readonly Reader[] = [
  { pattern: /^°?c$/, toCore: (v) => v },
  { pattern: /^°?f$/, toCore: celsiusOf },
];
const readers: Record<QuantityKind, readonly Reader[]> = {
  mass: [
    { pattern: /^(?:g|grams?)$/, toCore: (v) => v },
    { pattern: /^kg$/, toCore: (v) => v * 1000 },
    { pattern: /^oz$/, toCore: gramsOf },
    { pattern: /^lb$/, toCore: (v) => v * 16 * GRAMS_PER_OUNCE },
  ],
  length: [
    { pattern: /^mm$/, toCore: (v) => v },
    { pattern: /^cm$/, toCore: (v) => v * 10 },
    { pattern: /^(?:in|"|inch(?:es)?)$/, toCore: mmOf },
  ],
  height: [
    { pattern: /^m$/, toCore: (v) => v },
    { pattern: /^(?:ft|feet|foot|')$/, toCore: (v) => v * M_PER_FOOT },
  ],
  temperature: heat,
  oven: [...heat, { pattern: /^(?:gas|mark|gasmark)$/, toCore: (mark) => celsiusOfDial('gas', mark) }],
  // A bare number is in the unit of the field: °C and K are one step, °F a smaller one.
  difference: [
    { pattern: /^(?:°?c|k)$/, toCore: (v) => v },
    { pattern: /^°?f$/, toCore: (v) => v / 1.8 },
  ],
  percent: [{ pattern: /^%$/, toCore: (v) => v }],
  minutes: [
    { pattern: /^(?:m|min|minutes?)$/, toCore: (v) => v },
    { pattern: /^h(?:ours?)?$/, toCore: (v) => v * 60 },
  ],
};

/** What was typed, read: the value in the core's unit, or why it could not be. */
export type ReadQuantity = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly reason: string };

/**
 * Reads what a baker types into a field: `62`, `18 oz`, `1 1/2 in`, `350F`, `mark 4`, `1h20`. A bare number is in the unit the field shows.
 *
 * Units    result in g, mm, m (height above the sea), C, percent or min by `kind`; `bare` says what a number without unit means.
 * Throws   nothing: what cannot be read comes back as a reason.
 * Findings none.
 * Source   international ounce 28.349523125 g and inch 25.4 mm and foot 0.3048 m (exact by definition).
 *
 * @example
 * readQuantity('350F', 'temperature', 'C'); // => { ok: true, value: 176.67 } (shown rounded)
 */
export function readQuantity(typed: string, kind: QuantityKind, bare: string): ReadQuantity {
  const text = withFractions(typed.trim().toLowerCase().replace(',', '.')).replace(/^(?:gas\s*mark|gas|mark)\s*(.+)$/, '$1mark');
  if (text === '') return { ok: false, reason: 'is empty: type a number' };
  const hours = /^(\d+)\s*h\s*(\d{1,2})$/.exec(text);
  if (kind === 'minutes' && hours) return { ok: true, value: Number(hours[1]) * 60 + Number(hours[2]) };
  const parts = /^(-?\d+(?:\.\d+)?|-?\.\d+)?\s*(?:(\d+)\s*\/\s*(\d+))?\s*([a-z°"%]*)$/.exec(text);
  if (!parts || (parts[1] === undefined && parts[2] === undefined)) return { ok: false, reason: `“${typed.trim()}” is not a number` };
  const fraction = parts[2] === undefined ? 0 : Number(parts[2]) / Number(parts[3]);
  const value = Number(parts[1] ?? 0) + fraction;
  if (!Number.isFinite(value)) return { ok: false, reason: `“${typed.trim()}” is not a number` };
  const unit = parts[4] === '' ? bare.toLowerCase() : parts[4]!;
  const reader = readers[kind].find(({ pattern }) => pattern.test(unit));
  if (!reader)
    return { ok: false, reason: `“${parts[4]}” is not a unit of ${kind === 'oven' || kind === 'difference' ? 'temperature' : kind}` };
  return { ok: true, value: reader.toCore(value) };
}

const fractions: Readonly<Record<string, string>> = { '¼': '1/4', '½': '1/2', '¾': '3/4' };
const withFractions = (text: string) => text.replace(/[¼½¾]/g, (one) => ` ${fractions[one]}`);
