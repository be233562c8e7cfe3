import { standingEvents } from '../document/happened.js';
import { farWeight, weighTolerance } from '../facts/run.js';
import { withLooksPlanned } from './plan/look-steps.js';
import type { BakeEvent, HandWord, Happened, MeasuredWhat, RunStep } from '../document/bake.js';

export type StepProgress = {
  /** As it is now: swapped, and for the batch as it was scaled. */ readonly step: RunStep;
  readonly state: 'todo' | 'done' | 'skipped';
  readonly beganAt: number | null;
  readonly endedAt: number | null;
  readonly weighedG: number;
  readonly lotId: string | null;
  readonly reason: string | null;
};
export type RunningWait = {
  readonly step: RunStep;
  readonly beganAt: number;
  readonly endsAt: number;
  /** What comes after it. */ readonly then: RunStep | null;
};
export type RunState = {
  readonly state: 'running' | 'paused' | 'ended';
  readonly factor: number;
  readonly steps: readonly StepProgress[];
  /** The first step that is neither done nor skipped; the last one when all are. */ readonly nowIndex: number;
  readonly allDone: boolean;
  /** Soonest first. */ readonly waits: readonly RunningWait[];
  /** Weighed into the dough, g. */ readonly bowlG: number;
  readonly words: readonly HandWord[];
  readonly measured: Readonly<Partial<Record<MeasuredWhat, number>>>;
  readonly beganAt: number | null;
  readonly endedAt: number | null;
};

/**
 * How far off a weight may be.
 *
 * Units    g; `scaleStepG` is the least that the scale shows.
 * Throws   nothing.
 * Findings none.
 * Source   facts/run weighTolerance (judgement).
 *
 * @example
 * weighToleranceG(100, 1); // => 2
 */
export const weighToleranceG = (amountG: number, scaleStepG: number): number =>
  Math.max(amountG * weighTolerance.values.share, scaleStepG * weighTolerance.values.steps);

/**
 * Whether a weight is so far from what was planned that it may have been forgotten, or typed wrong: asked about, not refused.
 *
 * Units    g; `scaleStepG` is the least that the scale shows.
 * Throws   nothing.
 * Findings none.
 * Source   facts/run farWeight (judgement).
 *
 * @example
 * isFarFromPlanned(5, 100, 0.1); // => true
 */
export const isFarFromPlanned = (weighedG: number, plannedG: number, scaleStepG: number): boolean =>
  Math.abs(weighedG - plannedG) > 3 * weighToleranceG(plannedG, scaleStepG) &&
  (weighedG < farWeight.values.low * plannedG || weighedG > farWeight.values.high * plannedG);

/**
 * Where a run stands, from its plan and all that happened. Events may come in any order and from several devices.
 *
 * A weighed step of which more is wanted since the batch was scaled is to be done again, for what is missing.
 *
 * Units    g, ms since 1970.
 * Throws   nothing; what names a step that is not in the plan is kept and moves no step.
 * Findings none.
 * Source   a fold.
 *
 * @param nameOf what an ingredient is called that came in by a swap
 */
export function runState(
  steps: readonly RunStep[],
  events: readonly BakeEvent[],
  scaleStepG: number,
  nameOf: (ingredientId: string) => string | undefined = () => undefined,
): RunState {
  const stood = standingEvents(events);
  const last = <K extends Happened['kind']>(kinds: readonly K[]) =>
    stood.findLast(({ what }) => (kinds as readonly string[]).includes(what.kind));
  const factor = (last(['scaled'])?.what as Extract<Happened, { kind: 'scaled' }> | undefined)?.factor ?? 1;
  const progress = withLooksPlanned(steps, stood).map((step) => progressOf(step, stood, { factor, scaleStepG, nameOf }));
  const first = progress.findIndex(({ state }) => state === 'todo');
  const ended = last(['ended']);
  return {
    state: ended ? 'ended' : last(['paused', 'resumed'])?.what.kind === 'paused' ? 'paused' : 'running',
    factor,
    steps: progress,
    nowIndex: first < 0 ? progress.length - 1 : first,
    allDone: first < 0,
    waits: ended ? [] : waitsOf(progress),
    bowlG: progress.reduce((sum, { step, weighedG }) => sum + (step.stage === 'blend' || step.stage === 'dough' ? weighedG : 0), 0),
    words: stood.flatMap(({ what }) => (what.kind === 'felt' ? [what.word] : [])),
    measured: Object.fromEntries(stood.flatMap(({ what }) => (what.kind === 'measured' ? [[what.what, what.value]] : []))),
    beganAt: timeOf(stood.find(({ what }) => what.kind === 'began')),
    endedAt: timeOf(ended),
  };
}

