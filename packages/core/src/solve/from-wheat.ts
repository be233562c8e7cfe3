import { isOfDough } from '../document/formula.js';
import { blendPortions } from '../blend/blend.js';
import { sodaBalance } from '../dough/leavening.js';
import { mixedBySchool } from '../dough/mix.js';
import { waterGets } from '../dough/water.js';
import { formulaFromList } from './from-list/formula-from-list.js';
import { InputError } from '../errors.js';
import { fromWheat } from '../facts/wheat.js';
import { compositionOf, portionOf } from '../ingredient/mixture.js';
import {
  isBakingPowder,
  isExcluded,
  isFat,
  isFlour,
  isGum,
  isLeavener,
  isNut,
  isPouredWater,
  isSalt,
  isSoda,
  isStarch,
} from '../ingredient/roles.js';
import { roundTo } from '../units/rounding.js';
import { scaled } from './scale.js';
import { starterFormula } from './starter.js';
import { usual } from '../facts/usual.js';
import type { Formula, Row } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Pantry } from '../document/pantry.js';
import type { ListedAmount } from './from-list/formula-from-list.js';
import type { Family } from '../facts/families.js';
import type { Case } from '../document/case.js';

export const wheatStepCodes = ['blend', 'binder', 'water', 'fat', 'leavener', 'flavour', 'rest', 'trial'] as const;
export type WheatStepCode = (typeof wheatStepCodes)[number];
/** One change on the way from wheat, with what it moves; `skipped` where the baker said no, or where it has nothing to do. */
export type WheatStep = {
  readonly code: WheatStepCode;
  readonly moves: readonly { readonly name: string; readonly fromG: number; readonly toG: number }[];
  readonly skipped: boolean;
};
export type WheatPlan = { readonly formula: Formula; readonly steps: readonly WheatStep[]; readonly wheatG: number };

/**
 * A wheat formula made gluten-free step by step, ending in a first trial batch.
 *
 * Units    g.
 * Throws   InputError at list when no flour is in it, or nothing else.
 * Findings none; the trial is judged like any formula.
 * Source   the steps of gluten-free baking handbooks and practice, from memory (facts/wheat); each can be left out.
 */
export function trialFromWheat(
  list: readonly ListedAmount[],
  { family, name }: { readonly family: Family; readonly name: string },
  { kitchen, pantry }: Pick<Case, 'kitchen' | 'pantry'>,
  { newKey, without = new Set() }: { readonly newKey: () => string; readonly without?: ReadonlySet<WheatStepCode> },
): WheatPlan {
  const isWheat = ({ ingredientId }: ListedAmount) => {
    const one = pantry.ingredients[ingredientId];
    return one !== undefined && isExcluded(one);
  };
  // Starch or another flour beside the wheat is part of what the blend stands in for.
  const isFlour = (one: ListedAmount) => isWheat(one) || isFlourLike(pantry, one.ingredientId);
  const wheatG = list.filter(isFlour).reduce((sum, { massG }) => sum + massG, 0);
  if (!list.some((one) => isWheat(one) && one.massG > 0))
    throw new InputError('list', 'names no wheat flour: paste it into a formula as it is');
  const others = list.filter((one) => !isFlour(one));
  if (others.length === 0) throw new InputError('list', 'names nothing but flour');
  // A quarter of a batch seldom lines a pan: the trial is baked flat.
  const starter = starterFormula(family, name, { kitchen: { ...kitchen, pans: [] }, pantry }, newKey);
  const gumless = starter.blend.rows.filter(({ ingredientId }) => !isGum(pantry.ingredients[ingredientId]!));
  const total = gumless.reduce((sum, { share }) => sum + share, 0);
  // As it would be with wheat: its water and fat are what the steps start from.
  const asWheat = formulaFromList(
    {
      ...starter,
      rows: starter.rows.filter((row) => !isOfDough(row)),
      blend: { ...starter.blend, rows: gumless.map((row) => ({ ...row, share: row.share / total })) },
      blendG: wheatG,
    },
    others,
    pantry,
    { newKey, how: 'aroundBlend' },
  );
  const work: Readonly<Record<WheatStepCode, (now: Formula) => Formula>> = {
    blend: (now) => ({ ...now, blendG: roundTo(wheatG * (family.kind === 'quick' ? fromWheat.values.quickShare : 1), 1) }),
    binder: (now) => withGum(now, starter, pantry),
    water: (now) => withWater(now, family, pantry, newKey),
    fat: (now) => withFat(now, family, pantry),
    leavener: (now) => withLeavener(now, pantry),
    flavour: (now) => withFlavour(now, family, pantry),
    rest: (now) => ({ ...now, restMin: Math.max(now.restMin, fromWheat.values.restMin) }),
    trial: (now) => withWholeSteps(scaled(now, fromWheat.values.trialShare), kitchen),
  };
  let formula = asWheat;
  const steps = wheatStepCodes.map((code): WheatStep => {
    const next = without.has(code) ? formula : work[code](formula);
    const moves = movesOf(code, { from: formula, to: next }, wheatG, pantry);
    const skipped = without.has(code) || (moves.length === 0 && next.restMin === formula.restMin);
    formula = next;
    return { code, moves, skipped };
  });
  return { formula: mixedBySchool(formula, { family, school: family.school }, pantry, newKey), steps, wheatG };
}

