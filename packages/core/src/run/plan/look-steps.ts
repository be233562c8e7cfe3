import { hands } from './made.js';
import type { BakeEvent, Happened, PlannedLook, RunStep } from '../../document/bake.js';

/** One look with what it should show. */
export const lookStep = (
  of: Pick<RunStep, 'key' | 'stage' | 'load' | 'loads' | 'since' | 'oven'>,
  look: PlannedLook,
  n: number,
  ofAll: number,
): RunStep => {
  const { atMin, ...shows } = look;
  return { ...of, ...shows, kind: 'look', what: 'look', handsMin: hands.look, min: atMin, n, of: ofAll };
};

/**
 * The steps with what is left of a load's looks as it was planned anew after each look that found it not done.
 *
 * Units    min from the door shut.
 * Throws   nothing; a plan said at a step that is not a look changes nothing.
 * Findings none.
 * Source   the events `looksPlanned`.
 *
 * @param stood events that nobody took back, oldest first
 */
export function withLooksPlanned(steps: readonly RunStep[], stood: readonly BakeEvent[]): readonly RunStep[] {
  let now = steps;
  for (const { stepKey, what } of stood) if (what.kind === 'looksPlanned') now = plannedAnew(now, stepKey, what);
  return now;
}

function plannedAnew(
  steps: readonly RunStep[],
  at: string | undefined,
  plan: Extract<Happened, { kind: 'looksPlanned' }>,
): readonly RunStep[] {
  const index = steps.findIndex(({ key, what }) => key === at && what === 'look');
  const seen = steps[index];
  const out = steps.findIndex(({ what, load }, i) => i > index && what === 'out' && load === seen?.load);
  // A later setting of the dial stands where it is.
  if (!seen || out < 0 || steps.slice(index, out).some(({ what }) => what === 'nextSetting')) return steps;
  const { n = 1 } = seen;
  const base = ofItsLoad(seen);
  const { doneP10Min, doneP90Min } = plan;
  const likely = doneP10Min === undefined || doneP90Min === undefined ? {} : { doneP10Min, doneP90Min };
  const waits = steps.slice(0, index).filter(({ what, load }) => what === 'inOven' && load === seen.load).length;
  // The next look keeps its key: what was already said at it, its wait begun, stays with it.
  const left = plan.looks.flatMap((look, i): RunStep[] => [
    { ...base, ...likely, key: `bake:${seen.load}:${waits + i}`, kind: 'wait', what: 'inOven', handsMin: 0, min: look.atMin },
    lookStep({ ...base, key: `look:${seen.load}:${n + i}` }, look, n + i + 1, n + plan.looks.length),
  ]);
  return [...steps.slice(0, index + 1), ...left, ...steps.slice(out)];
}

/** What every step of a load in the oven carries on. */
const ofItsLoad = ({ stage, load, loads, since, oven }: RunStep) => ({
  stage,
  ...(load === undefined ? {} : { load }),
  ...(loads === undefined ? {} : { loads }),
  ...(since === undefined ? {} : { since }),
  ...(oven === undefined ? {} : { oven }),
});
