import { bakeReadings, lookAgainMin } from '../../facts/oven.js';
import { haltonNormal } from '../../math/halton.js';
import { onCurve } from '../../math/interpolate.js';
import { bakeUntilOver } from '../doneness.js';
import { doneBand, planLooks, withLooks } from './looks.js';
import { expectedAt } from './looks-study.js';
import { BakeMarch } from '../slab/march.js';
import { COARSE, COARSE_CELLS, nudgeAt, SAMPLES, unknownNames } from '../slab/samples.js';
import { toneAt } from '../tone.js';
import type { BakeCase } from '../bake-case.js';
import type { Band } from './looks.js';
import type { LooksStudy } from './looks-study.js';
import type { againstWords } from '../../document/bake.js';
import type { BakeSample } from '../slab/samples.js';

/** What was seen with the door open, and did not yet come out. */
export type SeenAtLook = {
  /** Minutes from the door shut. */ readonly atMin: number;
  /** Tone of the top, 1 to 8; undefined: not said. */ readonly topTone?: number;
  /** Minutes of the looks before it. */ readonly openedMin: readonly number[];
};
export type LooksLeft = {
  readonly looks: LooksStudy['looks'];
  /** When it is done, of the bakes that look like this one; null: none of those thought of takes so long. */ readonly done: Band | null;
};

/**
 * The tone that was seen: as it was told, else one off what the look should have shown, by the word.
 *
 * Units    tones 1 to 8.
 * Throws   nothing.
 * Findings none.
 * Source   judgement: a word is one tone.
 *
 * @example
 * toneSeen('paler', 5); // => 4
 */
export const toneSeen = (against: (typeof againstWords)[number], plannedTone: number, told?: number): number =>
  told ?? Math.min(8, Math.max(1, plannedTone + { paler: -1, asShown: 0, darker: 1 }[against]));

/** A bake that could happen and is not done when the door is opened, and its tone then. */
export type BakeSeen = BakeSample & { readonly topTone: number; readonly z: readonly number[] };

/**
 * Plans the looks that are left, after one that found it not done: from the bakes that could happen and would look like this now.
 * A generator as `looksStudy`. Where no bake that was thought of takes so long, there is one more look `lookAgainMin` on.
 *
 * Units    min from the door shut, tones.
 * Throws   nothing.
 * Findings none.
 * Source   Bayes' rule: the samples of bakeSamples that are not done, each as often as an eye (facts/oven bakeReadings) would have seen the
 *          tone in it. What to expect is read off the bake in the middle of them.
 */
export function* looksAfter(theCase: BakeCase, seen: SeenAtLook): Generator<number, LooksLeft> {
  return looksLeft(theCase, seen, yield* bakesNotDone(theCase, seen));
}

/** Bakes that could happen, with the looks so far, and are not done at this one. A generator as `looksStudy`. */
export function* bakesNotDone({ problem, rule, unknowns }: BakeCase, { atMin, openedMin }: SeenAtLook): Generator<number, BakeSeen[]> {
  const opened = withLooks(problem, openedMin);
  const march = new BakeMarch(COARSE_CELLS);
  const possible: BakeSeen[] = [];
  for (let i = 0; i < SAMPLES; i++) {
    const z = haltonNormal(i + 20, unknownNames.length);
    const { times, trajectory } = bakeUntilOver(march, nudgeAt(opened, unknowns, z), rule, { ...COARSE, atLeastMin: atMin });
    const doneMin = times.doneMin ?? Infinity;
    const topTone = toneAt(onCurve(trajectory.min, trajectory.browningTop, atMin), problem.rawLightness);
    if (doneMin > atMin) possible.push({ doneMin, overMin: times.overMin ?? Infinity, topTone, z });
    if (i % 10 === 9) yield i / (SAMPLES + 2);
  }
  return possible;
}

/** The looks that are left, of those bakes that look like the one that was seen. */
export function looksLeft({ problem, rule, unknowns, totalMin }: BakeCase, seen: SeenAtLook, possible: readonly BakeSeen[]): LooksLeft {
  const alike = drawnByTone(possible, seen.topTone);
  const planned = planLooks(alike, { afterMin: seen.atMin, setMin: totalMin }).atMin;
  const atMin = planned.length > 0 ? planned : [Math.round((seen.atMin + lookAgainMin.value) * 2) / 2];
  const middle = alike[Math.floor(alike.length / 2)];
  const likely = middle ? nudgeAt(problem, unknowns, middle.z) : problem;
  const looked = withLooks(likely, [...seen.openedMin, seen.atMin, ...atMin]);
  const { trajectory } = bakeUntilOver(new BakeMarch(24), looked, rule, { atLeastMin: atMin[atMin.length - 1]! });
  return {
    looks: expectedAt({ course: trajectory, problem }, atMin, alike, totalMin),
    done: doneBand(alike, seen.atMin),
  };
}

/** As many bakes, soonest done first, each as often as it is likely to have looked so: systematic resampling, without chance. */
function drawnByTone(possible: readonly BakeSeen[], seenTone: number | undefined): readonly BakeSeen[] {
  const sorted = [...possible].sort((a, b) => a.doneMin - b.doneMin);
  if (seenTone === undefined) return sorted;
  const nearest = Math.min(...sorted.map(({ topTone }) => Math.abs(topTone - seenTone)));
  // Counted from the nearest: a tone that none comes near still tells the nearest apart from the rest.
  const likely = sorted.map(({ topTone }) => Math.exp(((nearest ** 2 - (topTone - seenTone) ** 2) / bakeReadings.values.tone ** 2) * 0.5));
  const total = likely.reduce((sum, one) => sum + one, 0);
  let [at, passed] = [0, likely[0] ?? 0];
  return sorted.map((_, i) => {
    const wanted = ((i + 0.5) / sorted.length) * total;
    while (passed < wanted && at < sorted.length - 1) passed += likely[++at]!;
    return sorted[at]!;
  });
}
