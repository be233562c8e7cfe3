import { startTransition, useEffect, useState } from 'react';
import { proxy } from 'comlink';
import type { Evaluation, Formula, Kitchen, Pantry } from '@north-leaf/core';
import type { FormulaVersion } from '@north-leaf/contracts';
import { useDraft } from '../formulas/doors';
import { useEarlyDough } from '../board/doors';
import { isAsSaved } from './as-saved';
import { opened } from '../../platform/worker-kit';
import type { EvaluationApi } from './evaluation.worker';

export type Evaluated = {
  readonly evaluation: Evaluation | null;
  /** The formula that was worked out. */ readonly of: Formula | null;
  /** A newer draft has been waiting for its answer long enough to say so. */ readonly stale: boolean;
  /** The core itself failed: a fault of ours. */ readonly failed: boolean;
};

/** Answers within this time replace the last one silently. */
const SILENT_MS = 150;

/**
 * Works the draft out in a worker, at every change. Typing never waits: of several waiting changes only the newest is done, and
 * the page is drawn again when the answer is there, not when the key is pressed. What was worked out when the version was saved
 * stands meanwhile where nothing it was made of has changed.
 */
export function useEvaluation(kitchen: Kitchen, pantry: Pantry, saved: FormulaVersion): Evaluated {
  const [evaluated, setEvaluated] = useState<Evaluated>(() =>
    isAsSaved(saved, kitchen, pantry)
      ? { evaluation: saved.evaluation, of: saved.formula, stale: true, failed: false }
      : { evaluation: null, of: null, stale: false, failed: false },
  );

  useEffect(() => {
    const worker = new Worker(new URL('./evaluation.worker.ts', import.meta.url), { type: 'module', name: 'evaluation' });
    const { api, end } = opened<EvaluationApi>(worker, { kitchen, pantry });
    const early = proxy((dough: Evaluation['dough']) => {
      if (!gone) useEarlyDough.setState({ dough });
    });
    let waiting: Formula | null = null;
    let busy = false;
    let gone = false;
    let late: ReturnType<typeof setTimeout> | undefined;

    const work = async () => {
      if (busy) return;
      busy = true;
      while (waiting && !gone) {
        const next: Formula = waiting;
        waiting = null;
        try {
          const evaluation = await api.evaluate(next, early);
          clearTimeout(late);
          // A board is drawn anew between presses: a key that is pressed meanwhile goes before it.
          if (!gone) startTransition(() => setEvaluated({ evaluation, of: next, stale: false, failed: false }));
        } catch {
          if (!gone) setEvaluated((before) => ({ ...before, failed: true }));
        }
      }
      busy = false;
    };
    const ask = (formula: Formula) => {
      waiting = formula;
      clearTimeout(late);
      late = setTimeout(() => startTransition(() => setEvaluated((before) => ({ ...before, stale: true }))), SILENT_MS);
      void work();
    };
    ask(useDraft.getState().formula);
    const stop = useDraft.subscribe((now, before) => now.formula !== before.formula && ask(now.formula));
    return () => {
      gone = true;
      useEarlyDough.setState({ dough: null });
      stop();
      clearTimeout(late);
      end();
    };
  }, [kitchen, pantry]);

  return evaluated;
}
