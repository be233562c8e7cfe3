import { isOfDough, type GoesOn } from '../../document/formula.js';
import { goesOnOf, type OnPiece } from '../../dough/piece/goes-on.js';
import { handsPieceMin } from '../../facts/run.js';
import { isCutShape } from '../../sheet/plan.js';
import { takenUp, type Together } from './component-steps.js';
import { hands, stepOf } from './made.js';
import type { RunStep } from '../../document/bake.js';
import type { Made } from './made.js';

type Kind = OnPiece;
const rawOrder: readonly Kind[] = ['filling', 'wash', 'topping', 'dust'];
/** In the order that hands take them: sugar sticks to a wash; once baked, what falls on a lid falls before it lies on its jam. */
const inOrder = { before: rawOrder, after: ['dust', ...rawOrder.filter((use) => use !== 'dust')] } as const satisfies Record<
  string,
  readonly Kind[]
>;

/**
 * What goes on or in at a moment of the work: weighed, then the act that puts it there.
 *
 * @param made what the steps are made from
 * @param at the moment; `n` its number, where there are several
 * @param which one use alone, or all but one: flour for the table is there before anything is rolled
 */
export function putOn(
  made: Made,
  at: GoesOn['at'],
  { n, only, but, load = 1 }: { readonly n?: number; readonly only?: Kind; readonly but?: Kind; readonly load?: number } = {},
): RunStep[] {
  const rows = made.formula.rows.filter((row) => {
    const on = goesOnOf(row);
    return !isOfDough(row) && on !== null && on.at === at && (!('n' in on) || on.n === n);
  });
  const late = at === 'hot' || at === 'cooled' || at === 'serving';
  return inOrder[late ? 'after' : 'before']
    .filter((use) => use !== but && (only === undefined || use === only))
    .flatMap((use) => {
      const its = rows.filter((row) => row.use === use && row.amountG > 0);
      if (its.length === 0) return [];
      const stage = late ? 'keep' : at === 'bakeStep' ? 'bake' : 'sheet';
      // It is weighed once, and goes on load by load.
      const together = takenUp(made, its, stage, load === 1);
      return [...together.steps, ...act(made, use, together, { at, n, stage, load })];
    });
}

function act(
  { formula, results }: Made,
  use: Kind,
  { names, amountG: allG }: Together,
  {
    at,
    n,
    stage,
    load,
  }: { readonly at: GoesOn['at']; readonly n: number | undefined; readonly stage: 'sheet' | 'bake' | 'keep'; readonly load: number },
): RunStep[] {
  // Flour for the table is there when it is weighed.
  if (use === 'dust' && at === 'shaping') return [];
  const { pieces } = results.sheet;
  const amountG = allG / Math.max(1, pieces);
  const many = formula.sheet.parts.filter(({ shape }) => isCutShape(shape)).reduce((sum, { perPiece }) => sum + perPiece, 0) > 1;
  const what =
    use === 'filling'
      ? stage === 'keep' && many
        ? 'sandwich'
        : 'fill'
      : ({ wash: 'brush', topping: 'strew', dust: 'dust' } as const)[use];
  const perPiece = what === 'dust' ? handsPieceMin.values.strew : handsPieceMin.values[what];
  const base = what === 'dust' ? hands.strew : hands[what];
  return [
    stepOf(
      what,
      base + perPiece * pieces,
      { names, amountG, pieces, ...(what === 'fill' ? { measures: [{ what: 'fillingG' as const, planned: amountG }] } : {}) },
      { key: [what, at, n, load > 1 ? load : undefined].filter((one) => one !== undefined).join(':'), stage },
    ),
  ];
}
