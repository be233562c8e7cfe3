import { evaluate, type Evaluation, type Formula, type Kitchen, type Pantry } from '@north-leaf/core';
import { expose } from 'comlink';

let kitchen: Kitchen;
let pantry: Pantry;

const api = {
  /** What every evaluation reads; sent once, not with each keystroke. */
  surround(itsKitchen: Kitchen, itsPantry: Pantry): void {
    kitchen = itsKitchen;
    pantry = itsPantry;
  },
  evaluate(formula: Formula): Evaluation {
    return evaluate(formula, kitchen, pantry);
  },
};
export type EvaluationApi = typeof api;
expose(api);
