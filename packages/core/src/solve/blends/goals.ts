import { InputError } from '../../errors.js';
import { bendOf } from '../../blend/blend.js';
import { needPerPercent } from '../../blend/gums.js';
import { leastUseful, noticeable, nutsOfBlend, wishWeights } from '../../facts/blend-limits.js';
import { binderRatioRange, gritLimit, singleStarchLimit } from '../../facts/dough.js';
import { costPerG } from '../../ingredient/cost.js';
import { glutenLimitOf, glutenProof, isUnproven } from '../../ingredient/safety/gluten.js';
import { lotsInUse, portionOf } from '../../ingredient/mixture.js';
import { isBlendable, isCrumb, isExcluded, isGum, isNut, isProteinType, isStarch } from '../../ingredient/roles.js';
import { suitability, suitsAskedFor } from '../../ingredient/safety/suits.js';
import { broughtBy } from './blend-spec.js';
import type { Blend, BlendRow } from '../../document/formula.js';
import type { Ingredient, Pantry } from '../../document/pantry.js';
import type { Family } from '../../facts/families.js';
import type { BlendItem, BlendSpec, BlendWish } from './blend-spec.js';
import type { Case } from '../../document/case.js';

/** What a baker may ask of a blend, in the order it is offered. */
export const goalKeys = ['bend', 'flavour', 'grit', 'cost', 'protein', 'fibre', 'water', 'starch', 'away'] as const;
export type GoalKey = (typeof goalKeys)[number];
export const strengths = ['must', 'want', 'nice'] as const;
export type Strength = (typeof strengths)[number];
export const ways = ['atLeast', 'atMost'] as const;
export const reaches = ['here', 'all'] as const;
/** `key` is one of goalKeys, or 'taste:<ingredient id>' for a share of that flour to keep. Shares 0..1, cost per kg in the smallest coin. */
export type BlendGoal = {
  readonly key: GoalKey | `taste:${string}`;
  readonly way: (typeof ways)[number];
  readonly value: number;
  readonly strength: Strength;
};
export type BlendSearch = {
  readonly goals: readonly BlendGoal[];
  /** Flours and starches, gums apart. */ readonly mostFlours: number;
  /** here: what the pantry has; all: what could be bought too. */ readonly reach: 'here' | 'all';
};
/** Ingredients that were not looked at, and why. */
export type LeftOut = { readonly id: string; readonly why: 'doesNotSuit' | 'notProven' | 'overLimit' | 'noPrice' | 'notHere' };

/**
 * A blend search as a model: what may be used, what each brings, what is wished.
 *
 * Ingredients that do not suit, or whose lots are over the gluten limit, are not variables at all: no weight can buy them back.
 * Family windows are wishes too, unless the baker asks about the same thing; gums must come to what the family needs.
 *
 * Units    shares 0..1, percent of protein and fibre, g/g water hold, smallest coin per kg.
 * Throws   InputError at goals[i] for one that is not offered or has no number, at mostFlours out of 1..12, at blend.rows where a pinned row may not be used.
 * Findings none.
 * Source   family windows, facts/blend-limits, the kitchen's lots.
 */
