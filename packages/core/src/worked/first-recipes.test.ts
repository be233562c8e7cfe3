import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { families } from '../facts/families.js';
import { evaluate, findingsOf } from '../evaluate.js';
import { linesOf } from '../entry/recipe-json.js';
import { readList } from '../index.js';
import { formulaFromList, type ListedAmount } from '../solve/from-list/formula-from-list.js';
import { referencePantry as pantry } from '../solve/reference.js';
import { referenceKitchen as kitchen } from '../solve/reference-kitchen.js';
import { withOvenSettled } from '../solve/from-list/settled.js';
import { starterFormula } from '../solve/starter.js';

type Recipe = { readonly name: string; readonly text: string; readonly family: string; readonly rightFixes: readonly string[] };
/** Written by us before the code that reads them: a figure measured on them is weak. */
const { recipes } = JSON.parse(readFileSync(join(__dirname, 'first-recipes.json'), 'utf8')) as { recipes: readonly Recipe[] };

function made({ name, text, family }: Recipe) {
  let n = 0;
  const newKey = () => `n${(n += 1)}`;
  const lines = readList(linesOf(text).lines, pantry.ingredients, { filling: 'spooned', own: {}, said: {} });
  const list = lines.flatMap(({ ingredientId, candidates, mass, written, part, under }): ListedAmount[] => {
    const id = ingredientId ?? candidates[0];
    return id && mass ? [{ ingredientId: id, massG: mass.massG, written, ...(part ? { part } : {}), ...(under ? { under } : {}) }] : [];
  });
  const first = starterFormula(families[family]!, name, { kitchen, pantry }, newKey);
  return withOvenSettled(formulaFromList(first, list, pantry, { newKey, how: 'instead' }), kitchen, pantry);
}

describe('a recipe as it is written becomes a formula with no Fix but those that are right for it', () => {
  it.each(recipes.map((one) => [one.name, one] as const))('%s', (_name, recipe) => {
    const found = findingsOf(evaluate(made(recipe), kitchen, pantry)).filter(({ level }) => level === 'fix');
    expect([...new Set(found.map(({ code }) => code))].filter((code) => !recipe.rightFixes.includes(code))).toEqual([]);
  });
});
