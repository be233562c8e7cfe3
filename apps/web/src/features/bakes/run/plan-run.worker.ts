import {
  bakeCaseFor,
  evaluate,
  factorOfKept,
  findingsOf,
  InputError,
  looksAfter,
  looksStudy,
  madeReady,
  neededRests,
  runSteps,
  runTimes,
  scaled,
  stepsFrom,
  type Evaluation,
  type Finding,
  type Formula,
  type Kitchen,
  type Begins,
  type LooksLeft,
  type LooksStudy,
  type MadeReady,
  type NeededRest,
  type Pantry,
  type RunStep,
  type RunTimes,
  type SeenAtLook,
} from '@north-leaf/core';
import { expose } from 'comlink';

export type RunPlan = {
  readonly steps: readonly RunStep[];
  readonly factor: number;
  readonly times: RunTimes;
  readonly pieces: number;
  readonly loads: number;
  readonly unsafe: readonly Finding[];
  /** What has to be cold or soft before the first step. */ readonly ready: readonly MadeReady[];
};
/** So many times the formula, or as much as another run left. */
export type Size = { readonly factor: number } | (Begins & { readonly amountG: number });
export type Refused = { readonly path: string; readonly message: string };

let formula: Formula;
let evaluation: Evaluation;
let begins: Begins['what'] | null;
let kitchen: Kitchen;
let pantry: Pantry;

const api = {
  /** What a run of this size would be, or what is wrong with it: an error would lose its path on the way. */
  plan(written: Formula, itsKitchen: Kitchen, itsPantry: Pantry, size: Size): RunPlan | Refused {
    try {
      [kitchen, pantry] = [itsKitchen, itsPantry];
      const factor = 'factor' in size ? size.factor : (factorOfKept(size.what, size.amountG, evaluate(written, kitchen, pantry)) ?? 1);
      formula = scaled(written, factor);
      evaluation = evaluate(formula, kitchen, pantry);
      begins = 'what' in size ? size.what : null;
      const steps = stepsWith();
      const { sheet, dough } = evaluation;
      if (sheet.state === 'waiting' || dough.state === 'waiting') return { path: '', message: 'cannot be worked out' };
      return {
        steps,
        factor,
        times: runTimes(steps),
        pieces: sheet.result.pieces,
        loads: sheet.result.loads,
        unsafe: findingsOf(evaluation).filter(({ unsafe }) => unsafe),
        ready: madeReady(kitchen, dough.result.makeUp).filter(({ thing }) => wantedReady(formula).has(thing)),
      };
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return { path: error.path, message: error.message };
    }
  },
  rests(): NeededRest[] {
    return neededRests(formula, kitchen, pantry, evaluation);
  },
  /** When to look, and the steps with those looks in them: what is shown is what will be led. */
  looks(): { readonly looks: LooksStudy['looks']; readonly steps: readonly RunStep[] } {
    const theCase = bakeCaseFor(formula, kitchen, pantry);
    const looks = theCase ? worked(looksStudy(theCase)).looks : [];
    return { looks, steps: stepsWith(looks) };
  },
  /** What is left of the looks of a bake that was seen and is not done; null where it cannot be worked out. */
  looksLeft(written: Formula, itsKitchen: Kitchen, itsPantry: Pantry, seen: SeenAtLook): LooksLeft | null {
    const theCase = bakeCaseFor(written, itsKitchen, itsPantry);
    return theCase && worked(looksAfter(theCase, seen));
  },
};

function stepsWith(looks?: LooksStudy['looks']): readonly RunStep[] {
  const whole = runSteps({ formula, kitchen, pantry }, evaluation, looks);
  return begins === null ? whole : stepsFrom(whole, begins);
}

function worked<T>(study: Generator<number, T>): T {
  for (;;) {
    const { done, value } = study.next();
    if (done) return value;
  }
}

/** Which of the things that can be made ready this formula asks for, by how its fat goes in. */
function wantedReady({ rows }: Formula): ReadonlySet<MadeReady['thing']> {
  const wanted = new Set<MadeReady['thing']>();
  for (const { use, fat } of rows) {
    if (use === 'rollIn') wanted.add('butterBends');
    if (fat?.state === 'pieces' || fat?.state === 'rubbed') wanted.add('cutButter');
    if (fat?.state === 'creamed') wanted.add('butterCreams');
  }
  return wanted;
}

export type PlanRunApi = typeof api;
expose(api);