const timeOf = (event: BakeEvent | undefined): number | null => (event ? Date.parse(event.at) : null);

type NameOf = (ingredientId: string) => string | undefined;

function progressOf(
  planned: RunStep,
  stood: readonly BakeEvent[],
  { factor, scaleStepG, nameOf }: { readonly factor: number; readonly scaleStepG: number; readonly nameOf: NameOf },
): StepProgress {
  const own = stood.filter(({ stepKey }) => stepKey === planned.key);
  const step = asItIsNow(planned, stood, factor, nameOf);
  const weighed = own.flatMap(({ what }) => (what.kind === 'weighed' ? [what] : []));
  const weighedG = weighed.reduce((sum, { addedG }) => sum + addedG, 0);
  const ended = own.findLast(({ what }) => what.kind === 'stepEnded');
  const skipped = own.findLast(({ what }) => what.kind === 'skipped');
  const began = own.find(({ what }) => what.kind === 'stepBegan');
  const scaledAt = timeOf(stood.findLast(({ what }) => what.kind === 'scaled'));
  const short = planned.kind === 'weigh' && weighed.length > 0 && step.amountG! - weighedG > weighToleranceG(step.amountG!, scaleStepG);
  // Only a batch made larger after it was weighed opens a step again: a baker who went on with less meant it.
  const again = short && ended !== undefined && scaledAt !== null && Date.parse(ended.at) <= scaledAt;
  return {
    step,
    state: ended && !again ? 'done' : skipped ? 'skipped' : 'todo',
    beganAt: timeOf(began),
    endedAt: timeOf(ended ?? skipped),
    weighedG,
    lotId: weighed.findLast(({ lotId }) => lotId !== undefined)?.lotId ?? null,
    reason: skipped?.what.kind === 'skipped' ? skipped.what.reason : null,
  };
}

/** Swapped and scaled since the plan was made. A swap's grams are those of the whole row, for the run as planned. */
function asItIsNow(planned: RunStep, stood: readonly BakeEvent[], factor: number, nameOf: NameOf): RunStep {
  const swap = stood.findLast(({ what }) => what.kind === 'swapped' && what.rowKey === planned.rowKey)?.what;
  const swapped =
    swap?.kind === 'swapped' && planned.kind === 'weigh'
      ? {
          ...planned,
          ingredientId: swap.ingredientId,
          name: nameOf(swap.ingredientId) ?? swap.ingredientId,
          amountG: swap.amountG * (planned.shareOfRow ?? 1) - (planned.heldG ?? 0),
        }
      : planned;
  if (factor === 1) return swapped;
  return {
    ...swapped,
    ...(swapped.kind === 'weigh' || swapped.what === 'divide' ? { amountG: swapped.amountG! * factor } : {}),
    ...(swapped.heldG === undefined ? {} : { heldG: swapped.heldG * factor }),
  };
}

function waitsOf(steps: readonly StepProgress[]): RunningWait[] {
  // A wait runs from its beginning, what hands do is there when they are done with it.
  const thereAt = new Map(steps.map(({ step, beganAt, endedAt }) => [step.key, step.kind === 'wait' ? beganAt : (endedAt ?? beganAt)]));
  return steps
    .flatMap(({ step, state, beganAt: began }, i): RunningWait[] => {
      if (step.kind !== 'wait' || state !== 'todo' || began === null) return [];
      const from = step.since === undefined ? began : (thereAt.get(step.since) ?? began);
      return [{ step, beganAt: from, endsAt: from + step.min! * 60000, then: steps[i + 1]?.step ?? null }];
    })
    .sort((a, b) => a.endsAt - b.endsAt);
}
