import { doorDip } from '../../facts/oven.js';
import { quantile } from '../../math/quantile.js';
import type { BakeProblem, SettingNumbers } from '../slab/problem.js';
import type { BakeSample } from '../slab/samples.js';

export type LooksPlan = {
  /** Minutes from the door shut, half minutes, rising. */ readonly atMin: readonly number[];
  /** Share of the bakes that could happen which are found between done and over-baked. */ readonly caughtShare: number;
};

/** Minutes from the door shut. */
export type LookBounds = {
  /** Plan only what is left after this one, for a baker who has just looked and found it not done. */ readonly afterMin?: number;
  /** Of the last setting of the dial: none of the looks comes before it. */ readonly fromMin?: number;
  /** As the baker set them: one of the looks, always. */ readonly setMin?: number;
};

/** P10, P50 and P90 of the minutes. */
export type Band = { readonly p10: number; readonly p50: number; readonly p90: number };

const HALF = 0.5;
const SHORTEST_GAP = 1;
/** Minutes between looks, at most: the smallest that the looks suffice for, so that what is done waits least. */
const GAPS = [1.5, 2, 2.5, 3, 4, 5, 6];
const LONGEST_GAP = 6;
/** Shares of the bakes not done at the last look that may be over-baked before the next: the smallest that the looks suffice for. */
const RISKS = [0.003, 0.006, 0.0125, 0.025, 0.05, 0.1, 0.2];
export const MOST_LOOKS = 4;

/**
 * Few door openings, placed so that nearly no bake is missed. The first comes no later than half of the bakes are done; each one is
 * as late as it can be while, of the bakes not done at the last look, at most a small share is over-baked before it. That share,
 * and then the gap between looks, is made as small as MOST_LOOKS allow. What the baker set is led as set: one look more.
 *
 * Units    min.
 * Throws   nothing; no sample that is ever done gives no look but the minutes that were set.
 * Findings none.
 * Source   our own rule; its shares are those of the samples.
 */
export function planLooks(samples: readonly BakeSample[], bounds: LookBounds = {}): LooksPlan {
  const { afterMin = 0, setMin } = bounds;
  const possible = samples.filter(({ doneMin }) => doneMin > afterMin && Number.isFinite(doneMin));
  const within = (risk: number, gap: number) => {
    const plan = looksAt(possible, bounds, risk, gap);
    return plan.length <= MOST_LOOKS ? plan : null;
  };
  const risk = RISKS.find((one) => within(one, LONGEST_GAP)) ?? RISKS[RISKS.length - 1]!;
  const gap = GAPS.find((one) => within(risk, one)) ?? LONGEST_GAP;
  const planned = possible.length === 0 ? [] : looksAt(possible, bounds, risk, gap).slice(0, MOST_LOOKS);
  const atMin = setMin === undefined || setMin <= afterMin ? planned : withSetMinutes(planned, setMin);
  return { atMin, caughtShare: caughtShare(atMin, possible) };
}

/** The minutes that the baker set are one of the looks: in the place of one within a minute of them, else beside the rest. */
function withSetMinutes(planned: readonly number[], setMin: number): number[] {
  const others = planned.filter((at) => Math.abs(at - setMin) >= SHORTEST_GAP);
  return [...others, setMin].sort((a, b) => a - b);
}

function looksAt(possible: readonly BakeSample[], { afterMin = 0, fromMin = 0 }: LookBounds, risk: number, gap: number): number[] {
  const half = quantile(possible.map(doneOf), 0.5);
  const longest = Math.max(SHORTEST_GAP, half - fromMin);
  const first = afterMin > 0 ? next(possible, afterMin, risk, gap) : next(possible, fromMin, risk, longest);
  const atMin = [first];
  for (;;) {
    const last = atMin[atMin.length - 1]!;
    const left = possible.filter(({ doneMin }) => doneMin > last);
    if (left.length <= risk * possible.length || atMin.length > MOST_LOOKS) return atMin;
    atMin.push(next(left, last, risk, gap));
  }
}

/** The latest next look, within a gap, that lets at most a share of these go over. */
function next(left: readonly BakeSample[], after: number, risk: number, longest: number): number {
  let at = Math.max(after + SHORTEST_GAP, Math.floor((after + longest) / HALF) * HALF);
  const lost = (by: number) => left.filter(({ overMin }) => overMin < by).length;
  while (at - HALF >= after + SHORTEST_GAP && lost(at) > risk * left.length) at -= HALF;
  return Math.ceil(at / HALF) * HALF;
}

/**
 * Share of bakes whose first look after they are done comes before they are over-baked.
 *
 * Units    min; share 0..1.
 * Throws   nothing.
 * Findings none.
 * Source   counting.
 */
export function caughtShare(atMin: readonly number[], samples: readonly BakeSample[]): number {
  if (samples.length === 0) return 0;
  const caught = samples.filter(({ doneMin, overMin }) => {
    const look = atMin.find((at) => at >= doneMin);
    return look !== undefined && look <= overMin;
  });
  return caught.length / samples.length;
}

/**
 * When bakes are done, of those not done by a minute; null when more than one in ten of them never is.
 *
 * Units    min from the door shut.
 * Throws   nothing.
 * Findings none.
 * Source   quantiles of the samples.
 *
 * @example
 * doneBand([]); // => null
 */
export function doneBand(samples: readonly BakeSample[], afterMin = 0): Band | null {
  const left = samples.filter(({ doneMin }) => doneMin > afterMin).map(doneOf);
  if (left.length === 0) return null;
  const [p10, p50, p90] = [0.1, 0.5, 0.9].map((share) => quantile(left, share)) as [number, number, number];
  return Number.isFinite(p90) ? { p10, p50, p90 } : null;
}

/** The same bake with the door opened for a look at these minutes: the air drops and comes back. */
export function withLooks(problem: BakeProblem, atMin: readonly number[]): BakeProblem {
  const settings: SettingNumbers[] = [];
  let from = 0;
  for (const setting of problem.settings) {
    const until = from + setting.seconds;
    const cuts = setting.outside ? [] : atMin.map((at) => at * 60).filter((at) => at > from + 1 && at < until - 1);
    let start = from;
    for (const cut of [...cuts, until]) {
      const later = start > from;
      settings.push({
        ...setting,
        seconds: cut - start,
        ...(later ? { airFromC: null, airDropC: problem.lookDropC, lagS: doorDip.values.recoverS } : {}),
      });
      start = cut;
    }
    from = until;
  }
  return { ...problem, settings };
}

const doneOf = ({ doneMin }: BakeSample) => doneMin;
