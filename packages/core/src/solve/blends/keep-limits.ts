import { broughtBy } from './blend-spec.js';
import type { BlendSpec } from './blend-spec.js';

/** More moves than this and the scale is too coarse for what is asked. */
const MOST_MOVES = 40;
const HAIR = 1e-9;

/**
 * Whole steps of a scale that keep the hard limits which rounding broke by a hair: a step at a time is moved from one ingredient to
 * another, the move that mends most first.
 *
 * Units    g in whole steps; their sum stays.
 * Throws   nothing.
 * Findings none; `broken` names the limits that no move of single steps could keep.
 * Source   local search over pairs; the blend it starts from is within a step of one that keeps them all.
 */
export function keepLimits(
  spec: BlendSpec,
  grams: Readonly<Record<string, number>>,
  batchG: number,
  stepG: number,
): { readonly grams: Record<string, number>; readonly broken: string[] } {
  let now: Record<string, number> = { ...grams };
  for (let move = 0; move < MOST_MOVES; move++) {
    const off = missOf(spec, now, batchG);
    if (off <= HAIR) break;
    const best = moves(spec, now, batchG, stepG)
      .map((next) => ({ next, off: missOf(spec, next, batchG) }))
      .reduce((least, one) => (one.off < least.off - HAIR ? one : least), { next: now, off });
    if (best.next === now) break;
    now = best.next;
  }
  return { grams: now, broken: brokenBy(spec, now, batchG) };
}

/** Every way to move one step between two ingredients that are in it and stay within their least and most. */
function moves(spec: BlendSpec, grams: Readonly<Record<string, number>>, batchG: number, stepG: number): Record<string, number>[] {
  const used = spec.items.filter(({ id }) => (grams[id] ?? 0) > 0);
  const clean = (g: number) => Number(g.toFixed(6));
  return used.flatMap((from) =>
    used.flatMap((to) => {
      const [less, more] = [clean(grams[from.id]! - stepG), clean(grams[to.id]! + stepG)];
      if (from === to || less < from.lo * batchG - HAIR || more > to.hi * batchG + HAIR) return [];
      return [{ ...grams, [from.id]: less, [to.id]: more }];
    }),
  );
}

type Hard = { readonly name: string; readonly value: number; readonly lo: number; readonly hi: number; readonly step: number };

function hardLimits(spec: BlendSpec, grams: Readonly<Record<string, number>>, batchG: number): Hard[] {
  const shares = Object.fromEntries(Object.entries(grams).map(([id, g]) => [id, g / batchG]));
  return [
    ...spec.wishes
      .filter(({ hard }) => hard)
      .map(({ key, lo = -Infinity, hi = Infinity, step }) => ({ name: key, value: broughtBy(spec, shares, key), lo, hi, step })),
    ...spec.groups.map(({ name, ids, factor, lo, hi }) => ({
      name,
      value: ids.reduce((sum, id) => sum + (shares[id] ?? 0) * (factor?.[id] ?? 1), 0),
      lo,
      hi,
      step: Math.max(0.01, (hi - lo) / 10),
    })),
  ];
}

/** How far all limits together are missed, in steps of each. */
const missOf = (spec: BlendSpec, grams: Readonly<Record<string, number>>, batchG: number) =>
  hardLimits(spec, grams, batchG).reduce((sum, { value, lo, hi, step }) => sum + Math.max(0, lo - value, value - hi) / step, 0);

const brokenBy = (spec: BlendSpec, grams: Readonly<Record<string, number>>, batchG: number) =>
  hardLimits(spec, grams, batchG)
    .filter(({ value, lo, hi }) => value < lo - HAIR || value > hi + HAIR)
    .map(({ name }) => name);
