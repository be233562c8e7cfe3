import { standingEvents, weighedOf } from './state.js';
import type { BakeEvent } from '../document/bake.js';
import type { Formula, Row } from '../document/formula.js';

export type AsBaked = {
  /** Rows swapped, lots as taken, what was added as rows of its own. */ readonly formula: Formula;
  /** g by row key. */ readonly weighed: Readonly<Record<string, number>>;
};

/**
 * A formula as it was really made: its swaps, its lots, what was put in besides.
 *
 * Units    g; amounts of rows stay those of the formula, what was weighed stands beside them.
 * Throws   nothing.
 * Findings none.
 * Source   the events that nobody took back.
 */
export function asBaked(formula: Formula, events: readonly BakeEvent[]): AsBaked {
  const stood = standingEvents(events);
  const newcomer = new Map<string, string>();
  const lot = new Map<string, string>();
  const added: Row[] = [];
  for (const { id, what } of stood) {
    if (what.kind === 'swapped') newcomer.set(what.rowKey, what.ingredientId);
    if (what.kind === 'weighed' && what.lotId !== undefined) lot.set(what.rowKey, what.lotId);
    if (what.kind === 'added')
      added.push({
        key: `added:${id}`,
        ingredientId: what.ingredientId,
        amountG: what.amountG,
        use: 'dough',
        ...(what.lotId ? { lotId: what.lotId } : {}),
      });
  }
  const real = <R extends { readonly key: string; readonly ingredientId: string }>(row: R): R => ({
    ...row,
    ...(newcomer.has(row.key) ? { ingredientId: newcomer.get(row.key)! } : {}),
    ...(lot.has(row.key) ? { lotId: lot.get(row.key)! } : {}),
  });
  return {
    formula: {
      ...formula,
      blend: { ...formula.blend, rows: formula.blend.rows.map(real) },
      rows: [...formula.rows.map(real), ...added],
    },
    weighed: { ...weighedOf(stood), ...Object.fromEntries(added.map(({ key, amountG }) => [key, amountG])) },
  };
}
