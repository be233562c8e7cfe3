import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { publishedIngredients } from '../ingredient/published.js';

/* What `npm run house` counts, where it must stay at none: an id in the code is a thing of the baker's own that does not behave. */
describe('the core', () => {
  const root = join(__dirname, '..');
  const files = (readdirSync(root, { recursive: true }) as string[]).filter(
    (file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && !/^(facts|demo|worked)\//.test(file),
  );
  it('asks what an ingredient does, never which it is', () => {
    // Words of the trade that are ids too are told apart by what they are compared with.
    const ids = Object.keys(publishedIngredients()).filter((id) => id.includes('_'));
    const named = files.flatMap((file) => {
      const text = readFileSync(join(root, file), 'utf8').replace(/\/\*[\s\S]*?\*\/|\/\/[^\n]*/g, '');
      const by = /(?:\.id|ingredientId) ?[!=]== ?'\w+'|(?:\.id|ingredientId)\.startsWith\(/.exec(text);
      return [...ids.filter((id) => text.includes(`'${id}'`)), ...(by ? [by[0]] : [])].map((what) => `${file}: ${what}`);
    });
    expect(named).toEqual([]);
  });
});
