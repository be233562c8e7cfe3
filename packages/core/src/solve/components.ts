import { InputError, within } from '../errors.js';
import type { Formula, GoesOn, Row, RowUse } from '../document/formula.js';
import type { Component, Preparation } from '../document/preparation.js';

/** What a component may be for. */
export type ComponentUse = Exclude<RowUse, 'dough' | 'rollIn'>;

/**
 * A formula with a new component, of one row.
 *
 * Units    g.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 */
export function withNewComponent(
  formula: Formula,
  { name, use, goesOn }: { readonly name: string; readonly use: ComponentUse; readonly goesOn?: GoesOn },
  { ingredientId, amountG }: Pick<Row, 'ingredientId' | 'amountG'>,
  newKey: () => string,
): Formula {
  const key = newKey();
  const row: Row = { key: newKey(), ingredientId, amountG, use, ...(goesOn ? { goesOn } : {}), component: key };
  return {
    ...formula,
    rows: [...formula.rows, row],
    components: [...(formula.components ?? []), { key, name, acts: [], boiledOffG: 0, drainedG: 0 }],
  };
}

/**
 * A formula with one more row in a component, for and when the component is.
 *
 * Units    g.
 * Throws   InputError at components for one that is not there, or that holds nothing.
 * Findings none.
 * Source   none.
 */
export function withRowIn(
  formula: Formula,
  component: string,
  { key, ingredientId, amountG }: Pick<Row, 'key' | 'ingredientId' | 'amountG'>,
): Formula {
  const { use, goesOn } = firstOf(formula, component);
  return { ...formula, rows: [...formula.rows, { key, ingredientId, amountG, use, ...(goesOn ? { goesOn } : {}), component }] };
}

/**
 * A row as part of a component, or on its own (null); a component that nothing is part of any more is gone.
 *
 * Units    none.
 * Throws   as withRowIn.
 * Findings none.
 * Source   none.
 */
export function withRowPartOf(formula: Formula, rowKey: string, component: string | null): Formula {
  const to = component === null ? null : firstOf(formula, component);
  return withoutEmpty({
    ...formula,
    rows: formula.rows.map((row): Row => {
      if (row.key !== rowKey) return row;
      const { component: _was, ...rest } = row;
      if (to === null) return rest;
      const { goesOn: _when, fat: _fat, ...bare } = rest;
      return { ...bare, use: to.use, ...(to.goesOn ? { goesOn: to.goesOn } : {}), component: component! };
    }),
  });
}

/**
 * All of a component for something else, or at another moment.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 */
export function componentFor(
  formula: Formula,
  component: string,
  { use, goesOn }: { readonly use: ComponentUse; readonly goesOn?: GoesOn },
): Formula {
  return {
    ...formula,
    rows: formula.rows.map((row): Row => {
      if (row.component !== component) return row;
      const { goesOn: _was, ...rest } = row;
      return { ...rest, use, ...(goesOn && use !== 'foldIn' ? { goesOn } : {}) };
    }),
  };
}

/**
 * A component as large as so much of it for a piece makes it: its rows and losses grow together.
 *
 * Units    g a piece; `madeG` what it makes now.
 * Throws   InputError at pieceG out of 0.1..5000, or where nothing comes of it yet.
 * Findings none.
 * Source   arithmetic.
 */
export function componentOfPiece(
  formula: Formula,
  component: string,
  { pieceG, pieces, madeG }: { readonly pieceG: number; readonly pieces: number; readonly madeG: number },
): Formula {
  within('pieceG', pieceG, 0.1, 5000, 'g');
  if (!(madeG > 0) || pieces < 1) throw new InputError('pieceG', 'nothing comes of it yet: add to it first');
  const times = (pieceG * pieces) / madeG;
  const round = (g: number) => Number((g * times).toFixed(2));
  return {
    ...formula,
    // What was typed spoke of the amount as it was.
    rows: formula.rows.map((row): Row => {
      if (row.component !== component) return row;
      const { entered: _entered, ...rest } = row;
      return { ...rest, amountG: round(row.amountG) };
    }),
    components: (formula.components ?? []).map((one) =>
      one.key === component ? { ...one, boiledOffG: round(one.boiledOffG), drainedG: round(one.drainedG) } : one,
    ),
  };
}

