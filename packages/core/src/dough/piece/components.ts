import { InputError } from '../../errors.js';
import { madeTogether } from '../../ingredient/made.js';
import { sumG, type Portion } from '../../ingredient/mixture.js';
import { isOfDough, type Formula, type Row } from '../../document/formula.js';
import { goesOnOf } from './goes-on.js';
import type { Pantry } from '../../document/pantry.js';

/** A row and its portion; of a component the whole of it, under the component's own key. */
export type PlacedRow = { readonly row: Row; readonly portion: Portion };

/** A component as it is when it goes on. */
export type MadeComponent = {
  readonly key: string;
  readonly name: string;
  /** What went in, and what is left of it. */ readonly rawG: number;
  readonly madeG: number;
  readonly waterShare: number;
};

/**
 * The rows of a formula as they go in or on: those of one component are one thing, less what boiled or drained off, cooked as far as it was.
 *
 * Units    g.
 * Throws   InputError at components[i].boiledOffG, .drainedG, .cookedToC; at rows[i].component for one that is not there, or that is of
 *          the dough; at rows[i].use and rows[i].goesOn where the rows of one component do not go on together.
 * Findings none.
 * Source   a component is the same as a preparation of the same rows (madeTogether); masses add.
 */
export function placedTogether(
  { rows: written, components = [] }: Pick<Formula, 'rows' | 'components'>,
  rows: readonly PlacedRow[],
  pantry: Pantry,
): { readonly placed: readonly PlacedRow[]; readonly components: readonly MadeComponent[] } {
  checkComponents(written, components);
  if (components.length === 0) return { placed: rows, components: [] };
  const made: MadeComponent[] = [];
  const together = components.flatMap((component, i): PlacedRow[] => {
    const its = rows.filter(({ row, portion }) => row.component === component.key && portion.amountG > 0);
    const first = its[0];
    if (!first) return [];
    const portions = its.map(({ portion }) => portion);
    const portion = atComponent(i, () => madeTogether({ ...component, id: component.key }, portions, pantry));
    const { key, name } = component;
    made.push({
      key,
      name,
      rawG: sumG(portions),
      madeG: portion.amountG,
      waterShare: portion.ingredient.composition.waterShare,
    });
    const { use, goesOn } = first.row;
    return [{ row: { key, ingredientId: key, amountG: portion.amountG, use, ...(goesOn ? { goesOn } : {}) }, portion }];
  });
  return { placed: [...rows.filter(({ row }) => row.component === undefined), ...together], components: made };
}

function checkComponents(rows: Formula['rows'], components: NonNullable<Formula['components']>): void {
  rows.forEach((row, i) => {
    if (row.component === undefined) return;
    const component = components.find(({ key }) => key === row.component);
    if (!component) throw new InputError(`rows[${i}].component`, 'is part of something that this formula does not have');
    if (row.use === 'dough' || row.use === 'rollIn')
      throw new InputError(`rows[${i}].use`, `is of the dough, and part of ${component.name}: take it out of one of them`);
    const first = rows.find((one) => one.component === row.component)!;
    if (first.use !== row.use) throw new InputError(`rows[${i}].use`, `must be what all of ${component.name} is for`);
    if (!isOfDough(row) && JSON.stringify(goesOnOf(first)) !== JSON.stringify(goesOnOf(row)))
      throw new InputError(`rows[${i}].goesOn`, `must go on when all of ${component.name} does`);
  });
}

/** What is wrong with a making is wrong with that component. */
function atComponent<T>(i: number, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    throw new InputError(`components[${i}].${error.path}`, error.message, error.limit);
  }
}
