import { toneSeen, type RunStep, type AgainstWord } from '@north-leaf/core';
import { benchNow } from '../../../platform/bench-clock';
import { opened } from '../../../platform/worker-kit';
import { say, stateOfRun, useRuns } from '../keeping/run-store';
import type { PlanRunApi } from '../plan-run.worker';
import type { RunInHand } from '../keeping/use-run';

/**
 * Plans the looks that are left after one that did not take it out, and says so at that look. It takes a moment, in a worker: the run goes
 * on meanwhile with the looks that it had.
 */
export async function planLooksLeft(run: RunInHand, look: RunStep, against: AgainstWord, topTone?: number): Promise<void> {
  const door = doorOf(run.state.steps, look);
  if (door === null) return;
  const since = (at: number) => (at - door) / 60_000;
  const openedMin = run.state.steps.flatMap(({ step, state, endedAt }) =>
    step.what === 'look' && step.load === look.load && step.key !== look.key && state === 'done' && endedAt !== null
      ? [since(endedAt)]
      : [],
  );
  const worker = new Worker(new URL('../plan-run.worker.ts', import.meta.url), { type: 'module', name: 'plan-run' });
  const { api, end } = opened<PlanRunApi>(worker, run);
  try {
    const left = await api.looksLeft(run.formula, {
      atMin: since(benchNow()),
      topTone: toneSeen(against, look.topTone ?? 1, topTone),
      openedMin,
    });
    if (left && !tookOut(run.run.id, look))
      await say(run.run.id, [
        {
          stepKey: look.key,
          what: {
            kind: 'looksPlanned',
            looks: left.looks,
            ...(left.done ? { doneP10Min: left.done.p10, doneP90Min: left.done.p90 } : {}),
          },
        },
      ]);
  } finally {
    end();
  }
}

const doorOf = (steps: RunInHand['state']['steps'], look: RunStep): number | null => {
  const door = steps.find(({ step }) => step.key === look.since);
  return door?.endedAt ?? door?.beganAt ?? null;
};

/** It came out while its looks were being planned. */
function tookOut(runId: string, look: RunStep): boolean {
  const { kept, waiting } = useRuns.getState();
  const of = kept[runId];
  if (!of) return true;
  const { steps } = stateOfRun(of, waiting);
  const after = steps.slice(steps.findIndex(({ step }) => step.key === look.key) + 1);
  return after.some(({ step, state }) => step.load === look.load && (step.what === 'look' || step.what === 'inOven') && state !== 'todo');
}