/**
 * A formula without a component: its rows stay on their own, or go with it.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 */
export function withoutComponent(formula: Formula, component: string, rows: 'stay' | 'go'): Formula {
  const its = ({ component: of }: Row) => of === component;
  return withoutEmpty({
    ...formula,
    rows:
      rows === 'go'
        ? formula.rows.filter((row) => !its(row))
        : formula.rows.map((row): Row => {
            if (!its(row)) return row;
            const { component: _was, ...rest } = row;
            return rest;
          }),
  });
}

/**
 * A row of a preparation, opened up: made in the formula as a component of the preparation's rows, as much as the row weighs.
 *
 * Units    g.
 * Throws   InputError at rows for a preparation of which nothing is left.
 * Findings none.
 * Source   arithmetic; evaluates as the row did.
 */
export function withPreparationOpened(formula: Formula, rowKey: string, preparation: Preparation, newKey: () => string): Formula {
  const row = formula.rows.find(({ key }) => key === rowKey);
  const rawG = preparation.rows.reduce((sum, { amountG }) => sum + amountG, 0);
  const madeG = rawG - preparation.boiledOffG - preparation.drainedG;
  if (!row || !(madeG > 0)) throw new InputError('rows', 'nothing comes of this preparation');
  const times = row.amountG / madeG;
  const { name, acts, drainedIngredientId, cookedToC } = preparation;
  const component: Component = {
    key: newKey(),
    name,
    acts,
    boiledOffG: preparation.boiledOffG * times,
    drainedG: preparation.drainedG * times,
    ...(drainedIngredientId === undefined ? {} : { drainedIngredientId }),
    ...(cookedToC === undefined ? {} : { cookedToC }),
  };
  const { use, goesOn } = row;
  const opened = preparation.rows.map(({ ingredientId, amountG, lotId }): Row => ({
    key: newKey(),
    ingredientId,
    amountG: amountG * times,
    use,
    ...(goesOn ? { goesOn } : {}),
    ...(lotId === undefined ? {} : { lotId }),
    component: component.key,
  }));
  return {
    ...formula,
    rows: formula.rows.flatMap((one) => (one.key === rowKey ? opened : [one])),
    components: [...(formula.components ?? []), component],
  };
}

/**
 * A component as a preparation of the pantry: made for stock, with a day it keeps to, and for other formulas too.
 *
 * Units    g, days.
 * Throws   InputError at components for one that is not there.
 * Findings none.
 * Source   none.
 */
export function preparationOf(
  { rows, components = [] }: Pick<Formula, 'rows' | 'components'>,
  key: string,
  { id, keepDays, keepAt }: Pick<Preparation, 'id' | 'keepDays' | 'keepAt'>,
): Preparation {
  const component = components.find((one) => one.key === key);
  if (!component) throw new InputError('components', 'is not a component of this formula');
  const { key: _key, ...making } = component;
  return {
    schema: 1,
    id,
    ...making,
    rows: rows
      .filter((row) => row.component === key)
      .map(({ key: rowKey, ingredientId, amountG, entered, lotId }) => ({
        key: rowKey,
        ingredientId,
        amountG,
        ...(entered === undefined ? {} : { entered }),
        ...(lotId === undefined ? {} : { lotId }),
      })),
    keepDays,
    keepAt,
  };
}

/**
 * A formula without one of its rows; a component that it was the last of goes with it.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 */
export const withoutRowAt = (formula: Formula, index: number): Formula =>
  withoutEmpty({ ...formula, rows: formula.rows.filter((_, i) => i !== index) });

function firstOf({ rows }: Formula, component: string): Row & { readonly use: ComponentUse } {
  const first = rows.find((row) => row.component === component);
  if (!first) throw new InputError('components', 'is not a component of this formula');
  return first as Row & { readonly use: ComponentUse };
}

/** A component of nothing is none. */
function withoutEmpty(formula: Formula): Formula {
  const { components = [], ...rest } = formula;
  const left = components.filter(({ key }) => formula.rows.some(({ component }) => component === key));
  return { ...rest, ...(left.length > 0 ? { components: left } : {}) };
}
