import { familyWords } from '../facts/family-words.js';

/**
 * Families that a title names, each by the longest of its words that stands there; of several, those of the longest word.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   facts/family-words (common practice, no source). Accents and marks do not count.
 *
 * @example
 * familiesNamedIn('Seeded crackers').get('cracker_savoury'); // => 'seeded crackers'
 */
export function familiesNamedIn(title: string): Map<string, string> {
  const text = ` ${plain(title)} `;
  const found = Object.entries(familyWords.values).flatMap(([family, words]) => {
    const [longest] = words
      .split('; ')
      .filter((word) => text.includes(` ${plain(word)} `))
      .sort((a, b) => b.length - a.length);
    return longest === undefined ? [] : [{ family, word: longest }];
  });
  const most = Math.max(0, ...found.map(({ word }) => word.length));
  return new Map(found.filter(({ word }) => word.length === most).map(({ family, word }) => [family, word]));
}
const plain = (text: string) =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}]+/gu, ' ')
    .trim();
