import { evaluate, evaluateDough, type Evaluation, type Formula, type Kitchen, type Pantry } from '@north-leaf/core';
import { expose } from 'comlink';

let kitchen: Kitchen;
let pantry: Pantry;

const api = {
  /** What every evaluation reads; sent once, not with each keystroke. */
  surround(itsKitchen: Kitchen, itsPantry: Pantry): void {
    kitchen = itsKitchen;
    pantry = itsPantry;
  },
  /** The first two stages, in a moment: they are asked for together with the whole, and answered first. */
  evaluateDough(formula: Formula): Pick<Evaluation, 'blend' | 'dough'> {
    return evaluateDough(formula, kitchen, pantry);
  },
  evaluate(formula: Formula): Evaluation {
    return evaluate(formula, kitchen, pantry);
  },
};
export type EvaluationApi = typeof api;
expose(api);
