import { bakeStage } from './bake/bake.js';
import { bakeCaseOf } from './bake/bake-case.js';
import { blendStage } from './blend/blend.js';
import { chillStage } from './chill/chill.js';
import { doughStage } from './dough/dough.js';
import { InputError, refusalOf, type Refusal } from './errors.js';
import { families } from './facts/families.js';
import { familyAt } from './matter/family-at.js';
import { stateOf, worstFirst } from './findings/finding.js';
import { learnedOf } from './document/kitchen.js';
import { keepStage } from './keep/keep.js';
import { outlookOf } from './outlook/outlook.js';
import { sheetStage } from './sheet/sheet.js';
import type { BakeResult } from './bake/bake.js';
import type { BakeCase } from './bake/bake-case.js';
import type { BakeProblem } from './bake/slab/problem.js';
import type { BlendResult } from './blend/blend.js';
import type { ChillResult } from './chill/chill.js';
import type { Formula } from './document/formula.js';
import type { Kitchen } from './document/kitchen.js';
import type { Pantry } from './document/pantry.js';
import type { DoughResult } from './dough/dough.js';
import type { Case } from './document/case.js';
import type { Finding, Stage } from './findings/finding.js';
import type { KeepResult } from './keep/keep.js';
import type { Outlook } from './outlook/outlook.js';
import type { SheetResult } from './sheet/sheet.js';

export type Evaluation = {
  readonly blend: Stage<BlendResult>;
  readonly dough: Stage<DoughResult>;
  readonly chill: Stage<ChillResult>;
  readonly sheet: Stage<SheetResult>;
  readonly bake: Stage<BakeResult>;
  readonly keep: Stage<KeepResult>;
  /** null while any stage is waiting. */ readonly outlook: Outlook | null;
};

/**
 * Works a formula out, all the way down the Line. `early` is told the first two stages as soon as they are there, a hundredth of the way.
 *
 * Units    every result's own names say.
 * Throws   nothing for wrong numbers: the stage that met the InputError is `waiting` with it, and so are the later ones; earlier ones stand.
 * Findings every stage's, worst first.
 * Source   the six stages.
 *
 * @example
 * evaluate(demoCrackerV2, demoKitchen, { ingredients, lots: {} }).bake.state; // => 'good'
 */
export function evaluate(
  formula: Formula,
  kitchen: Kitchen,
  pantry: Pantry,
  early?: (begun: Pick<Evaluation, 'blend' | 'dough'>) => void,
): Evaluation {
  const theCase = caseOf(formula, kitchen, pantry);
  const stage = stageRunner(theCase);
  const { blend, dough } = blendAndDough(theCase, stage);
  early?.({ blend, dough });
  const chill = stage(() => chillStage(theCase!, resultOf(dough)));
  const sheet = stage(() => sheetStage(theCase!, resultOf(dough), resultOf(chill)));
  let problem: BakeProblem;
  const bake = stage(() => {
    const baked = bakeStage(theCase!, resultOf(dough), resultOf(sheet));
    ({ problem } = baked);
    return baked;
  });
  const keep = stage(() => keepStage(theCase!, { dough: resultOf(dough), sheet: resultOf(sheet), bake: resultOf(bake), problem }));
  const outlook =
    keep.state === 'waiting'
      ? null
      : outlookOf(
          theCase!.family,
          {
            blend: resultOf(blend),
            dough: resultOf(dough),
            bake: resultOf(bake),
            keep: keep.result,
          },
          taughtTexture(theCase!),
        );
  return { blend, dough, chill: drawn(chill), sheet, bake: drawn(bake), keep: drawn(keep), outlook };
}

/** Digits of a point of a curve: more than an eye or a ruler reads, and less than half of what a stored version weighs. */
const DIGITS = 5;

/** A stage's result with its curves as they are drawn and read; everything was worked out with all their digits. */
function drawn<R extends { readonly curve: Curve }>(stage: Stage<R>): Stage<R> {
  if (stage.state === 'waiting') return stage;
  const { result } = stage;
  const { cooling } = result as { readonly cooling?: { readonly curve: Curve } };
  return {
    ...stage,
    result: { ...result, curve: lean(result.curve), ...(cooling ? { cooling: { ...cooling, curve: lean(cooling.curve) } } : {}) },
  };
}
type Curve = Readonly<Record<string, readonly number[]>>;
const lean = (curve: Curve): Curve =>
  Object.fromEntries(Object.entries(curve).map(([name, points]) => [name, points.map((point) => Number(point.toPrecision(DIGITS)))]));

