import { imperial, metric, type OvenCare } from '@north-leaf/core';
import { voiceOf } from '@north-leaf/words';
import { careWords, lists, nextWords } from './words';

const care = (more: Partial<OvenCare>): OvenCare => ({ state: 'measured', daysSince: 3, ...more }) as OvenCare;

describe('words of the kitchen', () => {
  it('say how well an oven is known', () => {
    expect(careWords(care({ daysSince: 0 }))).toMatch(/today/);
    expect(careWords(care({ daysSince: 1 }))).toMatch(/yesterday/);
    expect(careWords(care({ daysSince: 40 }))).toMatch(/40 days ago/);
    expect(careWords(care({ state: 'never', daysSince: null }))).toMatch(/never/i);
  });

  it('say what to measure next and what it gives, in the baker’s degrees', () => {
    for (const { what, why } of Object.values(nextWords(voiceOf(metric)))) {
      expect(what).toMatch(/\w/);
      expect(why).not.toMatch(/\{\{|undefined/);
    }
    expect(JSON.stringify(nextWords(voiceOf(imperial)))).not.toMatch(/°C/);
  });

  it('name every list and one thing of it', () => {
    for (const { title, one } of Object.values(lists)) expect([title, one].every((word) => /^\w/.test(word))).toBe(true);
  });
});
