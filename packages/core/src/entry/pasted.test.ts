import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { publishedIngredients } from '../ingredient/published.js';
import { readLine } from './read-line.js';

type Case = { line: string; id: string; g: number; tol: number; asks?: true };
const { lines } = JSON.parse(readFileSync(join(__dirname, '../worked/pasted-cases.json'), 'utf8')) as { lines: Case[] };
const ingredients = publishedIngredients();
const judged = lines.map((one) => {
  const read = readLine(one.line, ingredients);
  const named = read.ingredientId === one.id || (one.asks === true && read.candidates.includes(one.id));
  const weighed = read.mass !== null && Math.abs(read.mass.massG / one.g - 1) <= one.tol;
  // What it means to weigh differs with what it is: where it must ask, asking is right.
  const right = one.asks ? read.asks && named : named && weighed;
  const silent = !right && !read.asks && read.ingredientId !== null && read.mass !== null && read.mass.asks === undefined;
  return { ...one, read, right, silent };
});

describe('ingredient lines as people write them', () => {
  it('are right at least 95 times in 100', () => {
    const wrong = judged.filter(({ right }) => !right);
    const said = wrong.map(
      ({ line, id, g, read }) => `${line} -> ${read.ingredientId} ${read.mass?.massG.toFixed(1)} (${id} ${g})${read.asks ? ' asks' : ''}`,
    );
    expect({ share: (100 * (judged.length - wrong.length)) / judged.length >= 95, said }).toMatchObject({ share: true });
  });
  it('are never silently wrong', () => {
    expect(judged.filter(({ silent }) => silent).map(({ line, read }) => `${line} -> ${read.ingredientId} ${read.mass?.massG}`)).toEqual(
      [],
    );
  });
  it('number over two hundred, in six languages', () => expect(lines.length).toBeGreaterThanOrEqual(200));
});