const isFlourLike = (pantry: Pantry, id: string) => {
  const one = pantry.ingredients[id];
  return one !== undefined && (isFlour(one) || isStarch(one)) && !isNut(one);
};

/** The family's gum and husk go into the blend; the flours share what is left. */
function withGum(now: Formula, starter: Formula, pantry: Pantry): Formula {
  const gums = starter.blend.rows.filter(({ ingredientId }) => isGum(pantry.ingredients[ingredientId]!));
  const held = now.blend.rows.some(({ ingredientId }) => isGum(pantry.ingredients[ingredientId]!));
  if (gums.length === 0 || held) return now;
  const left = 1 - gums.reduce((sum, { share }) => sum + share, 0);
  return { ...now, blend: { ...now.blend, rows: [...now.blend.rows.map((row) => ({ ...row, share: row.share * left })), ...gums] } };
}

/** Water as this family's rule and this blend's hold have it, gum on top, kept inside the family's window: what the board will judge it by. */
function withWater(now: Formula, family: Family, pantry: Pantry, newKey: () => string): Formula {
  const flours = blendPortions(now, pantry);
  const rows = now.rows
    .filter(({ use }) => use === 'dough')
    .map(({ ingredientId, amountG }) => portionOf(pantry, 'rows', ingredientId, amountG));
  const { getsG } = waterGets([], rows);
  const hold = flours
    .filter(({ ingredient }) => !isGum(ingredient))
    .reduce((sum, { ingredient, amountG }) => sum + amountG * (ingredient.waterHoldGPerG ?? 0), 0);
  const gumG = flours
    .filter(({ ingredient }) => isGum(ingredient))
    .reduce((sum, { ingredient, amountG }) => sum + family.gumWaterShare * amountG * (ingredient.waterHoldGPerG ?? 0), 0);
  const [low, , high] = family.waterPercent;
  const percent = Math.min(high, Math.max(low, ((family.waterFactor * hold) / now.blendG) * 100));
  const moreG = (percent * now.blendG) / 100 + gumG - getsG;
  const at = now.rows.findIndex(({ ingredientId, use }) => use === 'dough' && isPouredWater(pantry.ingredients[ingredientId]!));
  if (at < 0) {
    const amountG = roundTo(moreG, 1);
    return amountG > 0 ? { ...now, rows: [{ key: newKey(), ingredientId: usual.values.water, amountG, use: 'dough' }, ...now.rows] } : now;
  }
  return changed(now, at, Math.max(0, now.rows[at]!.amountG + moreG), 1);
}

/** Starch sheds fat, so pastry over its target takes a little less; lean cookies take a little more. */
function withFat(now: Formula, family: Family, pantry: Pantry): Formula {
  const all = [
    ...blendPortions(now, pantry),
    ...now.rows.filter(({ use }) => use === 'dough').map(({ ingredientId, amountG }) => portionOf(pantry, 'rows', ingredientId, amountG)),
  ];
  const percent = (all.reduce((sum, portion) => sum + portion.amountG * compositionOf(portion).fatShare, 0) / now.blendG) * 100;
  const { pastryPoints, cookiePoints } = fromWheat.values;
  const by =
    family.kind === 'pastry' && percent > family.fatPercent[1]
      ? -pastryPoints
      : family.kind === 'cookie' && percent < family.fatPercent[1]
        ? cookiePoints
        : 0;
  const at = now.rows.findIndex(({ ingredientId, use }) => use === 'dough' && isFat(pantry.ingredients[ingredientId]!));
  if (by === 0 || at < 0) return now;
  const { fatShare } = pantry.ingredients[now.rows[at]!.ingredientId]!.composition;
  return changed(now, at, now.rows[at]!.amountG + (by * now.blendG) / 100 / fatShare, 1);
}

