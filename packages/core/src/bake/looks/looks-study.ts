import { onCurve } from '../../math/interpolate.js';
import { bakeUntilOver } from '../doneness.js';
import { doneBand, planLooks, withLooks } from './looks.js';
import { BakeMarch, type Trajectory } from '../slab/march.js';
import { doughX, type BakeProblem } from '../slab/problem.js';
import { bakeSamples, SAMPLES } from '../slab/samples.js';
import { toneAt } from '../tone.js';
import type { BakeCase } from '../bake-case.js';
import type { Band } from './looks.js';
import type { BakeSample } from '../slab/samples.js';
import type { PlannedLook } from '../../document/bake.js';

/** When to look, what to expect, and how sure that is. */
export type LooksStudy = {
  readonly samples: readonly BakeSample[];
  readonly done: Band | null;
  readonly caughtShare: number;
  readonly looks: readonly PlannedLook[];
  /** How much later it is done for being looked at. */ readonly looksCostMin: number;
};

/**
 * Plans the looks of a bake. A generator: each turn gives the share of the work that is done, the last one the answer.
 *
 * Units    min, C, tones, shares.
 * Throws   nothing.
 * Findings none.
 * Source   bakeSamples, planLooks; tones and moisture are those of the bake as written, with the door opened at each look.
 */
export function* looksStudy({ problem, rule, unknowns, lastSettingMin, totalMin }: BakeCase): Generator<number, LooksStudy> {
  const samples: BakeSample[] = [];
  for (const sample of bakeSamples(problem, rule, unknowns)) {
    samples.push(sample);
    if (samples.length % 10 === 0) yield samples.length / (SAMPLES + 2);
  }
  const { atMin, caughtShare } = planLooks(samples, { fromMin: lastSettingMin, setMin: totalMin });
  const march = new BakeMarch(24);
  const untouched = bakeUntilOver(march, problem, rule);
  const until = { atLeastMin: atMin[atMin.length - 1] ?? 0 };
  const looked = bakeUntilOver(march, withLooks(problem, atMin), rule, until);
  return {
    samples,
    done: doneBand(samples),
    caughtShare,
    looks: expectedAt({ course: looked.trajectory, problem }, atMin, samples, totalMin),
    looksCostMin:
      looked.times.doneMin === null || untouched.times.doneMin === null ? 0 : Math.max(0, looked.times.doneMin - untouched.times.doneMin),
  };
}

/** What a course shows at these minutes, and how many of the samples are done by then. The minutes that the baker set are marked. */
export function expectedAt(
  {
    course,
    problem: { rawLightness, apart },
  }: { readonly course: Trajectory; readonly problem: Pick<BakeProblem, 'rawLightness' | 'apart'> },
  atMin: readonly number[],
  samples: readonly BakeSample[],
  setMin: number,
): LooksStudy['looks'] {
  const at = (series: readonly number[], min: number) => onCurve(course.min, series, min);
  const tone = (series: readonly number[], min: number) => toneAt(at(series, min), rawLightness);
  return atMin.map((min) => {
    const x = doughX(at(course.moistureX, min), apart);
    return {
      atMin: min,
      topTone: tone(course.browningTop, min),
      baseTone: tone(course.browningBase, min),
      rimTone: Math.max(tone(course.browningTop, min), tone(course.browningRim, min)),
      moistureShare: x / (1 + x),
      coldestC: at(course.coldestC, min),
      doneShare: samples.length === 0 ? 0 : samples.filter(({ doneMin }) => doneMin <= min).length / samples.length,
      ...(min === setMin ? { asSet: true } : {}),
    };
  });
}
