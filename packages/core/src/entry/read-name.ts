import { freshWords, glutenNameWords, harmless, softWords, wholeWords, withoutWords } from '../facts/name-words.js';
import { confusedWith, nameBookOf, plain, wordKey, wordsOf } from '../ingredient/names.js';
import { editsApart } from '../math/edits-apart.js';
import type { Ingredient, Pantry } from '../document/pantry.js';
import type { Meaning, NameBook } from '../ingredient/names.js';

/** What a written name may be. `ids` empty and `asks` false: nobody knows it. */
export type NameAnswer = {
  readonly ids: readonly string[];
  readonly asks: boolean;
  readonly why: string;
  /** The whole name stands in the table or the pantry, as it was written. */ readonly exact: boolean;
};

const UNKNOWN: NameAnswer = { ids: [], asks: false, why: '', exact: false };
/** More choices than this are no question. */
const MOST = 6;

/**
 * What a name in a list means: one thing, one of several (then it asks), or nothing that is known.
 *
 * Only a whole name answers; a part of it, another order of its words, a slip of the pen or a word that turns it into another thing
 * asks. Words of state and size (facts/name-words harmless) are not part of a name.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   facts/name-table, facts/name-words, the ingredients' own names.
 *
 * @example
 * readName('dried apricots', ingredients); // => { ids: ['apricots_dried'], asks: false, ... }
 * readName('flour', ingredients).asks; // => true
 */
export function readName(written: string, ingredients: Pantry['ingredients']): NameAnswer {
  const book = nameBookOf(ingredients);
  const text = plain(written);
  if (text.length < 2) return UNKNOWN;
  return withOwnBlends(meant(written, text, book, ingredients), book, ingredients);
}

function meant(written: string, text: string, book: NameBook, ingredients: Pantry['ingredients']): NameAnswer {
  const whole = wholeName(book, text);
  return (
    (whole && doubted(whole, text, ingredients)) ??
    without(written, book, ingredients) ??
    either(written, ingredients) ??
    stateless(book, text, ingredients) ??
    near(slip(book, text), part(book, text, ingredients)) ??
    UNKNOWN
  );
}

/** Where a flour may be a ready blend, it may be one of this kitchen's. */
function withOwnBlends(said: NameAnswer, { ownBlends }: NameBook, ingredients: Pantry['ingredients']): NameAnswer {
  if (!said.asks || ownBlends.length === 0 || !said.ids.some((id) => ingredients[id]!.kind === 'blend')) return said;
  const known = said.ids.filter((id) => !ownBlends.includes(id));
  const room = Math.max(1, MOST - known.length);
  return { ...said, ids: [...known.slice(0, 1), ...ownBlends.slice(0, room), ...known.slice(1)].slice(0, MOST) };
}

const answer = ({ ids, asks, why }: Meaning, exact: boolean): NameAnswer => ({ ids: ids.slice(0, MOST), asks, why, exact });

function wholeName(book: NameBook, text: string): NameAnswer | null {
  const meaning = book.exact.get(text) ?? book.byWords.get(wordKey(text));
  return meaning ? answer(meaning, true) : null;
}

/** `dairy-free spread` stands in the table, but only its label knows whether it is. */
function doubted(whole: NameAnswer, text: string, ingredients: Pantry['ingredients']): NameAnswer {
  const free = /(?:^| )(\p{L}+) free(?: |$)/u.exec(text)?.[1];
  if (free === undefined || glutenNameWords.has(free)) return whole;
  const may = whole.ids.some((id) => ingredients[id]!.allergens.some((code) => isAbout(code.replace(':possible', ''), free)));
  return may ? { ...whole, asks: true, why: `Some makers’ hold ${free} all the same: read the label.` } : whole;
}

/** The whole name but for words of state: `cold unsalted butter`, `burro freddo`, `fresh raspberries`. */
function stateless(book: NameBook, text: string, ingredients: Pantry['ingredients']): NameAnswer | null {
  const words = text.split(' ');
  const bare = words.filter((word) => !harmless.has(word)).join(' ');
  const found = bare !== text && bare !== '' ? wholeName(book, bare) : null;
  if (found) return found;
  const barer = bare.split(' ').filter((word) => !conditional(word));
  if (barer.length === 0 || barer.length === bare.split(' ').length) return null;
  const kept = wholeName(book, barer.join(' '));
  const dropped = bare.split(' ').filter(conditional);
  if (!kept || !kept.ids.every((id) => dropped.every((word) => mayDrop(word, ingredients[id]!)))) return null;
  return { ...kept, exact: false };
}

const conditional = (word: string) => freshWords.has(word) || wholeWords.has(word) || softWords.has(word);
function mayDrop(word: string, of: Ingredient): boolean {
  const moist = of.composition.waterShare > 0.6 && ['dairy', 'filling', 'acid', 'flavour', 'egg', 'liquid'].includes(of.kind);
  if (softWords.has(word) && of.kind === 'fat_solid') return true;
  if (freshWords.has(word)) return moist || ['inclusion', 'flour_nut', 'fat_solid'].includes(of.kind);
  return wholeWords.has(word) && of.kind === 'egg';
}

