import { blendModel, limitsOfWish } from './blend-model.js';
import type { Limit } from './blend-model.js';
import type { BlendSpec } from './blend-spec.js';
import type { LinearEngine } from '../../math/linear-model.js';

export type Conflict = {
  /** Limits that cannot hold at once; leave any one out and the others can. */ readonly clash: readonly Limit[];
  /** How far each alone would have to give; those that alone cannot mend it are left out. */
  readonly alone: readonly (Limit & { readonly needed: number })[];
  /** The least change over all together. */ readonly together: readonly (Limit & { readonly needed: number })[];
  /** Not even without any limit: too few ingredients, amounts or uses that cannot make a whole. */ readonly structural: boolean;
};

/**
 * Why no blend keeps every limit, and what would have to give.
 *
 * Units    each limit's own.
 * Throws   InputError as blendModel does.
 * Findings none.
 * Source   elastic programming, one limit or all; deletion filter (Chinneck & Dravnieks 1991) for the clash, which need not be the only one.
 */
export function explainConflict(spec: BlendSpec, engine: LinearEngine): Conflict {
  const limits = limitsOfWish(spec);
  const names = (which: readonly Limit[]) => new Set(which.map(({ name }) => name));
  const needed = (which: readonly Limit[]): (Limit & { needed: number })[] | null => {
    const { model, slackOf } = blendModel(spec, { elastic: names(which) });
    const answer = engine(model);
    if (answer.status !== 'optimal') return null;
    return which
      .map((limit) => {
        const gives = answer.values[slackOf.get(limit.name)!]!;
        return { ...limit, needed: limit.side === 'lo' ? limit.value - gives : limit.value + gives };
      })
      .filter((limit) => Math.abs(limit.needed - limit.value) > 1e-7);
  };
  const together = needed(limits);
  if (together === null) return { clash: [], alone: [], together: [], structural: true };
  return { clash: clashOf(spec, limits, engine), alone: limits.flatMap((limit) => needed([limit]) ?? []), together, structural: false };
}

/** Drop a limit; if it is still impossible, it was no part of the clash. */
function clashOf(spec: BlendSpec, limits: readonly Limit[], engine: LinearEngine): Limit[] {
  const without = new Set<string>();
  for (const { name } of limits) {
    without.add(name);
    if (engine(blendModel(spec, { without, wishes: false }).model).status !== 'infeasible') without.delete(name);
  }
  return limits.filter(({ name }) => !without.has(name));
}
