import { isOfDough } from '../document/formula.js';
import type { Formula } from '../document/formula.js';
import type { Component } from '../document/preparation.js';

/**
 * One dough, several goods: a formula with blend, dough rows, mix and chill of a version of another; its own family, wash, topping, dust,
 * sheet, bake and keep stay.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none: a copy. Keys of the dough's rows stay as they were there, so that its mix still names them.
 */
export function withDoughOf(formula: Formula, source: Formula, from: { readonly formulaId: string; readonly version: number }): Formula {
  const dough = source.rows.filter(isOfDough);
  const taken = new Set(dough.map(({ key }) => key));
  const own = formula.rows
    .filter((row) => !isOfDough(row))
    .map((row) => (taken.has(row.key) ? { ...row, key: freeKey(row.key, taken) } : row));
  const { blend, blendG, mix, doughAtC, restMin, holdBackShare, chill } = source;
  const { blendEntered: _entered, components: held = [], ...rest } = formula;
  // What is folded into a dough comes with what it is made of.
  const components = [...held.filter(isNamedBy(own)), ...(source.components ?? []).filter(isNamedBy(dough))];
  return {
    ...rest,
    ...(components.length > 0 ? { components } : {}),
    doughOf: from,
    blend,
    blendG,
    rows: [...dough, ...own],
    mix,
    doughAtC,
    restMin,
    holdBackShare,
    chill,
  };
}

const isNamedBy =
  (rows: Formula['rows']) =>
  ({ key }: Component): boolean =>
    rows.some(({ component }) => component === key);

/**
 * The formula on its own again: it keeps the dough as it is, and no longer follows.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 */
export function withOwnDough({ doughOf: _from, ...formula }: Formula): Formula {
  return formula;
}

/**
 * Whether the dough still is what it was taken from; amounts may be of another size.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * isStillDoughOf(demoCrackerV2, demoCrackerV2); // => true
 */
export function isStillDoughOf(formula: Formula, source: Formula): boolean {
  const shares = ({ rows, blendG, blend }: Formula) => [
    ...blend.rows.map(({ ingredientId, share }) => [ingredientId, share] as const),
    ...rows.filter(isOfDough).map(({ ingredientId, amountG }) => [ingredientId, amountG / blendG] as const),
  ];
  const [a, b] = [shares(formula), shares(source)];
  return a.length === b.length && a.every(([id, share], i) => id === b[i]![0] && Math.abs(share - b[i]![1]) < 1e-6);
}

function freeKey(key: string, taken: Set<string>): string {
  let free = `${key}x`;
  while (taken.has(free)) free += 'x';
  taken.add(free);
  return free;
}
