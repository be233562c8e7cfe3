import { evaluate, type Evaluation, type Formula } from '@north-leaf/core';
import { expose } from 'comlink';
import { surroundings } from '../../platform/worker-kit';

const { surround, here } = surroundings();
const api = {
  surround,
  /** `early` is told the dough while the rest is worked out. */
  evaluate(formula: Formula, early: (dough: Evaluation['dough']) => void): Evaluation {
    const { kitchen, pantry } = here();
    return evaluate(formula, kitchen, pantry, ({ dough }) => early(dough));
  },
};
export type EvaluationApi = typeof api;
expose(api);
