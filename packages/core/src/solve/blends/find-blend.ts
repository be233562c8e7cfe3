import { blendModel } from './blend-model.js';
import { broughtBy } from './blend-spec.js';
import { explainConflict } from './explain.js';
import { keepLimits } from './keep-limits.js';
import { wholeSteps } from './whole-steps.js';
import type { BlendModel } from './blend-model.js';
import type { BlendSpec } from './blend-spec.js';
import type { Conflict } from './explain.js';
import type { LinearEngine } from '../../math/linear-model.js';

export type FoundBlend = {
  /** Of the items used, in the order of the spec. */ readonly shares: Readonly<Record<string, number>>;
  /** Whole steps of the scale; null where no batch was given. */ readonly grams: Readonly<Record<string, number>> | null;
  /** What it brings, whole steps counted. */ readonly brings: Readonly<Record<string, number>>;
  /** Weighted steps its wishes are missed by; the tie-break left out. */ readonly missed: number;
  /** The model's own cost, tie-break included. */ readonly cost: number;
  /** False where the engine gave up: it fits, but better ones may exist. */ readonly proven: boolean;
  /** Limits that no whole steps of this scale can keep. */ readonly brokenBySteps: readonly string[];
};
export type BlendAnswer =
  | { readonly status: 'found'; readonly answers: readonly FoundBlend[] }
  | { readonly status: 'impossible'; readonly conflict: Conflict }
  | { readonly status: 'gaveUp' };

/**
 * Up to `most` blends that keep every limit and miss the wishes by least, genuinely different from each other.
 *
 * Wishes come first, then closeness to the blend there is: a corner of the region that meets every wish would be an arbitrary blend.
 * Each further answer leaves out at least one main ingredient of every earlier one.
 *
 * Units    shares 0..1; grams in whole steps of the scale.
 * Throws   InputError as blendModel and wholeSteps do.
 * Findings none.
 * Source   goal programming; closeness is a convex quadratic step with the ingredients and misses of the first one held.
 */
export function findBlends(
  spec: BlendSpec,
  engine: LinearEngine,
  { most = 1, batch }: { readonly most?: number; readonly batch?: { readonly batchG: number; readonly stepG: number } } = {},
): BlendAnswer {
  const answers: FoundBlend[] = [];
  let not = [...(spec.not ?? [])];
  while (answers.length < most) {
    const one = findOne({ ...spec, not }, engine, batch);
    if (one === 'infeasible' || one === 'gaveUp') {
      if (answers.length > 0) break;
      return one === 'gaveUp' ? { status: 'gaveUp' } : { status: 'impossible', conflict: explainConflict(spec, engine) };
    }
    answers.push(one);
    const main = mainOf(spec, one.shares);
    if (main.length === 0) break;
    not = [...not, main];
  }
  return { status: 'found', answers };
}

/** What an answer stands on: items of 5 % or more that could be left out. */
function mainOf(spec: BlendSpec, shares: Readonly<Record<string, number>>): string[] {
  return spec.items.filter(({ id, must }) => !must && (shares[id] ?? 0) >= 0.05).map(({ id }) => id);
}

function findOne(
  spec: BlendSpec,
  engine: LinearEngine,
  batch: { readonly batchG: number; readonly stepG: number } | undefined,
): FoundBlend | 'infeasible' | 'gaveUp' {
  const built = blendModel(spec);
  const answer = engine(built.model);
  if (answer.status === 'infeasible') return 'infeasible';
  if (answer.status === 'timeLimit' && !answer.values) return 'gaveUp';
  const first = answer.values!;
  const values = spec.near ? nearer(spec, built, first, engine) : first;
  const ids = [...built.shareOf.keys()];
  const raw = ids.map((id) => Math.max(0, values[built.shareOf.get(id)!]!)).map((share) => (share < 1e-7 ? 0 : share));
  const sum = raw.reduce((total, share) => total + share, 0);
  const exact = raw.map((share) => share / sum);
  const whole = batch ? wholeSteps(exact, batch.batchG, batch.stepG) : null;
  const kept = whole && keepLimits(spec, Object.fromEntries(ids.map((id, i) => [id, whole[i]!])), batch!.batchG, batch!.stepG);
  const grams = kept && ids.map((id) => kept.grams[id]!);
  const final = grams ? grams.map((g) => g / batch!.batchG) : exact;
  const used = ids.map((id, i) => [id, final[i]!] as const).filter(([, share]) => share > 0);
  const shares = Object.fromEntries(used);
  const keys = [...new Set(spec.items.flatMap(({ brings }) => Object.keys(brings)))];
  return {
    shares,
    grams: grams ? Object.fromEntries(ids.map((id, i) => [id, grams[i]!] as const).filter(([, g]) => g > 0)) : null,
    brings: Object.fromEntries(keys.map((key) => [key, broughtBy(spec, shares, key)])),
    missed: spec.wishes
      .filter(({ hard }) => !hard)
      .reduce((total, { key, lo = -Infinity, hi = Infinity, step, weight }) => {
        const value = broughtBy(spec, shares, key);
        return total + (weight / step) * Math.max(0, lo - value, value - hi);
      }, 0),
    cost: answer.status === 'optimal' ? answer.cost : NaN,
    proven: answer.status === 'optimal',
    brokenBySteps: kept?.broken ?? [],
  };
}

/** Among blends of the same items that miss no wish by more, the one closest to what there is. */
function nearer(
  spec: BlendSpec,
  { model, shareOf, usedOf, missOf }: BlendModel,
  first: readonly number[],
  engine: LinearEngine,
): readonly number[] {
  const nearOf = new Map([...shareOf].map(([id, column]) => [column, spec.near!.shares[id] ?? 0]));
  const held = new Map<number, readonly [number, number]>();
  for (const [id, column] of usedOf) {
    const on = Math.round(first[column]!);
    held.set(column, [on, on]);
    // An item that is out stays out: the quadratic engine takes no whole numbers.
    if (on === 0) held.set(shareOf.get(id)!, [0, 0]);
  }
  for (const [key, misses] of missOf) {
    const { step } = spec.wishes[Number(key.split('#')[1])]!;
    for (const column of misses) held.set(column, [0, Math.max(0, first[column]!) + 0.01 * step]);
  }
  const columns = model.columns.map(({ integer: _integer, ...column }, i) => {
    const [lo, hi] = held.get(i) ?? [column.lo, column.hi];
    const near = nearOf.get(i);
    return near === undefined ? { ...column, lo, hi, cost: 0 } : { ...column, lo, hi, cost: -2 * near, quadratic: 2 };
  });
  const answer = engine({ columns, rows: model.rows });
  return answer.status === 'optimal' ? answer.values : first;
}
