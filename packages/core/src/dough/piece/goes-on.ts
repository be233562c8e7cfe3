import { InputError } from '../../errors.js';
import { isOfDough, type Formula, type GoesOn, type Row, type RowUse } from '../../document/formula.js';

/** What is not of the dough. */
export type OnPiece = Exclude<RowUse, 'dough' | 'rollIn' | 'foldIn'>;

/** When each use goes on, where nothing is said. */
const usual: Readonly<Record<OnPiece, GoesOn>> = {
  dust: { at: 'shaping' },
  filling: { at: 'shaping' },
  wash: { at: 'bakeStep', n: 0 },
  topping: { at: 'bakeStep', n: 0 },
};

/**
 * When a row goes on; null for the dough itself and what is folded into it.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   common practice, no source: a wash goes on before the oven, a topping as its row says.
 *
 * @example
 * goesOnOf({ use: 'dough' }); // => null
 */
export const goesOnOf = ({ use, goesOn }: Pick<Row, 'use' | 'goesOn'>): GoesOn | null =>
  isOfDough({ use }) ? null : (goesOn ?? usual[use as OnPiece]);

/** Whether a row is on the piece while it bakes. */
export function isInOven(row: Pick<Row, 'use' | 'goesOn'>): boolean {
  const goesOn = goesOnOf(row);
  return goesOn === null || goesOn.at === 'shaping' || goesOn.at === 'wait' || goesOn.at === 'bakeStep';
}

/**
 * Every wait and step that a row names has to be there.
 *
 * Units    none.
 * Throws   InputError at rows[i].goesOn for a wait after cutting or a bake step that the formula does not have.
 * Findings none.
 * Source   the formula itself.
 */
export function checkGoesOn({ rows, sheet, bake }: Formula): void {
  rows.forEach((row, i) => {
    const goesOn = goesOnOf(row);
    if (!goesOn || !('n' in goesOn)) return;
    const most = goesOn.at === 'wait' ? sheet.waits.length : bake.steps.length;
    if (!Number.isInteger(goesOn.n) || goesOn.n < 0 || goesOn.n >= Math.max(1, most)) {
      const what = goesOn.at === 'wait' ? 'waits after cutting' : 'steps in the oven';
      throw new InputError(
        `rows[${i}].goesOn`,
        `names ${goesOn.at === 'wait' ? 'wait' : 'step'} ${goesOn.n + 1}, and there are ${most} ${what}`,
      );
    }
  });
}
