import { useEffect, useRef, useState } from 'react';
import { wrap, type Remote } from 'comlink';
import type { Evaluation, Formula, Kitchen, Pantry } from '@north-leaf/core';
import type { EvaluationApi } from './evaluation.worker';

export type Evaluated = {
  /** Of the formula as it is now, or while it is being worked out, of the one before. */ readonly evaluation: Evaluation | null;
  readonly of: Formula | null;
  /** The core itself failed: a fault of ours. */ readonly failed: boolean;
};

/** Works a formula out in a worker: typing never waits, and of several waiting changes only the newest is done. */
export function useEvaluation(formula: Formula, kitchen: Kitchen, pantry: Pantry): Evaluated {
  const [evaluated, setEvaluated] = useState<Evaluated>({ evaluation: null, of: null, failed: false });
  const api = useRef<Remote<EvaluationApi> | null>(null);
  const waiting = useRef<Formula | null>(null);
  const busy = useRef(false);

  useEffect(() => {
    const worker = new Worker(new URL('./evaluation.worker.ts', import.meta.url), { type: 'module', name: 'evaluation' });
    api.current = wrap<EvaluationApi>(worker);
    void api.current.surround(kitchen, pantry);
    return () => {
      api.current = null;
      busy.current = false;
      worker.terminate();
    };
  }, [kitchen, pantry]);

  useEffect(() => {
    waiting.current = formula;
    const work = async () => {
      if (busy.current) return;
      busy.current = true;
      while (waiting.current && api.current) {
        const next = waiting.current;
        const by = api.current;
        waiting.current = null;
        try {
          const evaluation = await by.evaluate(next);
          if (api.current === by) setEvaluated({ evaluation, of: next, failed: false });
        } catch {
          if (api.current === by) setEvaluated((before) => ({ ...before, failed: true }));
        }
      }
      busy.current = false;
    };
    void work();
  }, [formula, kitchen, pantry]);

  return evaluated;
}
