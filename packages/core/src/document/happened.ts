import type { BakeEvent, Happened, RunStep } from './bake.js';
import type { Formula, Row } from './formula.js';

/**
 * Events that nobody took back, in the order they happened; those of one moment by id, so that every device reads the same.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   `corrects` of the events themselves.
 *
 * @example
 * standingEvents([]); // => []
 */
export function standingEvents(events: readonly BakeEvent[]): BakeEvent[] {
  const corrected = new Set(events.flatMap(({ corrects }) => corrects ?? []));
  return events.filter(({ id }) => !corrected.has(id)).sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1));
}

/**
 * What was weighed of each row, corrections counted; rows with no weight are left out.
 *
 * Units    g, by row key.
 * Throws   nothing.
 * Findings none.
 * Source   a sum.
 *
 * @example
 * weighedOf([]); // => {}
 */
export function weighedOf(events: readonly BakeEvent[]): Record<string, number> {
  const sums: Record<string, number> = {};
  for (const { what } of standingEvents(events)) if (what.kind === 'weighed') sums[what.rowKey] = (sums[what.rowKey] ?? 0) + what.addedG;
  return sums;
}

/**
 * Rows that were left out of a run: every step that weighs one was skipped, and nothing of it was weighed.
 *
 * Units    row keys.
 * Throws   nothing.
 * Findings none.
 * Source   the events that nobody took back.
 *
 * @param steps of the run; of a bake written down afterwards there are none, and nothing is known to be left out
 */
export function rowsLeftOut(events: readonly BakeEvent[], steps: readonly RunStep[]): ReadonlySet<string> {
  const weighed = weighedOf(events);
  const skipped = new Set(standingEvents(events).flatMap(({ stepKey, what }) => (what.kind === 'skipped' ? [stepKey] : [])));
  const of = steps.filter(({ kind, rowKey }) => kind === 'weigh' && rowKey !== undefined);
  const keys = new Set(of.map(({ rowKey }) => rowKey!));
  return new Set([...keys].filter((key) => weighed[key] === undefined && of.every((step) => step.rowKey !== key || skipped.has(step.key))));
}

/**
 * The last thing of a kind that was said of a bake; an event that corrects another stands for it.
 *
 * Units    those of what is asked for.
 * Throws   nothing; undefined where it was never said.
 * Findings none.
 * Source   standingEvents.
 */
export function lastOf<T>(events: readonly BakeEvent[], of: (what: Happened) => T | undefined): T | undefined {
  return standingEvents(events)
    .map(({ what }) => of(what))
    .findLast((value) => value !== undefined);
}

export type AsBaked = {
  /** Rows swapped, lots as taken, what was added as rows of its own. */ readonly formula: Formula;
  /** g by row key. */ readonly weighed: Readonly<Record<string, number>>;
  /** g by row key and lot, of what was weighed from a bag that was named. */ readonly bags: Readonly<
    Record<string, Readonly<Record<string, number>>>
  >;
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
  const bags: Record<string, Record<string, number>> = {};
  for (const { id, what } of stood) {
    if (what.kind === 'weighed') {
      // Taken out again without a word of the bag: out of the one that was poured from last.
      const from = what.lotId ?? lot.get(what.rowKey);
      const held = (bags[what.rowKey] ??= {});
      if (from !== undefined) held[from] = (held[from] ?? 0) + what.addedG;
    }
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
    bags,
  };
}
