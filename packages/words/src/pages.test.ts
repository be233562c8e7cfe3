import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { voiceOf, type Key } from './index.js';
import { pages } from './pages.js';

const FOLDER = join(__dirname, 'en/pages');
const rooms = readdirSync(FOLDER).map((file) => {
  const sentences = JSON.parse(readFileSync(join(FOLDER, file), 'utf8')) as Readonly<Record<string, string>>;
  return { room: file.replace('.json', ''), sentences };
});
const all = Object.entries(pages) as (readonly [Key, string])[];

describe('what stands on the pages', () => {
  it('is said under its room’s name, once', () => {
    for (const { room, sentences } of rooms) for (const key of Object.keys(sentences)) expect(key).toMatch(new RegExp(`^${room}\\.`));
    expect(all).toHaveLength(rooms.reduce((sum, { sentences }) => sum + Object.keys(sentences).length, 0));
  });

  it('has one and many of whatever is counted, with the count in it', () => {
    const counted = Object.keys(pages).filter((key) => key.endsWith('_one'));
    expect(counted.length).toBeGreaterThan(15);
    for (const key of counted) expect(Object.keys(pages)).toContain(key.replace(/_one$/, '_other'));
  });

  it('fills in all that it names, and leaves no brace', () => {
    for (const [key, sentence] of all) {
      const names = [...sentence.matchAll(/\{\{(\w+)\}\}/g)].map(([, name]) => name!);
      expect(sentence.replace(/\{\{\w+\}\}/g, '')).not.toMatch(/[{}]|\$t\(/);
      const told = voiceOf().say(key, Object.fromEntries(names.map((name) => [name, name === 'count' ? 7 : `‹${name}›`])));
      for (const name of names) expect(told).toContain(name === 'count' ? '7' : `‹${name}›`);
    }
  });

  it('names no context word of the library where a value was meant', () => {
    for (const [, sentence] of all) expect(sentence).not.toMatch(/\{\{(?:context|ordinal|lng|ns|replace|defaultValue)\}\}/);
  });

  it('has nothing but b for marks', () => {
    for (const [, sentence] of all) expect(sentence.replace(/<\/?b>/g, '')).not.toMatch(/<\/?[a-z]/);
  });
});
