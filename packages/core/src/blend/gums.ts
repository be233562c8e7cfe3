import { gumPairGain, gumPairs } from '../facts/binders.js';
import { isGum } from '../ingredient/roles.js';
import type { Family, Window } from '../facts/families.js';
import type { GumName, Ingredient } from '../document/pantry.js';
import type { Portion } from '../ingredient/mixture.js';

/** One gum, or what a bought blend already holds of it. */
export type GumDose = {
  readonly ingredientId: string;
  readonly name: string;
  readonly gum?: GumName;
  readonly amountG: number;
  /** Grams per 100 g of blend; for a bought blend the xanthan it is reckoned to hold. */ readonly percent: number;
  /** What the family takes of this gum when it is alone; null where nobody says. */ readonly window: Window | null;
  /** Dose over what the cold sheet needs of it alone; 0 for what sets only when hot. */ readonly ofNeed: number;
  /** In a bought blend, not a gum of its own. */ readonly held: boolean;
};

/**
 * Each gum against what the family needs of it alone.
 *
 * Each takes the family's xanthan target times its replacement weight. What only sets in the oven is no dose of a cold sheet.
 *
 * Units    g in; percent is g per 100 g of blend.
 * Throws   nothing.
 * Findings none; dough judges the sum.
 * Source   the family's xanthan target; strength of each gum as the pantry has it.
 *
 * @example
 * // 0.4 % xanthan in a savoury cracker (target 0.8): { percent: 0.4, ofNeed: 0.5 }
 */
export function gumDoses(portions: readonly Portion[], family: Family, blendG: number): GumDose[] {
  const doses = new Map<string, GumDose>();
  for (const { ingredient, amountG } of portions) {
    const dose = doseOf(ingredient, amountG, family, blendG);
    if (!dose || amountG <= 0) continue;
    const held = doses.get(dose.ingredientId);
    doses.set(
      dose.ingredientId,
      held ? { ...dose, amountG: held.amountG + amountG, percent: held.percent + dose.percent, ofNeed: held.ofNeed + dose.ofNeed } : dose,
    );
  }
  return [...doses.values()];
}

/** Dose over need per gram in 100 g of blend; what the solver sums. */
export function needPerPercent(ingredient: Ingredient, family: Family): number {
  return doseOf(ingredient, 1, family, 100)?.ofNeed ?? 0;
}

/**
 * All gums together over what the family needs; pairs that are stronger together count for more.
 *
 * Units    1 is the family's target.
 * Throws   nothing.
 * Findings none.
 * Source   sum of dose over own target (common practice, no source); pair gain facts/binders.
 */
export function binderRatioOf(doses: readonly GumDose[]): number {
  const of = (name: GumName) => doses.reduce((sum, { gum, ofNeed }) => sum + (gum === name ? ofNeed : 0), 0);
  const sum = doses.reduce((total, { ofNeed }) => total + ofNeed, 0);
  const gain = gumPairs.values.reduce((total, [a, b]) => total + gumPairGain.value * 2 * Math.min(of(a), of(b)), 0);
  return sum + gain;
}

function doseOf(ingredient: Ingredient, amountG: number, family: Family, blendG: number): GumDose | null {
  const { id, name, gum, xanthanPerG = 0 } = ingredient;
  const percent = (amountG / blendG) * 100;
  const xanthanTarget = family.gumPercent.xanthanGum?.[1] ?? 0;
  if (isGum(ingredient)) {
    const window = (gum && family.gumPercent[gum]) ?? null;
    // One table says what a gum is worth; a family's window of it only how much is too much. Where xanthan is no measure the window is.
    const target = xanthanPerG === 0 ? 0 : xanthanTarget > 0 ? xanthanTarget / xanthanPerG : (window?.[1] ?? 0);
    return {
      ingredientId: id,
      name,
      ...(gum ? { gum } : {}),
      amountG,
      percent,
      window,
      ofNeed: target > 0 ? percent / target : 0,
      held: false,
    };
  }
  const heldShare = ingredient.kind === 'blend' ? xanthanPerG : 0;
  if (heldShare <= 0) return null;
  const heldPercent = percent * heldShare;
  return {
    ingredientId: id,
    name,
    amountG,
    percent: heldPercent,
    window: null,
    ofNeed: xanthanTarget > 0 ? heldPercent / xanthanTarget : 0,
    held: true,
  };
}

/** Xanthan that a gram of it stands for in a cold sheet; 0 for what sets only when hot. */
export const coldStrength = ({ xanthanPerG = 0 }: Ingredient): number => xanthanPerG;
