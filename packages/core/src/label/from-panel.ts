import { InputError } from '../errors.js';
import { wholeParts } from '../ingredient/corrections.js';
import type { Composition, Ingredient, IngredientKind } from '../document/pantry.js';
import { panelOf } from './nutrients.js';
import { quantile } from '../math/quantile.js';
import type { FactTable } from '../facts/fact.js';
import type { LabelNutrient, LabelRule } from './rounding.js';

/** What a panel says of 100 g. */
export type Panel = { readonly rule: LabelRule; readonly per100G: Readonly<Partial<Record<LabelNutrient, number>>> };
/** A part that no panel prints, or this one does not: what is left to 100 g, or as usual. */
export type GuessedPart = {
  readonly part: keyof Composition;
  readonly share: number;
  readonly from: 'leftOver' | 'usual';
  /** How far from the truth in one case of ten, where that was measured. */ readonly offShare?: number;
};
export type FromPanel = {
  readonly composition: Composition;
  readonly guessed: readonly GuessedPart[];
  /** Printed, and worked out of the other numbers; null where it is not printed. */
  readonly energy: { readonly printedKcal: number; readonly workedKcal: number; readonly fits: boolean } | null;
};

/** How far water by difference is from the truth in one case of ten, a US panel of 30 g. Rounding and the guess of ash only: what a maker may print beside the truth comes on top. */
export const panelWaterOff: FactTable<Readonly<Record<LabelRule | 'euWithoutFibre', number>>> = {
  values: { eu: 0.015, us: 0.03, euWithoutFibre: 0.065 },
  unit: 'share',
  basis: 'measured',
  source: 'from-panel.test, over the 62 flours and starches of the ingredient table that have another of their kind',
};

/** Every panel has these; without one of them nothing can be worked out. */
const NEEDED = ['fat', 'carbohydrate', 'protein'] as const;
/** Whole grams a serving of 30 g can be out by 1.7 in 100 each: a part by so much more than its whole, all of them by so much more than there is. */
const OUT_G = 2;
const MOST_SUM = 1.06;
/** Energy is rounded, and factors are general: further off, one of the numbers is misread. Judgement. */
const ENERGY_OFF = { share: 0.12, kcal: 15 };

/**
 * The composition that a nutrition panel stands for: what it prints, and what is left to 100 g as water and ash.
 *
 * Units    panel g, mg sodium, kcal in 100 g; shares 0..1 that sum to 1.
 * Throws   InputError at `panel.NUTRIENT` where one is missing that is needed, negative, or more than what it is part of; at `panel` where they sum
 *          to more than 106 g.
 * Findings none.
 * Source   panelOf turned round: US carbohydrate holds fibre, EU does not; water and ash by difference, as food tables define total carbohydrate.
 *
 * @param usual of its like: ash, and what else is not printed, is taken from it
 */
