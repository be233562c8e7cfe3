import { lastOf, standingEvents } from '../document/happened.js';
import { trueBakes } from '../facts/learning.js';
import type { BakeEvent, RunStep } from '../document/bake.js';
import type { Formula } from '../document/formula.js';

/** Why nothing is learned from a bake until its baker says that it really was so. */
export type LearningDoubt =
  | { readonly code: 'minutes'; readonly min: number; readonly plannedMin: number }
  | { readonly code: 'waitCut'; readonly stepKey: string; readonly tookMin: number; readonly plannedMin: number };

/**
 * Code of the event by which a baker says that it really was so.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * doubtCode({ code: 'shortBake' }); // => 'learn.shortBake'
 */
export const doubtCode = ({ code }: LearningDoubt): string => `learn.${code}`;

/**
 * What of a bake cannot be as it stands, or was not done: minutes in which nothing bakes, or in which it would be coal; a wait that was
 * skipped or cut short. What was confirmed is doubted no more.
 *
 * Units    min.
 * Throws   nothing.
 * Findings none.
 * Source   facts/learning trueBakes (judgement).
 *
 * @param steps of its run; left out for a bake written down afterwards, which had no steps to skip
 *
 * @example
 * learningDoubts(demoCrackerV2, []); // => []
 */
export function learningDoubts(formula: Formula, events: readonly BakeEvent[], steps: readonly RunStep[] = []): LearningDoubt[] {
  const stood = standingEvents(events);
  const { leastShare, mostShare, waitShare } = trueBakes.values;
  const doubts: LearningDoubt[] = [];
  const min = lastOf(
    stood.filter(({ stepKey }) => stepKey === undefined || !/^out:[2-9]/.test(stepKey)),
    (what) => (what.kind === 'measured' && what.what === 'bakeMin' ? what.value : undefined),
  );
  const plannedMin = formula.bake.steps.reduce((sum, step) => sum + step.min, 0);
  if (min !== undefined && (min < leastShare * plannedMin || min > mostShare * plannedMin))
    doubts.push({ code: 'minutes', min, plannedMin });
  for (const step of steps.filter(({ kind, min: planned }) => kind === 'wait' && (planned ?? 0) > 0)) {
    const of = stood.filter(({ stepKey }) => stepKey === step.key);
    const skipped = of.some(({ what }) => what.kind === 'skipped');
    const began = of.find(({ what }) => what.kind === 'stepBegan');
    const ended = of.find(({ what }) => what.kind === 'stepEnded');
    // A wait that nobody said had begun was written down afterwards: nothing is known of its length.
    const tookMin = skipped ? 0 : began && ended ? (Date.parse(ended.at) - Date.parse(began.at)) / 60_000 : null;
    if (tookMin !== null && tookMin < waitShare * step.min!)
      doubts.push({ code: 'waitCut', stepKey: step.key, tookMin: Math.max(0, tookMin), plannedMin: step.min! });
  }
  const meant = new Set(stood.flatMap(({ what }) => (what.kind === 'confirmed' ? [what.code] : [])));
  return doubts.filter((doubt) => !meant.has(doubtCode(doubt)));
}