/** `nut-free`, `senza latte`, `glutenfrei`: the maker's word. What is left is asked about, but for gluten, which nothing here may hold. */
function without(written: string, book: NameBook, ingredients: Pantry['ingredients']): NameAnswer | null {
  const words = plain(written).split(' ');
  const free = words.findIndex((word, i) => i > 0 && word === 'free' && words[i + 1] !== 'range');
  const german = words.findIndex((word) => /^\p{L}{3,}frei(?:e[nrs]?)?$/u.test(word));
  const before = words.findIndex((word, i) => withoutWords.has(word) && i < words.length - 1);
  const from = free > 0 ? words[free + 1] === 'from' : false;
  const at = free > 0 && !from ? free - 1 : german >= 0 ? german : before >= 0 ? before : words[0] === 'gf' ? 0 : -1;
  if (at < 0) return null;
  const length = (german >= 0 && at === german) || words[at] === 'gf' ? 1 : 2;
  const named =
    words[at] === 'gf'
      ? 'gluten'
      : german >= 0 && at === german
        ? words[at]!.replace(/frei.*$/, '')
        : free > 0
          ? words[at]!
          : words[at + 1]!;
  const rest = words.filter((_, i) => i < at || i >= at + length).join(' ');
  if (rest === '') return { ids: [], asks: true, why: `“${written.trim()}” does not say what it is.`, exact: false };
  const left = readName(rest, ingredients);
  if (glutenNameWords.has(named)) {
    const ids = left.ids.filter((id) => ingredients[id]!.gluten !== 'contains');
    const asks = left.asks ? ids.length !== 1 || !left.exact : false;
    return { ...left, ids, asks: ids.length === 0 ? left.ids.length > 0 : asks };
  }
  const ids = left.ids.filter((id) => !ingredients[id]!.allergens.some((code) => !code.endsWith(':possible') && isAbout(code, named)));
  return {
    ids,
    asks: true,
    why: `“${named}” is said to be absent, by its maker: say what it is, and read its label.`,
    exact: false,
  };
}

/** Whether an allergen code is about a word a maker uses: `nut` of `eu.nuts:almond`. */
const spoken: Readonly<Record<string, string>> = {
  dairy: 'milk',
  lait: 'milk',
  latte: 'milk',
  leite: 'milk',
  leche: 'milk',
  milch: 'milk',
  ei: 'egg',
};
const isAbout = (code: string, word: string): boolean => {
  const wanted = (Object.hasOwn(spoken, word) ? spoken[word]! : word).replace(/s$/, '');
  return code.split(/[.:]/).some((part) => part.replace(/s$/, '').endsWith(wanted));
};

/** `butter or margarine`: both are offered. */
function either(written: string, ingredients: Pantry['ingredients']): NameAnswer | null {
  const sides = plain(written).split(/ (?:or|oder|ou|oppure|o) /);
  if (sides.length < 2) return null;
  // `fresh or frozen raspberries` is one thing in two states.
  const things = sides.filter((side) => side.split(' ').some((word) => !harmless.has(word) && !conditional(word)));
  const said = things.map((side) => readName(side, ingredients)).filter(({ ids }) => ids.length > 0);
  if (said.length < 2) return said[0] ? { ...said[0], exact: false } : null;
  const ids = [...new Set(said.flatMap(({ ids: some }) => some))].slice(0, MOST);
  return { ids, asks: true, why: 'One or the other: say which it is this time.', exact: false };
}

/** What it may be a slip of, before what it holds. */
function near(first: NameAnswer | null, second: NameAnswer | null): NameAnswer | null {
  if (!first || !second) return first ?? second;
  return { ...first, ids: [...new Set([...first.ids, ...second.ids])].slice(0, MOST) };
}

/** Known names that stand in it as whole words, the longest first; never an answer. */
function part(book: NameBook, text: string, ingredients: Pantry['ingredients']): NameAnswer | null {
  const words = wordsOf(text).filter((word) => !harmless.has(word));
  const taken = words.map(() => false);
  const found: { meaning: Meaning; length: number }[] = [];
  for (let length = Math.min(book.longest, words.length); length > 0; length--) {
    for (let i = 0; i + length <= words.length; i++) {
      if (taken.slice(i, i + length).some(Boolean)) continue;
      const meaning = book.byWords.get(words.slice(i, i + length).join(' '));
      if (!meaning) continue;
      taken.fill(true, i, i + length);
      found.push({ meaning, length });
    }
  }
  if (found.length === 0) return null;
  const meant = found.flatMap(({ meaning }) => meaning.ids);
  const turned = meant.flatMap((id) => (book.turns.get(id) ?? []).filter(({ words: some }) => words.some((word) => some.has(word))));
  const becomes = turned.flatMap(({ becomes: to }) => to);
  const ids = [...new Set([...becomes, ...(turned.length > 0 && becomes.length === 0 ? [] : meant)])].filter((id) => ingredients[id]);
  const left = words.filter((_, i) => !taken[i]);
  const why =
    found.length === 1 && left.length > 0
      ? `“${left.join(' ')}” may make it something else.`
      : found[0]!.meaning.why || 'The words are known, but not together.';
  return { ids: ids.slice(0, MOST), asks: true, why, exact: false };
}

/** A name a letter or two away; always a question. */
function slip(book: NameBook, text: string): NameAnswer | null {
  const most = text.length >= 9 ? 2 : text.length >= 5 ? 1 : 0;
  if (most === 0) return null;
  let best = most + 1;
  let near: string[] = [];
  for (let length = text.length - most; length <= text.length + most; length++) {
    for (const name of book.byLength.get(length) ?? []) {
      const apart = editsApart(name, text, best);
      if (apart < best) [best, near] = [apart, [name]];
      else if (apart === best && apart <= most) near.push(name);
    }
  }
  if (best > most) return null;
  const ids = [...new Set(near.flatMap((name) => book.exact.get(name)!.ids))].flatMap((id) => [id, ...(confusedWith(id)?.ids ?? [])]);
  return { ids: [...new Set(ids)].slice(0, MOST), asks: true, why: `Nothing is called “${text}”; “${near[0]}” is near.`, exact: false };
}
