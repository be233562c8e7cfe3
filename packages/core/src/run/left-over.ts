import { rawEggDays } from '../facts/cold.js';
import { leftOverDays } from '../facts/keeping-dough.js';
import { daysAfter } from '../units/days.js';
import type { LeftOver, RunStep } from '../document/bake.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Evaluation } from '../evaluate.js';

export type KeptFor = {
  /** Calendar day, 2026-11-25. */ readonly useByOn: string;
  /** Whole pieces that so much is enough for; null where a stage could not be worked out. */ readonly pieces: number | null;
};

/**
 * How long what a run left may be kept, and what it is enough for.
 *
 * Units    g, days.
 * Throws   nothing.
 * Findings none.
 * Source   facts/keeping-dough, facts/cold rawEggDays (judgement); what is baked as long as the formula says it is sold.
 *
 * @param on the day it is kept on, 2026-11-25
 */
export function keptFor(
  what: LeftOver,
  amountG: number,
  placeId: string,
  on: string,
  formula: Formula,
  kitchen: Kitchen,
  evaluation: Evaluation,
): KeptFor {
  const place = kitchen.places.find(({ id }) => id === placeId);
  const days = leftOverDays.values;
  const egg = evaluation.dough.state !== 'waiting' && evaluation.dough.result.eggG > 0;
  const raw =
    place?.kind === 'freezer'
      ? days.freezer
      : place?.kind === 'fridge'
        ? Math.min(days.fridge, egg ? rawEggDays.value : days.fridge)
        : days.otherwise;
  const { sheet } = evaluation;
  const eachG = sheet.state === 'waiting' ? null : what === 'dough' ? sheet.result.pieceDoughG : sheet.result.pieceG;
  return {
    useByOn: daysAfter(on, what === 'baked' ? Math.max(1, formula.keep.sellWithinDays) : raw),
    pieces: eachG === null || eachG <= 0 ? null : Math.floor(amountG / eachG + 1e-6),
  };
}

/**
 * How many times the formula a kept mass is.
 *
 * Units    g.
 * Throws   nothing.
 * Findings none.
 * Source   mass over the formula's own: of its dough, or of its pieces.
 */
export function factorOfKept(what: LeftOver, amountG: number, evaluation: Evaluation): number | null {
  const { dough, sheet } = evaluation;
  if (dough.state === 'waiting' || sheet.state === 'waiting') return null;
  const wholeG = what === 'dough' ? dough.result.doughG : sheet.result.pieceG * sheet.result.pieces;
  return wholeG > 0 ? amountG / wholeG : null;
}

/** Where a run begins that begins from what another left: at the table with its dough, or at the oven with its pieces. */
const firstStage: Readonly<Record<LeftOver, RunStep['stage']>> = { dough: 'sheet', shaped: 'bake', baked: 'keep' };
const stages: readonly RunStep['stage'][] = ['blend', 'dough', 'chill', 'sheet', 'bake', 'keep'];

/**
 * The steps that are left for a run that begins from what another left. The oven is lit first where it was lit before.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   the stage at which such a lot goes on.
 */
export function stepsFrom(steps: readonly RunStep[], what: LeftOver): RunStep[] {
  const from = stages.indexOf(firstStage[what]);
  const left = steps.filter(({ stage, key }) => stages.indexOf(stage) >= from || (key === 'chilledC' && what === 'dough'));
  const on = left.find(({ key }) => key === 'ovenOn');
  if (!on) return left;
  const rest = left.filter(({ key }) => key !== 'ovenOn' && !key.endsWith('+'));
  return [on, ...rest];
}