/** The first two stages alone: what a baker at the bowl waits for, a hundredth of the work of all six. */
export function evaluateDough(formula: Formula, kitchen: Kitchen, pantry: Pantry): Pick<Evaluation, 'blend' | 'dough'> {
  const theCase = caseOf(formula, kitchen, pantry);
  return blendAndDough(theCase, stageRunner(theCase));
}

/**
 * A formula's bake as numbers, for what takes longer than a keystroke: plans of looks, maps.
 *
 * Units    as BakeCase.
 * Throws   nothing for wrong numbers: null where a stage before the oven could not be worked out.
 * Findings none.
 * Source   the first four stages.
 *
 * @example
 * bakeCaseFor(demoCrackerV2, demoKitchen, { ingredients, lots: {} }).thicknessMm; // => 2.4
 */
export function bakeCaseFor(formula: Formula, kitchen: Kitchen, pantry: Pantry): BakeCase | null {
  const theCase = caseOf(formula, kitchen, pantry);
  const stage = stageRunner(theCase);
  const { blend, dough } = blendAndDough(theCase, stage);
  const chill = stage(() => chillStage(theCase!, resultOf(dough)));
  const sheet = stage(() => sheetStage(theCase!, resultOf(dough), resultOf(chill)));
  if (blend.state === 'waiting' || sheet.state === 'waiting') return null;
  try {
    return bakeCaseOf(theCase!, resultOf(dough), sheet.result);
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}

/** null for a family that nobody knows: every stage then waits for it. */
function caseOf(formula: Formula, kitchen: Kitchen, pantry: Pantry): Case | null {
  const family = families[formula.family];
  return family ? { formula, family: familyAt(family, kitchen.altitudeM), kitchen, pantry } : null;
}

function blendAndDough(theCase: Case | null, stage: StageRunner): Pick<Evaluation, 'blend' | 'dough'> {
  const blend = stage(() => blendStage(theCase!));
  return { blend, dough: stage(() => doughStage(theCase!, resultOf(blend))) };
}

function taughtTexture({ family: { id }, kitchen }: Case): NonNullable<Parameters<typeof outlookOf>[2]> {
  const [crisp, tender] = [learnedOf(kitchen, 'crisp', id), learnedOf(kitchen, 'tender', id)];
  return { ...(crisp ? { crisp } : {}), ...(tender ? { tender } : {}) };
}

type StageRunner = <R>(work: () => { result: R; findings: Finding[] }) => Stage<R>;
/** Runs a stage unless an earlier one failed. */
function stageRunner(theCase: Case | null): StageRunner {
  let failed = false;
  return (work) => {
    if (failed) return { state: 'waiting' };
    try {
      if (!theCase) throw new InputError('family', 'is not a family that North Leaf knows');
      const { result, findings } = work();
      return { state: stateOf(findings), result, findings: worstFirst(findings) };
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      failed = true;
      return { state: 'waiting', problem: refusalOf(error) };
    }
  };
}

/**
 * Problems of every stage that could not be worked out.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * problemsOf(evaluate(demoCrackerV2, demoKitchen, { ingredients, lots: {} })); // => []
 */
export function problemsOf(evaluation: Evaluation): Refusal[] {
  return Object.values(evaluation).flatMap((stage) =>
    stage !== null && 'state' in stage && stage.state === 'waiting' && stage.problem ? [stage.problem] : [],
  );
}

/**
 * Findings of every stage, in the order of the work.
 *
 * Units    as `Finding` has them: those of the core.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 */
export function findingsOf(evaluation: Evaluation): Finding[] {
  const { blend, dough, chill, sheet, bake, keep } = evaluation;
  return [blend, dough, chill, sheet, bake, keep].flatMap((stage) => (stage.state === 'waiting' ? [] : stage.findings));
}

function resultOf<R>(stage: Stage<R>): R {
  if (stage.state === 'waiting') throw new Error('a stage was asked for before it was worked out');
  return stage.result;
}
