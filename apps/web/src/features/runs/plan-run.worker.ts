import {
  bakeCaseFor,
  evaluate,
  factorForGoods,
  factorOfKept,
  findingsOf,
  InputError,
  isOfMixing,
  looksAfter,
  looksStudy,
  families,
  madeReadyFor,
  mixingSteps,
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
  type GoodOfDough,
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
  /** Null for a mixing: nothing is shaped in it. */ readonly pieces: number | null;
  readonly loads: number;
  readonly unsafe: readonly Finding[];
  /** What has to be cold or soft before the first step. */ readonly ready: readonly MadeReady[];
};
/** So many times the formula, as much as another run left, or one mixing for several goods. */
export type Size = { readonly factor: number } | (Begins & { readonly amountG: number }) | { readonly goods: readonly GoodOfDough[] };

const { surround, here } = surroundings();
let formula: Formula;
let evaluation: Evaluation;
let begins: Begins['what'] | null;
let goods: readonly GoodOfDough[];

const bakeOf = (of: Formula) => bakeCaseFor(of, here().kitchen, here().pantry);
const api = {
  surround,
  /** What a run of this size would be, or what is wrong with it. */
  plan: (written: Formula, size: Size): Reply<RunPlan> =>
    replyTo(() => {
      const { kitchen, pantry } = here();
      const factor = factorOf(written, size);
      formula = scaled(written, factor);
      evaluation = evaluate(formula, kitchen, pantry);
      begins = 'what' in size ? size.what : null;
      goods = 'goods' in size ? size.goods : [];
      const isMixing = goods.length > 0;
      const steps = stepsWith();
      const { sheet, dough } = evaluation;
      const family = families[formula.family];
      if (dough.state === 'waiting' || (sheet.state === 'waiting' && !isMixing)) throw new InputError('', 'cannot be worked out');
      return {
        steps,
        factor,
        times: runTimes(steps),
        pieces: isMixing || sheet.state === 'waiting' ? null : sheet.result.pieces,
        loads: isMixing || sheet.state === 'waiting' ? 0 : sheet.result.loads,
        unsafe: findingsOf(evaluation).filter(({ unsafe, stage }) => unsafe && (!isMixing || isOfMixing(stage))),
        // What stands in the cold before the mixing is no matter of a dough that is there.
        ready: family && begins === null ? madeReadyFor({ formula, family, kitchen, pantry }, dough.result.makeUp).before : [],
      };
    }),
  rests(): NeededRest[] {
    const rests = neededRests(formula, here().kitchen, here().pantry, evaluation);
    // Those of this run: what began from dough has rested it already.
    const own = new Set(stepsWith().map(({ key }) => key));
    return rests.filter(({ key }) => own.has(key));
  },
  /** When to look, and the steps with those looks in them: what is shown is what will be led. */
  looks(): { readonly looks: LooksStudy['looks']; readonly steps: readonly RunStep[] } {
    // Nothing is looked at in the oven before a good is in it.
    const theCase = goods.length > 0 ? null : bakeOf(formula);
    const looks = theCase ? atOnce(looksStudy(theCase)).looks : [];
    return { looks, steps: stepsWith(looks) };
  },
  /** What is left of the looks of a bake that was seen and is not done; null where it cannot be worked out. */
  looksLeft(written: Formula, seen: SeenAtLook): LooksLeft | null {
    const theCase = bakeOf(written);
    return theCase && atOnce(looksAfter(theCase, seen));
  },
};

/** How many times the formula is made. */
function factorOf(written: Formula, size: Size): number {
  if ('factor' in size) return size.factor;
  const asWritten = evaluate(written, here().kitchen, here().pantry);
  return ('goods' in size ? factorForGoods(size.goods, asWritten) : factorOfKept(size.what, size.amountG, asWritten)) ?? 1;
}

function stepsWith(looks?: LooksStudy['looks']): readonly RunStep[] {
  if (goods.length > 0) return mixingSteps({ formula, ...here() }, evaluation, goods);
  const whole = runSteps({ formula, ...here() }, evaluation, looks);
  return begins === null ? whole : stepsFrom(whole, begins);
}

export type PlanRunApi = typeof api;
expose(api);
