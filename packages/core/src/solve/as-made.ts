import { mixWith } from '../dough/mix.js';
import { asBaked, lastOf, rowsLeftOut } from '../document/happened.js';
import { weighToleranceG } from '../run/state.js';
import { roundTo } from '../units/rounding.js';
import type { BakeEvent, RunStep } from '../document/bake.js';
import type { Formula, Row } from '../document/formula.js';
import type { Pantry } from '../document/pantry.js';

/** A bake whose ways may be taken over. */
export type MadeBake = {
  /** As it was planned, unscaled. */ readonly formula: Formula;
  readonly factor: number;
  readonly events: readonly BakeEvent[];
  /** Of its run; empty for one written down afterwards. */ readonly steps: readonly RunStep[];
};

/** Grams are written to this. */
const GRAIN_G = 0.1;

/**
 * A formula with what was done otherwise at the bench: what was put in besides, left out, swapped, or weighed well off the plan. What was
 * weighed as planned stays as it is written, and so does everything of the formula that the bake did not have.
 *
 * Units    g, at the size of the formula.
 * Throws   nothing.
 * Findings none.
 * Source   the events that nobody took back; facts/run weighTolerance says what is as planned.
 *
 * @param into the formula that is to be the next one: the bake's own, or one that came after it
 * @param scaleStepG the least that the scale shows
 * @param newKey for each row that was added
 */
export function takenAsMade(
  into: Formula,
  { formula, factor, events, steps }: MadeBake,
  pantry: Pantry,
  { scaleStepG, newKey }: { readonly scaleStepG: number; readonly newKey: () => string },
): Formula {
  const times = factor * (lastOf(events, (what) => (what.kind === 'scaled' ? what.factor : undefined)) ?? 1);
  const made = asBaked(formula, events);
  const leftOut = rowsLeftOut(events, steps);
  /** Grams as they went in, where that is not what was planned. */
  const otherwise = (key: string, plannedG: number): number | undefined => {
    const inG = made.weighed[key] ?? (leftOut.has(key) ? 0 : undefined);
    if (inG === undefined || Math.abs(inG - plannedG * times) <= weighToleranceG(plannedG * times, scaleStepG)) return undefined;
    return roundTo(Math.max(0, inG) / times, GRAIN_G);
  };
  const planned = new Map(formula.rows.map((row) => [row.key, row]));
  const real = new Map(made.formula.rows.map((row) => [row.key, row]));
  const rows = into.rows.map((row): Row => {
    const was = planned.get(row.key);
    if (!was) return row;
    const amountG = otherwise(row.key, was.amountG);
    const { ingredientId } = real.get(row.key)!;
    return {
      ...row,
      ...(ingredientId === was.ingredientId ? {} : { ingredientId }),
      ...(amountG === undefined ? {} : { amountG }),
    };
  });
  const added = made.formula.rows
    .slice(formula.rows.length)
    .map(({ ingredientId, amountG }): Row => ({ key: newKey(), ingredientId, amountG: roundTo(amountG / times, GRAIN_G), use: 'dough' }));
  const next = { ...into, ...blendAsMade(into, formula, made.formula, otherwise), rows: [...rows, ...added] };
  return added.reduce((so, { key }) => ({ ...so, mix: mixWith(so, key, pantry) }), next);
}

/** Shares and grams of the blend, where its flours are the same ones and one was weighed otherwise or swapped. */
function blendAsMade(
  into: Formula,
  planned: Formula,
  made: Formula,
  otherwise: (key: string, plannedG: number) => number | undefined,
): Pick<Formula, 'blendG' | 'blend'> | Record<string, never> {
  const keys = ({ blend }: Formula) => blend.rows.map(({ key }) => key).join(' ');
  if (keys(into) !== keys(planned)) return {};
  const grams = planned.blend.rows.map(({ key, share }) => otherwise(key, share * planned.blendG));
  const swapped = made.blend.rows.map(({ ingredientId }, i) => ingredientId !== planned.blend.rows[i]!.ingredientId);
  if (grams.every((g) => g === undefined) && !swapped.includes(true)) return {};
  const inG = grams.map((g, i) => g ?? into.blend.rows[i]!.share * into.blendG);
  const blendG = inG.reduce((sum, g) => sum + g, 0);
  if (blendG <= 0) return {};
  const rows = into.blend.rows.map((row, i) => ({
    ...row,
    share: inG[i]! / blendG,
    ...(swapped[i] ? { ingredientId: made.blend.rows[i]!.ingredientId } : {}),
  }));
  return { blendG, blend: { ...into.blend, rows: rows.filter(({ share }) => share > 0) } };
}
