import { isOfDough } from '../../document/formula.js';
import { goesOnOf } from '../../dough/piece/goes-on.js';
import { hands, stepOf, weigh } from './made.js';
import type { RunStep } from '../../document/bake.js';
import type { Row } from '../../document/formula.js';
import type { Component, PreparationActName } from '../../document/preparation.js';
import type { DoughMade } from './made.js';

/** They leave the hands free. */
const waits: ReadonlySet<PreparationActName> = new Set(['soak', 'drain', 'stand']);
/** They take time or heat: done before the dough, however late it goes on. */
const early: ReadonlySet<PreparationActName> = new Set(['soak', 'drain', 'stand', 'boil', 'warm']);
const late: ReadonlySet<string | undefined> = new Set(['hot', 'cooled', 'serving']);

/** What goes on or in together: rows of no component, and components as they were made. */
export type Together = { readonly names: readonly string[]; readonly amountG: number; readonly steps: readonly RunStep[] };

/**
 * What is made before the dough: what stands, drains or is cooked, and what goes in before the oven. A cream that is only whipped is
 * whipped when it goes on.
 */
export const madeFirst = (made: DoughMade): RunStep[] =>
  componentsOf(made)
    .filter((component) => isFirst(made, component))
    .flatMap((component) => making(made, component, stageOf(rowsOf(made, component)[0]!)));

/** Where it is wanted: a run that begins from dough that is there still cooks its filling. */
function stageOf(row: Row): RunStep['stage'] {
  if (isOfDough(row)) return 'dough';
  const at = goesOnOf(row)?.at;
  return late.has(at) ? 'keep' : at === 'bakeStep' ? 'bake' : 'sheet';
}

/** Rows as they are taken up: what is not weighed yet is weighed, what is not made yet is made. */
export function takenUp(made: DoughMade, rows: readonly Row[], stage: RunStep['stage'], weighing = true): Together {
  const { pantry, results } = made;
  const loose = rows.filter((row) => row.component === undefined);
  const components = componentsOf(made).filter(({ key }) => rows.some(({ component }) => component === key));
  const amounts = components.map(({ key }) => results.dough.components.find((one) => one.key === key)?.madeG ?? 0);
  return {
    names: [
      ...loose.map(({ ingredientId }) => pantry.ingredients[ingredientId]?.name ?? ingredientId),
      ...components.map(({ name }) => name),
    ],
    amountG: [...loose.map(({ amountG }) => amountG), ...amounts].reduce((sum, g) => sum + g, 0),
    steps: weighing
      ? [
          ...loose.flatMap(({ key }) => weigh(made, key, 1, stage)),
          ...components.filter((component) => !isFirst(made, component)).flatMap((component) => making(made, component, stage)),
        ]
      : [],
  };
}

const componentsOf = ({ formula: { components = [] } }: DoughMade) => components;
const rowsOf = ({ formula: { rows } }: DoughMade, { key }: Component) =>
  rows.filter(({ component, amountG }) => component === key && amountG > 0);

function isFirst(made: DoughMade, component: Component): boolean {
  const row = rowsOf(made, component)[0];
  if (!row || component.acts.length === 0) return false;
  return !late.has(goesOnOf(row)?.at) || component.acts.some(({ act }) => early.has(act));
}

/** Its rows weighed into one bowl, then what is done to them; the last act says what comes of it. */
function making(made: DoughMade, component: Component, stage: RunStep['stage']): RunStep[] {
  const { name, acts, cookedToC } = component;
  const last = acts.length - 1;
  const cooks = acts.findLastIndex(({ act }) => act === 'boil' || act === 'warm');
  const madeG = made.results.dough.components.find(({ key }) => key === component.key)?.madeG;
  return [
    ...rowsOf(made, component).flatMap(({ key }) => weigh(made, key, 1, stage).map((step) => ({ ...step, into: name }))),
    ...acts.map(({ key, act, min, stopAt }, i) => {
      const stands = waits.has(act) && min !== undefined && min > 0;
      return stepOf(
        'prepare',
        stands ? hands.move : (min ?? hands.mix),
        {
          kind: stands ? 'wait' : 'do',
          into: name,
          act,
          ...(min !== undefined && min > 0 ? { min } : {}),
          ...(stopAt ? { does: stopAt } : {}),
          ...(cookedToC !== undefined && i === (cooks < 0 ? last : cooks) ? { targetC: cookedToC } : {}),
          ...(i === last && madeG !== undefined ? { amountG: madeG } : {}),
        },
        { key: `prepare:${component.key}:${key}`, stage },
      );
    }),
  ];
}