export function compositionOfPanel({ rule, per100G }: Panel, usual: Composition): FromPanel {
  for (const [nutrient, g] of Object.entries(per100G))
    if (!Number.isFinite(g) || g < 0) throw new InputError(`panel.${nutrient}`, `must be a number from 0, got ${g}`);
  for (const nutrient of NEEDED)
    if (per100G[nutrient] === undefined) throw new InputError(`panel.${nutrient}`, 'is on every label: type it');
  const printed = (nutrient: LabelNutrient): number | undefined => {
    const g = per100G[nutrient];
    return g === undefined ? undefined : g / 100;
  };
  const within = (part: LabelNutrient, whole: LabelNutrient) => {
    const [a, b] = [per100G[part], per100G[whole]];
    if (a !== undefined && b !== undefined && a > b + OUT_G)
      throw new InputError(`panel.${part}`, `must be at most ${b}, which it is part of`);
  };
  within('sugars', 'carbohydrate');
  within('saturatedFat', 'fat');
  if (rule === 'us') within('fibre', 'carbohydrate');

  const guessed: GuessedPart[] = [];
  const guess = (part: keyof Composition, share: number) => {
    guessed.push({ part, share, from: 'usual' });
    return share;
  };
  const [fatShare, proteinShare, carbohydrate] = [printed('fat')!, printed('protein')!, printed('carbohydrate')!];
  const sodiumShare =
    per100G.sodiumMg !== undefined
      ? per100G.sodiumMg / 100000
      : per100G.salt !== undefined
        ? per100G.salt / 250
        : guess('sodiumShare', usual.sodiumShare);
  const room = Math.max(0, 1 - fatShare - proteinShare - carbohydrate);
  const fibreShare = printed('fibre') ?? guess('fibreShare', Math.min(usual.fibreShare, rule === 'us' ? carbohydrate : room));
  const digested = Math.max(0, rule === 'us' ? carbohydrate - fibreShare : carbohydrate);
  const usualDigested = usual.sugarsShare + usual.starchShare + usual.otherShare;
  const sugarsShare = Math.min(
    digested,
    printed('sugars') ?? guess('sugarsShare', usualDigested > 0 ? (digested * usual.sugarsShare) / usualDigested : 0),
  );
  const otherShare = Math.min(usual.otherShare, digested - sugarsShare);
  if (otherShare > 0) guess('otherShare', otherShare);
  const saturatedFatShare = Math.min(
    fatShare,
    printed('saturatedFat') ?? guess('saturatedFatShare', usual.fatShare > 0 ? (fatShare * usual.saturatedFatShare) / usual.fatShare : 0),
  );
  const left = 1 - fatShare - proteinShare - digested - fibreShare;
  if (left < 1 - MOST_SUM)
    throw new InputError(
      'panel',
      `fat, protein, carbohydrate and fibre sum to ${((1 - left) * 100).toFixed(1)} g in 100 g: at most ${MOST_SUM * 100}`,
    );
  const ashShare = guess('ashShare', Math.min(Math.max(0, left), Math.max(usual.ashShare, 2.5 * sodiumShare)));
  const waterShare = Math.max(0, left - ashShare);
  const off = panelWaterOff.values[rule === 'eu' && per100G.fibre === undefined ? 'euWithoutFibre' : rule];
  guessed.push({ part: 'waterShare', share: waterShare, from: 'leftOver', offShare: off });
  const composition: Composition = {
    waterShare,
    proteinShare,
    fatShare,
    saturatedFatShare,
    sugarsShare,
    // What numbers sum to above the whole is rounding, and there is most of starch to round.
    starchShare: Math.max(0, digested - sugarsShare - otherShare + Math.min(0, left)),
    fibreShare,
    ashShare,
    otherShare,
    sodiumShare,
  };
  return { composition, guessed, energy: energyOf(per100G.energyKcal, composition, rule) };
}

function energyOf(printedKcal: number | undefined, composition: Composition, rule: LabelRule): FromPanel['energy'] {
  if (printedKcal === undefined) return null;
  const workedKcal = panelOf(composition, rule).energyKcal;
  const fits = Math.abs(printedKcal - workedKcal) <= Math.max(ENERGY_OFF.kcal, ENERGY_OFF.share * workedKcal);
  return { printedKcal, workedKcal, fits };
}

/**
 * What is usual of a kind: the middle of each part over the ingredients of it, summing to 1.
 *
 * Units    shares 0..1.
 * Throws   InputError at `kind` where none of the ingredients is of it.
 * Findings none.
 * Source   the ingredient table.
 */
export function usualComposition(kind: IngredientKind, ingredients: readonly Ingredient[]): Composition {
  const of = ingredients.filter((one) => one.kind === kind).map(({ composition }) => composition);
  if (of.length === 0) throw new InputError('kind', `no ingredient is ${kind}`);
  const middle = (part: keyof Composition) =>
    quantile(
      of.map((one) => one[part] ?? 0),
      0.5,
    );
  const parts = [...wholeParts, 'saturatedFatShare', 'sodiumShare'] as const;
  const sum = wholeParts.reduce((total, part) => total + middle(part), 0);
  return Object.fromEntries(parts.map((part) => [part, middle(part) / (sum || 1)])) as Composition;
}
