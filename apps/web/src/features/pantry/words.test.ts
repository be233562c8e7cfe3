import { allergenCodes, publishedIngredients } from '@north-leaf/core';
import { allergenWords, labelAllergens } from './words';

const held = new Set(Object.values(publishedIngredients()).flatMap((one) => [...allergenCodes(one)]));
const bare = (code: string) => code.replace(/:possible$/, '');

describe('allergens in a kitchen’s words', () => {
  it('names every code that a published ingredient holds, never by the code itself', () => {
    for (const code of held) {
      const { sure, may } = allergenWords([code]);
      expect([...sure, ...may]).toHaveLength(1);
      expect([...sure, ...may][0]).not.toMatch(/[._:]|^(?:us|eu)\b/);
    }
  });

  it('says one thing once, whatever two laws call it', () => {
    expect(allergenWords(['us.milk', 'eu.milk'])).toEqual({ sure: ['milk'], may: [] });
    expect(allergenWords(['us.tree_nut', 'eu.nuts']).sure).toHaveLength(1);
  });

  it('keeps what may be in it apart, and drops it where the same is in it for certain', () => {
    expect(allergenWords(['eu.soy:possible'])).toEqual({ sure: [], may: ['soy'] });
    expect(allergenWords(['eu.soy:possible', 'us.soy'])).toEqual({ sure: ['soy'], may: [] });
  });

  it('asks on a label for every allergen an ingredient may hold', () => {
    const asked = new Set(labelAllergens.flatMap(({ codes }) => codes));
    const silent = [...held].map(bare).filter((code) => !asked.has(code) && ![...asked].some((one) => code.startsWith(`${one}:`)));
    // A label nobody read is no allergen that could be ticked.
    expect([...new Set(silent)].filter((code) => code !== 'label.unread')).toEqual([]);
  });

  it('asks by the name it answers with', () => {
    for (const { name, codes } of labelAllergens) for (const code of codes) expect(allergenWords([code]).sure).toEqual([name]);
  });
});
