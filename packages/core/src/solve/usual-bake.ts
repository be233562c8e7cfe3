import { bakeUntilOver } from '../bake/doneness.js';
import { BakeMarch } from '../bake/slab/march.js';
import { toneIndex } from '../bake/tone.js';
import { bakeCaseFor } from '../evaluate.js';
import { coolPiece } from '../keep/cooling.js';
import { onCurve } from '../math/interpolate.js';
import type { BakeCase } from '../bake/bake-case.js';
import type { Trajectory } from '../bake/slab/march.js';
import type { Case } from '../document/case.js';
import type { Formula } from '../document/formula.js';
import type { Family, Window } from '../facts/families.js';

const STEP_K = 5;
const STEP_MIN = 0.5;

/**
 * A first formula's oven and minutes: inside its family's windows where they serve, those that bring it nearest to what the family's goods are once
 * cooled, through, golden and not dark; of equals the usual ones.
 *
 * Units    C, min.
 * Throws   nothing: a formula that cannot be baked yet stays as it is.
 * Findings none.
 * Source   the bake's own equations; what weighs how much here is our choice.
 */
export function bakedWithin(first: Formula, { family, kitchen, pantry }: Pick<Case, 'family' | 'kitchen' | 'pantry'>): Formula {
  const last = first.bake.steps.length - 1;
  const underMin = first.bake.steps.slice(0, last).reduce((sum, { min }) => sum + min, 0);
  let best = { formula: first, off: Infinity };
  /** What cooling takes off after the fewest and the most minutes, at the usual oven: much the same at the others. */
  let drops: readonly [number, number] | null = null;
  for (const wantC of around(family.ovenC, STEP_K)) {
    const at = (min: number): Formula => ({
      ...first,
      bake: {
        ...first.bake,
        steps: first.bake.steps.map((step, i) => ({ ...step, wantC, ...(i === last ? { min: min - underMin } : {}) })),
      },
    });
    const baking = bakeCaseFor(at(family.bakeMin[1]), kitchen, pantry);
    if (!baking) return first;
    const handledMin = baking.totalMin - family.bakeMin[1];
    const { trajectory, times } = bakeUntilOver(new BakeMarch(24), baking.problem, baking.rule, {
      atLeastMin: family.bakeMin[2] + handledMin,
    });
    const cooled = (min: number) => {
      const { problem, totalMin } = bakeCaseFor(at(min), kitchen, pantry)!;
      const x = coolPiece({ problem, bakedMin: totalMin }, first.keep.cool, kitchen).moistureX;
      return x - onCurve(trajectory.min, trajectory.moistureX, totalMin);
    };
    // Judged by its middle, a bare first formula of goods that are usually filled is done before its family's minutes begin.
    const low = baking.limits.mustDry ? family.bakeMin[0] : Math.round(family.bakeMin[0] / 2);
    const high = family.bakeMin[2];
    drops ??= [cooled(Math.max(underMin + STEP_MIN, low)), cooled(high)];
    const outside = (min: number) => Math.max(0, family.bakeMin[0] - min) / (family.bakeMin[2] - family.bakeMin[0]);
    for (let min = Math.max(low, underMin + STEP_MIN); min <= high; min += STEP_MIN) {
      const drop = drops[0] + ((drops[1] - drops[0]) * (min - low)) / (high - low);
      const off =
        offOf({ family, baking, trajectory, doneMin: times.doneMin }, min + handledMin, drop) +
        0.5 * (distance(family.ovenC, wantC) + distance(family.bakeMin, min)) +
        6 * outside(min);
      if (off < best.off) best = { formula: at(min), off };
    }
  }
  return best.formula;
}

/** How far a piece taken out at this minute is from what it should be, in windows and tones. */
function offOf(
  {
    family,
    baking,
    trajectory,
    doneMin,
  }: { readonly family: Family; readonly baking: BakeCase; readonly trajectory: Trajectory; readonly doneMin: number | null },
  atMin: number,
  cooledBy: number,
): number {
  const at = (series: readonly number[]) => onCurve(trajectory.min, series, atMin);
  const { rule, limits, problem } = baking;
  const x = Math.max(0, at(trajectory.moistureX) + cooledBy);
  const [low, target, high] = family.finalMoisturePercent.map((percent) => percent / 100) as [number, number, number];
  const share = x / (1 + x);
  const faces = Math.max(at(trajectory.browningTop), at(trajectory.browningBase));
  const seen = Math.max(faces, at(trajectory.browningRim));
  const tone = toneIndex(problem.rawLightness);
  // What is judged by its middle and its colour is taken out when it is done, a little late at most; what must be dry, when it is dry.
  const late = limits.mustDry || doneMin === null ? 0 : Math.max(0, atMin / doneMin - 1);
  return (
    ((limits.mustDry ? 10 : 4) * Math.max(0, low - share, share - high) + 0.5 * Math.abs(share - target)) / (high - low) +
    20 * late ** 2 +
    (5 * Math.max(0, rule.golden - seen)) / tone +
    (10 * Math.max(0, faces - rule.dark + 0.5 * tone)) / tone +
    (limits.coreC === null ? 0 : 2 * Math.max(0, limits.coreC - at(trajectory.coldestC)))
  );
}

/** The usual value first, then further and further from it, as far as the window goes. */
function around([low, usual, high]: Window, step: number): number[] {
  const found = [usual];
  for (let by = step; usual - by >= low || usual + by <= high; by += step)
    found.push(...[usual + by, usual - by].filter((one) => one >= low && one <= high));
  return found;
}

const distance = ([low, usual, high]: Window, value: number): number => Math.abs(value - usual) / (high - low);
