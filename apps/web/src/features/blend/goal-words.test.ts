import { goalKeys, publishedIngredients } from '@north-leaf/core';
import { goalWords, shownGoal } from './goal-words';

const pantry = { ingredients: publishedIngredients(), lots: {} };

describe('wishes in words', () => {
  it.each(goalKeys)('%s has words of its own', (key) => expect(goalWords(key, 'atMost', pantry, 'EUR').words).not.toBe(key));
  it('names the flour whose taste is kept, and shows shares in percent, cost in money', () => {
    expect(goalWords('taste:sorghum', 'atLeast', pantry, 'EUR')).toEqual({ words: 'keeps sorghum flour at least', times: 100, unit: '%' });
    expect(shownGoal(355, goalWords('cost', 'atMost', pantry, 'EUR').times)).toBe('3.55');
    expect(shownGoal(0.3, goalWords('starch', 'atMost', pantry, 'EUR').times)).toBe('30');
  });
});
