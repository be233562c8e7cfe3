import type { RunStep } from '../document/bake.js';
import type { RunState } from './state.js';

export type StepTime = { readonly beginMin: number; readonly endMin: number };
export type RunTimes = { readonly handsMin: number; readonly waitMin: number; readonly totalMin: number };

/**
 * When each step begins and ends if nothing is late.
 *
 * A wait runs from when it was put there, or from when hands were done with the step `since`; hands that work meanwhile are part of it.
 *
 * Units    min from the first step.
 * Throws   nothing.
 * Findings none.
 * Source   addition.
 */
export function timeline(steps: readonly RunStep[]): StepTime[] {
  const begins = new Map<string, number>();
  let now = 0;
  return steps.map((step) => {
    const beginMin = now;
    now += step.handsMin;
    begins.set(step.key, now);
    if (step.kind === 'wait') {
      const from = step.since === undefined ? now : (begins.get(step.since) ?? beginMin);
      now = Math.max(now, from + step.min!);
    }
    return { beginMin, endMin: now };
  });
}

/**
 * Minutes of hands, minutes in which hands are free, and both.
 *
 * Units    min.
 * Throws   nothing.
 * Findings none.
 * Source   timeline.
 *
 * @example
 * runTimes([]); // => { handsMin: 0, waitMin: 0, totalMin: 0 }
 */
export function runTimes(steps: readonly RunStep[]): RunTimes {
  const times = timeline(steps);
  const totalMin = times.at(-1)?.endMin ?? 0;
  const handsMin = steps.reduce((sum, step) => sum + step.handsMin, 0);
  return { handsMin, waitMin: Math.max(0, totalMin - handsMin), totalMin };
}

export type Beginning = {
  /** Minutes before the wished moment at which the first step has to begin. */ readonly beginBeforeMin: number;
  /** The step that is under way at that moment when it begins now, and how far from the end that is; null: all done by then. */
  readonly under: { readonly step: RunStep; readonly leftMin: number } | null;
};

/**
 * When to begin to be ready at a moment, and where a run begun now would stand then.
 *
 * Units    min; `inMin` is from now to the moment.
 * Throws   nothing.
 * Findings none.
 * Source   timeline.
 */
export function beginningFor(steps: readonly RunStep[], inMin: number): Beginning {
  const times = timeline(steps);
  const totalMin = times.at(-1)?.endMin ?? 0;
  const i = times.findIndex(({ endMin }) => endMin > inMin);
  return { beginBeforeMin: totalMin, under: i < 0 ? null : { step: steps[i]!, leftMin: totalMin - inMin } };
}

/**
 * Steps that are still to be done and when each begins, from where a run stands, if nothing more is late.
 *
 * Units    min from `nowMs`, which is ms since 1970.
 * Throws   nothing.
 * Findings none.
 * Source   timeline of what is left; a wait that runs ends when it ends.
 */
export function ahead(
  { steps, state }: RunState,
  nowMs: number,
): { readonly step: RunStep; readonly beginMin: number; readonly endMin: number }[] {
  if (state === 'ended') return [];
  const there = new Map<string, number>();
  for (const { step, beganAt, endedAt } of steps) {
    const at = step.kind === 'wait' ? beganAt : (endedAt ?? beganAt);
    if (at !== null) there.set(step.key, (at - nowMs) / 60_000);
  }
  let now = 0;
  return steps.flatMap(({ step, state: is, beganAt }) => {
    if (is !== 'todo') return [];
    const beginMin = now;
    const runs = step.kind === 'wait' && beganAt !== null;
    if (!runs) {
      now += step.handsMin;
      there.set(step.key, now);
    }
    if (step.kind === 'wait') now = Math.max(now, (there.get(step.since ?? step.key) ?? now) + step.min!);
    return [{ step, beginMin, endMin: now }];
  });
}

/**
 * Minutes until a run is through, from where it stands, if nothing more is late.
 *
 * Units    min; `nowMs` is ms since 1970.
 * Throws   nothing.
 * Findings none.
 * Source   ahead.
 */
export const leftMin = (run: RunState, nowMs: number): number => ahead(run, nowMs).at(-1)?.endMin ?? 0;