export function blendSpecFor(
  { formula, family, kitchen, pantry }: Case,
  search: BlendSearch,
): { readonly spec: BlendSpec; readonly leftOut: readonly LeftOut[] } {
  const { goals, mostFlours, reach } = search;
  if (!Number.isInteger(mostFlours) || mostFlours < 1 || mostFlours > 12)
    throw new InputError('mostFlours', `must be a whole number from 1 to 12, got ${mostFlours}`);
  const leftOut: LeftOut[] = [];
  const suits = suitsAskedFor(formula.mustSuit, kitchen);
  const rowOf = new Map(formula.blend.rows.map((row) => [row.ingredientId, row]));
  const asksCost = goals.some(({ key, strength }) => key === 'cost' && strength === 'must');
  const items: BlendItem[] = [];
  for (const ingredient of Object.values(pantry.ingredients)) {
    if (!isBlendable(ingredient) || isExcluded(ingredient)) continue;
    const row = rowOf.get(ingredient.id);
    // Ground crackers are the flour of a crumb crust only; elsewhere they stand where a baker put them.
    if (isCrumb(ingredient) && family.base !== 'crumb' && !row) continue;
    // What binds nothing in a cold sheet, or by an amount nobody knows, is a baker's own choice.
    if (isGum(ingredient) && needPerPercent(ingredient, family) === 0 && !row) continue;
    const why = whyNot(ingredient, row, { kitchen, pantry }, { suits, reach, asksCost });
    if (why === null) items.push(itemOf(ingredient, row, { family, pantry }, reach === 'here' ? formula.blendG : null));
    else {
      if (row?.pinned) throw new InputError('blend.rows', `${ingredient.name} is pinned and may not be used (${whyWords[why]}): unpin it`);
      leftOut.push({ id: ingredient.id, why });
    }
  }
  const near = Object.fromEntries(formula.blend.rows.map(({ ingredientId, share }) => [ingredientId, share]));
  const now = (key: string) => broughtBy({ items }, near, key);
  const wishes: BlendWish[] = goals.map((goal, i) => wishOf(goal, i, items, now('cost')));
  const asked = new Set(goals.map(({ key }) => key));
  const family2 = (key: string, lo: number, hi: number, step: number) => {
    if (!asked.has(key as GoalKey)) wishes.push({ key, lo, hi, step, weight: wishWeights.values.family });
  };
  family2('starch', family.starchPercent[0] / 100, family.starchPercent[2] / 100, noticeable.values.starch);
  family2('grain', family.proteinTypePercent[0] / 100, family.proteinTypePercent[2] / 100, noticeable.values.grain);
  family2('grit', 0, gritLimit.value, noticeable.values.grit);
  if (!asked.has('water'))
    wishes.push({ key: 'water', lo: now('water'), hi: now('water'), step: noticeable.values.water, weight: wishWeights.values.sameWater });
  const nuts = items.filter(({ id }) => isNut(pantry.ingredients[id]!));
  const { low, high } = binderRatioRange.values;
  return {
    spec: {
      items,
      wishes,
      groups: [
        {
          name: 'binder',
          ids: items.map(({ id }) => id),
          factor: Object.fromEntries(items.map(({ id, brings }) => [id, brings['binder']!])),
          lo: low,
          hi: high,
        },
        ...(nuts.length > 0 && family.base !== 'nut'
          ? [{ name: 'nuts', ids: nuts.map(({ id }) => id), lo: 0, hi: nutsOfBlend.value }]
          : []),
      ],
      most: mostFlours,
      counted: items.filter(({ id }) => !isGum(pantry.ingredients[id]!)).map(({ id }) => id),
      near: { shares: near, cost: wishWeights.values.changedWhole },
    },
    leftOut,
  };
}

const whyWords: Record<LeftOut['why'], string> = {
  doesNotSuit: 'does not suit',
  notProven: 'no gluten report',
  overLimit: 'over the gluten limit',
  noPrice: 'no price known',
  notHere: 'not in the pantry',
};

function whyNot(
  ingredient: Ingredient,
  row: BlendRow | undefined,
  { kitchen, pantry }: Pick<Case, 'kitchen' | 'pantry'>,
  {
    suits,
    reach,
    asksCost,
  }: { readonly suits: ReturnType<typeof suitsAskedFor>; readonly reach: BlendSearch['reach']; readonly asksCost: boolean },
): LeftOut['why'] | null {
  if (suits.some((suit) => suitability(ingredient, suit) !== 'yes')) return 'doesNotSuit';
  const lots = lotsInUse(pantry, ingredient.id);
  if (lots.length === 0 && reach === 'here' && !row) return 'notHere';
  const proofs = lots.map((lot) => glutenProof(ingredient, lot, glutenLimitOf(kitchen), pantry.on));
  if (lots.length > 0 && proofs.every((proof) => proof === 'over' || proof === 'notInMarket')) return 'overLimit';
  if (lots.length > 0 && reach === 'here' && proofs.every(isUnproven)) return 'notProven';
  if (asksCost && lots.every((lot) => costPerG(lot) === undefined)) return 'noPrice';
  return null;
}

