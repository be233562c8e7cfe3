import {
  evaluate,
  factorForGoods,
  factorOfKept,
  findingsOf,
  InputError,
  isOfMixing,
  mixingSteps,
  needsColdOnceBaked,
  runSteps,
  scaled,
  stepsFrom,
  type Begins,
  type Evaluation,
  type Formula,
  type GoodOfDough,
  type Kitchen,
  type Pantry,
  type PlannedLook,
  type RunStep,
} from '@north-leaf/core';

type Case = { readonly formula: Formula; readonly kitchen: Kitchen; readonly pantry: Pantry };
/** What may be asked of the evaluator, and what each answers. */
export type EvaluatorJob =
  | ({ readonly kind: 'evaluate' } & Case)
  /** Whether what is left of its goods may be judged by smell. */
  | ({ readonly kind: 'needsColdOnceBaked' } & Case)
  | ({
      readonly kind: 'begin';
      readonly factor: number;
      readonly begins: (Begins & { readonly amountG: number }) | null;
      /** One mixing for these; none: the formula's own good, led to its end. */ readonly goods: readonly GoodOfDough[];
      readonly looks: readonly PlannedLook[];
      /** Codes of what is unsafe and was confirmed. */ readonly confirmed: readonly string[];
    } & Case);
export type Begun = { readonly factor: number; readonly steps: readonly RunStep[] } | { readonly unsafe: string };
export type EvaluatorAnswer<J extends EvaluatorJob> = J extends { kind: 'evaluate' }
  ? Evaluation
  : J extends { kind: 'begin' }
    ? Begun
    : boolean;

/** Does a job; blocks until it is done. */
export function evaluated(job: EvaluatorJob): EvaluatorAnswer<EvaluatorJob> {
  const { formula, kitchen, pantry } = job;
  if (job.kind === 'evaluate') return evaluate(formula, kitchen, pantry);
  if (job.kind === 'needsColdOnceBaked') return needsColdOnceBaked(formula, kitchen, pantry);
  const { begins, goods, looks, confirmed } = job;
  const asWritten = begins || goods.length > 0 ? evaluate(formula, kitchen, pantry) : null;
  const fitting = asWritten && (begins ? factorOfKept(begins.what, begins.amountG, asWritten) : factorForGoods(goods, asWritten));
  const factor = fitting ?? job.factor;
  const batch = scaled(formula, factor);
  const evaluation = evaluate(batch, kitchen, pantry);
  const about = findingsOf(evaluation).filter(({ stage }) => goods.length === 0 || isOfMixing(stage));
  const open = about.find(({ unsafe, code }) => unsafe && !confirmed.includes(code));
  if (open) return { unsafe: open.code };
  try {
    if (goods.length > 0) return { factor, steps: mixingSteps({ formula: batch, kitchen, pantry }, evaluation, goods) };
    const steps = runSteps({ formula: batch, kitchen, pantry }, evaluation, looks);
    return { factor, steps: begins ? stepsFrom(steps, begins.what) : steps };
  } catch (error) {
    // A formula that cannot be worked out today is refused at its field.
    throw error instanceof InputError ? new InputError(error.path, `${error.message}: it cannot be run as it is`) : error;
  }
}