/** A fifth more powder; soda no more than its acid takes, and a little for colour. */
function withLeavener(now: Formula, pantry: Pantry): Formula {
  const { powderTimes, freeSodaPercent } = fromWheat.values;
  const portions = now.rows
    .filter(({ use }) => use === 'dough')
    .map(({ ingredientId, amountG }) => portionOf(pantry, 'rows', ingredientId, amountG));
  const { sodaG, neutralisedG } = sodaBalance(portions);
  const mostSodaG = neutralisedG + (freeSodaPercent * now.blendG) / 100;
  return now.rows.reduce<Formula>((formula, { ingredientId, amountG, use }, i) => {
    const one = pantry.ingredients[ingredientId]!;
    if (use !== 'dough' || !isLeavener(one)) return formula;
    if (isBakingPowder(one)) return changed(formula, i, amountG * powderTimes, 0.1);
    return isSoda(one) && sodaG > mostSodaG ? changed(formula, i, mostSodaG, 0.1) : formula;
  }, now);
}

/** Blends are blander and paler than wheat: a touch of salt, and of sugar where the family is sweet. */
function withFlavour(now: Formula, family: Family, pantry: Pantry): Formula {
  const { saltPercent, sugarPercent } = fromWheat.values;
  return now.rows.reduce<Formula>((formula, { ingredientId, amountG, use }, i) => {
    const one = pantry.ingredients[ingredientId]!;
    if (use !== 'dough') return formula;
    if (isSalt(one)) return changed(formula, i, amountG + (saltPercent * now.blendG) / 100, 0.1);
    return one.kind === 'sugar' && family.sugarPercent[1] >= 5
      ? changed(formula, i, amountG + (sugarPercent * now.blendG) / 100, 0.1)
      : formula;
  }, now);
}

/** Amounts of a quarter batch that a scale can show. */
function withWholeSteps(formula: Formula, kitchen: Kitchen): Formula {
  return {
    ...formula,
    blendG: roundTo(formula.blendG, 1),
    rows: formula.rows.map((row) => ({ ...row, amountG: roundTo(row.amountG, kitchen.scaleStepG) })),
  };
}

function changed(formula: Formula, index: number, amountG: number, step: number): Formula {
  const to = roundTo(amountG, step);
  if (to === formula.rows[index]!.amountG) return formula;
  const { entered: _entered, ...row } = formula.rows[index]!;
  return { ...formula, rows: formula.rows.map((one, i): Row => (i === index ? { ...row, amountG: to } : one)) };
}

function movesOf(
  code: WheatStepCode,
  { from, to }: { readonly from: Formula; readonly to: Formula },
  wheatG: number,
  pantry: Pantry,
): WheatStep['moves'] {
  if (code === 'blend')
    return [
      { name: 'Wheat and other flours', fromG: wheatG, toG: 0 },
      { name: to.blend.name, fromG: 0, toG: to.blendG },
    ];
  if (code === 'trial') return to.blendG === from.blendG ? [] : [{ name: 'The whole batch', fromG: massOf(from), toG: massOf(to) }];
  const gum = (formula: Formula) =>
    formula.blend.rows
      .filter(({ ingredientId }) => isGum(pantry.ingredients[ingredientId]!))
      .map(({ ingredientId, share }) => ({ ingredientId, amountG: share * formula.blendG }));
  const list = (formula: Formula) => [...gum(formula), ...formula.rows.filter(({ use }) => use === 'dough')];
  const before = new Map(list(from).map(({ ingredientId, amountG }) => [ingredientId, amountG]));
  return list(to).flatMap(({ ingredientId, amountG }) => {
    const fromG = before.get(ingredientId) ?? 0;
    return Math.abs(amountG - fromG) < 0.05 ? [] : [{ name: pantry.ingredients[ingredientId]!.name, fromG, toG: amountG }];
  });
}

const massOf = (formula: Formula) =>
  formula.blendG + formula.rows.reduce((sum, { amountG, use }) => sum + (use === 'dough' ? amountG : 0), 0);