/** `batchG` where no more may be used than is on the shelf. */
function itemOf(
  ingredient: Ingredient,
  row: BlendRow | undefined,
  { family, pantry }: { readonly family: Family; readonly pantry: Pantry },
  batchG: number | null,
): BlendItem {
  const gum = isGum(ingredient);
  const most = ingredient.mostOfBlendShare;
  const cap = gum
    ? ((ingredient.gum && family.gumPercent[ingredient.gum]?.[2]) ?? 3) / 100
    : Math.min(most ?? 1, isStarch(ingredient) ? singleStarchLimit.value : 1);
  const least = gum ? leastUseful.values.gum : leastUseful.values.flour;
  const { lot } = portionOf(pantry, '', ingredient.id, 1, row?.lotId);
  const perG = costPerG(lot);
  const pinned = row?.pinned === true;
  const lots = lotsInUse(pantry, ingredient.id);
  const shelfG = lots.reduce((sum, { onHandG }) => sum + (onHandG ?? Infinity), 0);
  const shelf = batchG === null || lots.length === 0 ? 1 : shelfG / batchG;
  const hi = pinned ? row.share : Math.min(shelf, row?.maxShare ?? Math.max(cap, Math.min(row?.share ?? 0, 1)));
  const lo = pinned ? row.share : Math.min(hi, row?.minShare && row.minShare > 0 ? row.minShare : least);
  const c = ingredient.composition;
  return {
    id: ingredient.id,
    lo,
    hi,
    ...(pinned || (row?.minShare ?? 0) > 0 ? { must: true as const } : {}),
    brings: {
      bend: bendOf(ingredient, family),
      binder: needPerPercent(ingredient, family) * 100,
      flavour: ingredient.flavour ?? 0,
      grit: ingredient.grit ?? 0,
      protein: c.proteinShare * 100,
      fat: c.fatShare * 100,
      fibre: c.fibreShare * 100,
      water: gum ? 0 : (ingredient.waterHoldGPerG ?? 0),
      starch: isStarch(ingredient) ? 1 : 0,
      grain: isProteinType(ingredient) ? 1 : 0,
      away: lot ? 0 : 1,
      cost: (perG ?? 0) * 1000,
      [`taste:${ingredient.id}`]: 1,
    },
  };
}

function wishOf({ key, way, value, strength }: BlendGoal, i: number, items: readonly BlendItem[], costNow: number): BlendWish {
  const known =
    (goalKeys as readonly string[]).includes(key) || (key.startsWith('taste:') && items.some(({ id }) => key === `taste:${id}`));
  if (!known) throw new InputError(`goals[${i}].key`, `is not something a blend can be asked for here: ${key}`);
  if (!Number.isFinite(value) || value < 0) throw new InputError(`goals[${i}].value`, `must be a number from 0, got ${value}`);
  const steps: Readonly<Record<string, number>> = noticeable.values;
  const step =
    key === 'cost' ? Math.max(1, costNow * noticeable.values.costShare) : key.startsWith('taste:') ? noticeable.values.taste : steps[key]!;
  return {
    key,
    ...(way === 'atLeast' ? { lo: value } : { hi: value }),
    ...(strength === 'must' ? { hard: true as const } : {}),
    step,
    weight: strength === 'want' ? wishWeights.values.want : wishWeights.values.nice,
  };
}

/**
 * The rows of a blend after an answer: rows that stay keep their key, pin, limits and lot; new ones get the keys handed in.
 *
 * Units    shares 0..1.
 * Throws   nothing.
 * Findings none.
 * Source   the answer.
 */
export function rowsOfAnswer(blend: Blend, shares: Readonly<Record<string, number>>, newKey: () => string): BlendRow[] {
  const left = new Map(Object.entries(shares));
  const kept = blend.rows.flatMap((row) => {
    const share = left.get(row.ingredientId);
    left.delete(row.ingredientId);
    return share === undefined ? [] : [{ ...row, share }];
  });
  return [...kept, ...[...left].map(([ingredientId, share]) => ({ key: newKey(), ingredientId, share }))];
}

export type OutAndIn = { readonly out: readonly ShareChange[]; readonly in: readonly ShareChange[] };
export type ShareChange = { readonly ingredientId: string; readonly byShare: number };

/**
 * What an answer takes out of a blend and puts in; both sides sum to the same. Changes under `least` are left out.
 *
 * Units    shares of the blend.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * outAndIn({ rows: [{ ingredientId: 'x', share: 0.6 }, { ingredientId: 'y', share: 0.4 }] }, { x: 0.5, y: 0.5 }).out.length; // => 1
 */
export function outAndIn(blend: Blend, shares: Readonly<Record<string, number>>, least = 0.0005): OutAndIn {
  const now = new Map<string, number>();
  for (const { ingredientId, share } of blend.rows) now.set(ingredientId, (now.get(ingredientId) ?? 0) + share);
  const changes = [...new Set([...now.keys(), ...Object.keys(shares)])]
    .map((ingredientId) => ({ ingredientId, byShare: (shares[ingredientId] ?? 0) - (now.get(ingredientId) ?? 0) }))
    .filter(({ byShare }) => Math.abs(byShare) > least)
    .sort((a, b) => Math.abs(b.byShare) - Math.abs(a.byShare));
  return {
    out: changes.filter(({ byShare }) => byShare < 0).map(({ ingredientId, byShare }) => ({ ingredientId, byShare: -byShare })),
    in: changes.filter(({ byShare }) => byShare > 0),
  };
}
