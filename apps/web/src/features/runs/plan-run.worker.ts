import {
  bakeCaseFor,
  evaluate,
  factorOfKept,
  findingsOf,
  InputError,
  looksAfter,
  looksStudy,
  families,
  madeReadyFor,
  neededRests,
  runSteps,
  replyTo,
  runTimes,
  scaled,
  stepsFrom,
  type Evaluation,
  type Finding,
  type Formula,
  type Begins,
  type LooksLeft,
  type LooksStudy,
  type MadeReady,
  type NeededRest,
  type Reply,
  type RunStep,
  type RunTimes,
  type SeenAtLook,
} from '@north-leaf/core';
import { expose } from 'comlink';
import { atOnce, surroundings } from '../../platform/worker-kit';

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

const { surround, here } = surroundings();
let formula: Formula;
let evaluation: Evaluation;
let begins: Begins['what'] | null;

const bakeOf = (of: Formula) => bakeCaseFor(of, here().kitchen, here().pantry);
const api = {
  surround,
  /** What a run of this size would be, or what is wrong with it. */
  plan: (written: Formula, size: Size): Reply<RunPlan> =>
    replyTo(() => {
      const { kitchen, pantry } = here();
      const factor = 'factor' in size ? size.factor : (factorOfKept(size.what, size.amountG, evaluate(written, kitchen, pantry)) ?? 1);
      formula = scaled(written, factor);
      evaluation = evaluate(formula, kitchen, pantry);
      begins = 'what' in size ? size.what : null;
      const steps = stepsWith();
      const { sheet, dough } = evaluation;
      const family = families[formula.family];
      if (sheet.state === 'waiting' || dough.state === 'waiting') throw new InputError('', 'cannot be worked out');
      return {
        steps,
        factor,
        times: runTimes(steps),
        pieces: sheet.result.pieces,
        loads: sheet.result.loads,
        unsafe: findingsOf(evaluation).filter(({ unsafe }) => unsafe),
        ready: family ? madeReadyFor({ formula, family, kitchen, pantry }, dough.result.makeUp).before : [],
      };
    }),
  rests(): NeededRest[] {
    return neededRests(formula, here().kitchen, here().pantry, evaluation);
  },
  /** When to look, and the steps with those looks in them: what is shown is what will be led. */
  looks(): { readonly looks: LooksStudy['looks']; readonly steps: readonly RunStep[] } {
    const theCase = bakeOf(formula);
    const looks = theCase ? atOnce(looksStudy(theCase)).looks : [];
    return { looks, steps: stepsWith(looks) };
  },
  /** What is left of the looks of a bake that was seen and is not done; null where it cannot be worked out. */
  looksLeft(written: Formula, seen: SeenAtLook): LooksLeft | null {
    const theCase = bakeOf(written);
    return theCase && atOnce(looksAfter(theCase, seen));
  },
};

function stepsWith(looks?: LooksStudy['looks']): readonly RunStep[] {
  const whole = runSteps({ formula, ...here() }, evaluation, looks);
  return begins === null ? whole : stepsFrom(whole, begins);
}

export type PlanRunApi = typeof api;
expose(api);
