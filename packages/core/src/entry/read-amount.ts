import { linkWords, writtenMeasures } from './measures.js';
import type { Measure } from './measures.js';

/** An amount as it was written: how many (a span has two ends), of what measure, and what stands behind it. */
export type WrittenAmount = {
  readonly low: number;
  readonly high: number;
  /** null: counted in pieces. */ readonly measure: Measure | null;
  readonly rest: string;
  readonly rounding: 'exact' | 'heaped' | 'scant';
};

const fractions: Readonly<Record<string, number>> = {
  '½': 1 / 2, '⅓': 1 / 3, '⅔': 2 / 3, '¼': 1 / 4, '¾': 3 / 4, '⅕': 1 / 5, '⅖': 2 / 5, '⅛': 1 / 8, '⅜': 3 / 8, '⅝': 5 / 8, '⅞': 7 / 8, '⅙': 1 / 6,
}; // prettier-ignore
const words: Readonly<Record<string, number>> = {
  a: 1, an: 1, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, half: 0.5, quarter: 0.25, 'a half': 0.5, 'half a': 0.5, 'half an': 0.5, 'a quarter': 0.25, 'a couple': 2,
  un: 1, una: 1, uno: 1, due: 2, tre: 3, quattro: 4, mezzo: 0.5, mezza: 0.5, 'un quarto': 0.25,
  um: 1, uma: 1, dois: 2, duas: 2, três: 3, tres: 3, quatro: 4, meia: 0.5, meio: 0.5,
  une: 1, deux: 2, demi: 0.5, ein: 1, eine: 1, zwei: 2, halbe: 0.5,
}; // prettier-ignore
const number = /^(\d+)\s*[/⁄]\s*(\d+)|^(\d+(?:[.,]\d+)?)(?:\s*(?:(\d+)\s*[/⁄]\s*(\d+)|([½⅓⅔¼¾⅕⅖⅛⅜⅝⅞⅙])))?|^([½⅓⅔¼¾⅕⅖⅛⅜⅝⅞⅙])/;

/**
 * Reads an amount at the beginning of a text: `2 1/2 cups`, `1½ tbsp`, `150 to 170 g`, `half an`, `a pinch of`, `un bicchiere di`.
 *
 * Units    none of its own: the measure says.
 * Throws   nothing; null where no amount stands there. A number over nothing (1/0) is no amount.
 * Findings none.
 * Source   written forms of entry/measures.
 *
 * @example
 * readAmount('1/3 cup ice water'); // => { low: 0.333, high: 0.333, measure: cup, rest: 'ice water' } (shown rounded)
 */
export function readAmount(text: string): WrittenAmount | null {
  let left = text.trim().replace(/^(?:about|approx\.?|circa|ca\.?|cerca de|environ|etwa|~|≈)\s*/i, '');
  let rounding: WrittenAmount['rounding'] = 'exact';
  const first = readNumber(left);
  if (!first) return readBareMeasure(left);
  left = first.rest;
  let high = first.value;
  const span = /^(?:-|–|—|to|a(?=\s+\d)|até|à|bis|or|o(?=\s+\d))\s*/i.exec(left);
  if (span) {
    const second = readNumber(left.slice(span[0].length));
    // `1 - 2 cups` is a span, `1 -` is a dash; a second end below the first is no span.
    if (second && second.value >= first.value) {
      high = second.value;
      left = second.rest;
    }
  }
  // `1 cup plus 2 tablespoons` is two amounts of one thing; the second is added where both are volumes (see addedTo).
  const how = /^(heaped|heaping|rounded|scant|level|generous|colm[oi]|rasi?|rasos?|cheias?)\s+/i.exec(left);
  if (how) {
    rounding = /^(?:heap|round|gener|colm|chei)/i.test(how[1]!) ? 'heaped' : /^scant/i.test(how[1]!) ? 'scant' : 'exact';
    left = left.slice(how[0].length);
  }
  const { measure, rest } = measureAt(left);
  return { low: first.value, high, measure, rest: rest.replace(linkWords, '').trim(), rounding };
}

function readNumber(text: string): { value: number; rest: string } | null {
  const found = number.exec(text);
  if (found) {
    const [all, onlyTop, onlyBottom, whole, top, bottom, glyph, onlyGlyph] = found;
    const part = (a: string | undefined, b: string | undefined) => (a === undefined ? 0 : Number(a) / Number(b));
    const value =
      whole !== undefined
        ? numberOf(whole) + part(top, bottom) + (glyph ? fractions[glyph]! : 0)
        : onlyGlyph
          ? fractions[onlyGlyph]!
          : part(onlyTop, onlyBottom);
    return Number.isFinite(value) ? { value, rest: text.slice(all.length).trim() } : null;
  }
  const lower = text.toLowerCase();
  const word = Object.keys(words)
    .sort((a, b) => b.length - a.length)
    .find((one) => lower.startsWith(`${one} `));
  if (!word) return null;
  let value = words[word]!;
  let rest = text.slice(word.length).trim();
  const half = /^(?:and a half|e mezz[oa]|e mei[oa])\s+/i.exec(rest);
  if (half) {
    value += 0.5;
    rest = rest.slice(half[0].length);
  }
  return { value, rest };
}

/** A comma is a point to half of the world. */
const numberOf = (text: string): number => Number(text.replace(',', '.'));

function measureAt(text: string): { measure: Measure | null; rest: string } {
  // A capital T is a tablespoon, a small t a teaspoon: the one place where case decides.
  const spoon = /^([Tt])\b\.?\s+/.exec(text);
  if (spoon) {
    return { measure: { kind: 'volume', of: spoon[1] === 'T' ? 'tablespoon' : 'teaspoon' }, rest: text.slice(spoon[0].length) };
  }
  for (const [pattern, measure] of writtenMeasures) {
    const found = pattern.exec(text);
    if (found) return { measure, rest: text.slice(found[0].length).trim() };
  }
  return { measure: null, rest: text };
}

/** `pinch of salt`, `pizzico di sale`: a measure with no number is one of it. */
function readBareMeasure(text: string): WrittenAmount | null {
  const { measure, rest } = measureAt(text);
  if (!measure || measure.kind === 'mass' || (measure.kind === 'volume' && !/^(?:cup|tea|table)/i.test(text))) return null;
  return { low: 1, high: 1, measure, rest: rest.replace(linkWords, '').trim(), rounding: 'exact' };
}
