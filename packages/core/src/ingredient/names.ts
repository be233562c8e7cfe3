import { nameRows, turningRows } from '../facts/name-table.js';
import { connectors, sameWords } from '../facts/name-words.js';
import { publishedIngredients } from './published.js';
import { confusions } from '../facts/usual.js';
import type { Ingredient, Pantry } from '../document/pantry.js';

/** One written name, and what it may mean. */
export type NameEntry = {
  readonly as: string;
  readonly plain: string;
  readonly words: readonly string[];
  readonly ids: readonly string[];
  readonly asks: boolean;
  readonly why: string;
  /** Language or country; left out where it is the ingredient's own name. */ readonly locale?: string;
};
/** All that one spelling may mean, over every language. */
export type Meaning = {
  readonly ids: readonly string[];
  readonly asks: boolean;
  readonly why: string;
};
export type NameBook = {
  readonly entries: readonly NameEntry[];
  /** By the spelling without accents and case. */ readonly exact: ReadonlyMap<string, Meaning>;
  /** By its words in order, singular, without `of` and its like. */ readonly byWords: ReadonlyMap<string, Meaning>;
  /** Most words of any name. */ readonly longest: number;
  /** Spellings by their length, for slips of the pen. */ readonly byLength: ReadonlyMap<number, readonly string[]>;
  /** Flours blended in this kitchen. */ readonly ownBlends: readonly string[];
  readonly turns: ReadonlyMap<string, readonly { readonly words: ReadonlySet<string>; readonly becomes: readonly string[] }[]>;
};

/**
 * What an ingredient is often taken for, and what to ask.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   `facts`, common practice, no source.
 */
export const confusedWith = (id: string) => confusions.values.find(({ ids }) => ids.includes(id));

const books = new WeakMap<Pantry['ingredients'], NameBook>();

/**
 * Every name that some ingredients are written by, ready to be looked up. Made once for a pantry and kept with it.
 *
 * Units    none.
 * Throws   nothing; a name of an ingredient that is not there is left out.
 * Findings none.
 * Source   facts/name-table and the ingredients' own names. One spelling that two languages use for two things means both, and asks.
 */
export function nameBookOf(ingredients: Pantry['ingredients']): NameBook {
  const held = books.get(ingredients);
  if (held) return held;
  // What a kitchen called its own goes before what any table calls so.
  const mine = Object.values(ingredients).filter(({ id }) => !publishedIngredients()[id]);
  const theirs = Object.values(ingredients).filter(({ id }) => publishedIngredients()[id]);
  const own = new Set(mine.flatMap(ownNames).map(({ plain: text }) => text));
  const entries = [
    ...mine.flatMap(ownNames),
    ...[...theirs.flatMap(ownNames), ...tableNames(ingredients)].filter((entry) => !own.has(entry.plain)),
  ];
  const exact = new Map<string, Meaning>();
  const byWords = new Map<string, Meaning>();
  const byLength = new Map<number, string[]>();
  let longest = 1;
  for (const entry of entries) {
    if (!exact.has(entry.plain)) byLength.set(entry.plain.length, [...(byLength.get(entry.plain.length) ?? []), entry.plain]);
    join(exact, entry.plain, entry);
    join(byWords, wordKey(entry.plain), entry);
    longest = Math.max(longest, entry.words.length);
  }
  const ownBlends = mine.filter(({ kind }) => kind === 'blend').map(({ id }) => id);
  const book: NameBook = { entries, exact, byWords, byLength, longest, ownBlends, turns: turns(ingredients) };
  books.set(ingredients, book);
  return book;
}

/** A spelling by its words in order: singular, accents and case gone, `of` and its like left out. */
export const wordKey = (plainText: string): string => wordsOf(plainText).join(' ');
export const wordsOf = (plainText: string): string[] =>
  plainText
    .split(' ')
    .filter((word) => word !== '' && !connectors.has(word))
    .map(singular);

/** Most names hold no accent: looking costs less than taking them off. */
const bare = (text: string): string => (/^[\x20-\x7e]*$/.test(text) ? text : text.normalize('NFD').replace(/\p{M}/gu, ''));

/**
 * Letters and numbers only, lower case, no accents.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * plain('Crème fraîche (30 %)'); // => 'creme fraiche 30'
 */
export const plain = (text: string): string =>
  bare(text)
    .toLowerCase()
    .replaceAll('œ', 'oe')
    .replaceAll('æ', 'ae')
    .replaceAll('ø', 'o')
    .replaceAll('ß', 'ss')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
    .replace(/\p{L}+/gu, (word) => sameWords.get(word) ?? word);

function singular(word: string): string {
  if (word.length < 4 || word.endsWith('ss') || word.endsWith('us')) return word;
  if (word.endsWith('ies')) return `${word.slice(0, -3)}y`;
  if (/(?:[sxz]|ch|sh|to|go)es$/.test(word)) return word.slice(0, -2);
  return word.endsWith('s') ? word.slice(0, -1) : word;
}

/** An ingredient's own name as it stands, without its bracket, and with what follows the comma before it. */
function ownNames({ id, name }: Ingredient): NameEntry[] {
  const bare = name.replace(/\([^)]*\)/g, ' ');
  const [head, ...tail] = bare.split(',');
  const inverted = tail.length > 0 ? `${tail.join(' ')} ${head}` : bare;
  return [...new Set([plain(name), plain(bare), plain(inverted)])]
    .filter((text) => text !== '')
    .map((text) => ({ as: name, plain: text, words: text.split(' '), ids: [id], asks: false, why: '' }));
}

function tableNames(ingredients: Pantry['ingredients']): NameEntry[] {
  // English first: where two languages share a word, its thing heads the choices.
  const rows = [...nameRows].sort(([a], [b]) => Number(b.startsWith('en')) - Number(a.startsWith('en')));
  return rows.flatMap(([locale, all, asks, why, names]) => {
    const ids = all.split(' ').filter((id) => ingredients[id]);
    if (ids.length === 0) return [];
    // A name that asks about one thing, or does not say why, asks about what that thing is taken for, too.
    const saysWhy = why !== '' && !/^(?:More than one|The same word is)/.test(why);
    const alike = asks && (ids.length === 1 || !saysWhy) ? (confusedWith(ids[0]!)?.ids.filter((id) => ingredients[id]) ?? []) : [];
    const meant = [...new Set([...ids, ...alike])];
    return names.split('; ').map((as): NameEntry => {
      const text = plain(as);
      return {
        as,
        plain: text,
        words: text.split(' '),
        ids: meant,
        asks,
        why: asks && (alike.length > 0 || !saysWhy) ? (confusedWith(ids[0]!)?.ask ?? why) : why,
        locale,
      };
    });
  });
}

function join(map: Map<string, Meaning>, key: string, { ids, asks, why }: Meaning): void {
  const held = map.get(key);
  if (!held) return void map.set(key, { ids, asks: asks || ids.length > 1, why });
  const all = [...new Set([...held.ids, ...ids])];
  map.set(key, { ids: all, asks: held.asks || asks || all.length > 1, why: held.why || why });
}

function turns(ingredients: Pantry['ingredients']): NameBook['turns'] {
  const map = new Map<string, { words: ReadonlySet<string>; becomes: readonly string[] }[]>();
  for (const [id, becomes, words] of turningRows) {
    const one = { words: new Set(words.split('; ').map(plain)), becomes: becomes.split(' ').filter((to) => ingredients[to]) };
    map.set(id, [...(map.get(id) ?? []), one]);
  }
  return map;
}
