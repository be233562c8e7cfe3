import { coldGoodDays, openEggDays } from '../facts/cold.js';
import { rawDays } from '../keep/raw-days.js';
import { evaluateDough } from '../evaluate.js';
import { fridgeC } from '../facts/keeping.js';
import { leftOverDays } from '../facts/keeping-dough.js';
import { daysAfter } from '../units/days.js';
import { stageNames } from '../findings/finding.js';
import type { Begins, GoodOfDough, LeftOver, RunStep } from '../document/bake.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen, Place } from '../document/kitchen.js';
import type { Pantry } from '../document/pantry.js';
import type { DoughResult } from '../dough/dough.js';
import type { Evaluation } from '../evaluate.js';
import type { Case } from '../document/case.js';

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
 * Source   facts/keeping-dough, facts/cold rawEggDays and openEggDays; what is baked or ground as long as the formula says it is sold, less where it moulds or needs the cold (coldGoodDays).
 *
 * @param on the day it is kept on, 2026-11-25
 */
export function keptFor(
  { what, amountG, placeId, on }: { readonly what: LeftOver; readonly amountG: number; readonly placeId: string; readonly on: string },
  { formula, kitchen, pantry }: Omit<Case, 'family'>,
  evaluation: Evaluation,
): KeptFor {
  const place = kitchen.places.find(({ id }) => id === placeId);
  // Food is judged by what is known today, whatever core worked the version out.
  const { dough } = evaluateDough(formula, kitchen, pantry);
  const food = dough.state === 'waiting' ? null : dough.result;
  return { useByOn: daysAfter(on, daysOf(what, place, { formula, evaluation }, food)), pieces: piecesOf(what, amountG, evaluation) };
}

/**
 * Whether what was baked needs the cold, by what is known today; what cannot be worked out does.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   dough/on-piece.
 *
 * @example
 * needsColdOnceBaked(demoCrackerV2, demoKitchen, { ingredients, lots: {} }); // => false
 */
export function needsColdOnceBaked(formula: Formula, kitchen: Kitchen, pantry: Pantry): boolean {
  const { dough } = evaluateDough(formula, kitchen, pantry);
  return dough.state === 'waiting' || dough.result.onPiece.some(({ needsCold }) => needsCold);
}

function daysOf(
  what: LeftOver,
  place: Place | undefined,
  { formula, evaluation }: { readonly formula: Formula; readonly evaluation: Evaluation },
  food: Pick<DoughResult, 'onPiece' | 'doughEggG'> | null,
): number {
  if (what === 'baked' || what === 'crumb') {
    return daysBaked(place, formula, evaluation, food === null || food.onPiece.some(({ needsCold }) => needsCold));
  }
  if (place?.kind === 'freezer') return leftOverDays.values.freezer;
  // Out of the cold an opened egg is for the same day.
  if (what === 'egg') return place?.kind === 'fridge' ? openEggDays.value : 0;
  // What cannot be worked out is taken to hold egg.
  return rawDays(place, food?.doughEggG ?? 1);
}

/** As long as it is sold, and no longer than it is safe: what needs the cold has its own days there, and none out of it. */
function daysBaked(place: Place | undefined, { keep }: Formula, { keep: kept }: Evaluation, needsCold: boolean): number {
  const sold = Math.max(1, keep.sellWithinDays);
  const mouldFreeDays = kept.state === 'waiting' ? 0 : kept.result.mouldFreeDays;
  if (needsCold) {
    if (place?.kind === 'freezer') return leftOverDays.values.freezer;
    return (place?.atC ?? Infinity) <= fridgeC.value ? Math.min(sold, coldGoodDays.value) : 0;
  }
  return place?.kind === 'freezer' || mouldFreeDays === null ? sold : Math.min(sold, Math.floor(mouldFreeDays));
}

function piecesOf(what: LeftOver, amountG: number, { sheet }: Evaluation): number | null {
  if (sheet.state === 'waiting' || what === 'crumb' || what === 'egg') return null;
  const eachG = what === 'dough' ? sheet.result.pieceDoughG : sheet.result.pieceG;
  return eachG > 0 ? Math.floor(amountG / eachG + 1e-6) : null;
}

/**
 * The raw egg that a formula takes, whose other half may be left; null where it takes none.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   judgement: wet egg only, a powder leaves no half.
 */
export function keptEggOf({ rows }: Formula, { ingredients }: Pick<Pantry, 'ingredients'>): string | null {
  const egg = rows.find(({ ingredientId, amountG }) => {
    const { kind, composition } = ingredients[ingredientId] ?? {};
    return kind === 'egg' && amountG > 0 && composition!.waterShare > 0.3;
  });
  return egg?.ingredientId ?? null;
}

/**
 * How many times the formula a kept mass is.
 *
 * Units    g.
 * Throws   nothing.
 * Findings none.
 * Source   mass over the formula's own: of its dough, or of its pieces.
 */
export function factorOfKept(what: Begins['what'], amountG: number, evaluation: Evaluation): number | null {
  const { dough, sheet } = evaluation;
  if (dough.state === 'waiting' || sheet.state === 'waiting') return null;
  const wholeG = what === 'dough' ? dough.result.doughG : sheet.result.pieceG * sheet.result.pieces;
  return wholeG > 0 ? amountG / wholeG : null;
}

/**
 * How many times the formula the dough for several goods is.
 *
 * Units    g.
 * Throws   nothing; null where the dough cannot be worked out or nothing is asked for.
 * Findings none.
 * Source   the goods' shares over the formula's own dough.
 */
export function factorForGoods(goods: readonly Pick<GoodOfDough, 'doughG'>[], { dough }: Pick<Evaluation, 'dough'>): number | null {
  const wantedG = goods.reduce((sum, { doughG }) => sum + doughG, 0);
  return dough.state === 'waiting' || dough.result.doughG <= 0 || wantedG <= 0 ? null : wantedG / dough.result.doughG;
}

const firstStage: Readonly<Record<Begins['what'], RunStep['stage']>> = { dough: 'sheet', shaped: 'bake' };

/**
 * The steps that are left for a run that begins from what another left. The oven is lit first where it was lit before.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   the stage at which such a lot goes on.
 *
 * @example
 * stepsFrom([], 'dough'); // => []
 */
export function stepsFrom(steps: readonly RunStep[], what: Begins['what']): RunStep[] {
  const from = stageNames.indexOf(firstStage[what]);
  const left = steps.filter(({ stage, key }) => stageNames.indexOf(stage) >= from || (key === 'chilledC' && what === 'dough'));
  const on = left.find(({ key }) => key === 'ovenOn');
  if (!on) return left;
  const rest = left.filter(({ key }) => key !== 'ovenOn' && !key.endsWith('+'));
  return [on, ...rest];
}
