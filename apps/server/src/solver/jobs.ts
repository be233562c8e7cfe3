import {
  blendSpecFor,
  decodeLabelLoosely,
  families,
  findBlends,
  goodsFromBakes,
  imitationOf,
  ovenFromBakes,
  roundTo,
  type BlendAnswer,
  type BlendSearch,
  type Formula,
  type Kitchen,
  type Label,
  type LabelReading,
  type Learned,
  type LeftOut,
  type LinearEngine,
  type Pantry,
  type RecordedBake,
} from '@north-leaf/core';

type Surroundings = { readonly formula: Formula; readonly kitchen: Kitchen; readonly pantry: Pantry; readonly search: BlendSearch };
/** What may be asked of the solver, and what each answers. */
export type SolverJob =
  | ({ readonly kind: 'findBlends' } & Surroundings)
  | { readonly kind: 'readLabel'; readonly label: Label }
  | ({ readonly kind: 'imitate'; readonly label: Label } & Surroundings)
  /** What bakes of an oven, and of a family, have taught. */
  | {
      readonly kind: 'learn';
      readonly oven: { readonly id: string; readonly bakes: readonly RecordedBake[] };
      readonly family: { readonly id: string; readonly bakes: readonly RecordedBake[] };
      readonly kitchen: Kitchen;
      readonly pantry: Pantry;
    };
export type SolverAnswer<J extends SolverJob> = J extends { kind: 'readLabel' }
  ? LabelReading
  : J extends { kind: 'learn' }
    ? readonly Learned[]
    : { readonly answer: BlendAnswer; readonly leftOut: readonly LeftOut[] };

const MOST_ANSWERS = 3;

/** Does a job, with an engine where it needs one; blocks until it is done. */
export function doJob(job: SolverJob, engine: LinearEngine): SolverAnswer<SolverJob> {
  if (job.kind === 'readLabel') return decodeLabelLoosely(job.label, engine);
  if (job.kind === 'learn') {
    const { oven, family, kitchen, pantry } = job;
    const ofOven = ovenFromBakes(oven.id, oven.bakes, kitchen, pantry);
    // Dots are held against what this oven really does.
    const known = {
      ...kitchen,
      learned: [...kitchen.learned.filter(({ what, about }) => what !== 'oven' || about !== oven.id), ...(ofOven ? [ofOven] : [])],
    };
    return [...(ofOven ? [ofOven] : []), ...goodsFromBakes(family.id, family.bakes, known, pantry)];
  }
  const { formula, kitchen, pantry, search } = job;
  const { spec, leftOut } = blendSpecFor({ formula, family: families[formula.family]!, kitchen, pantry }, search);
  const stepG = kitchen.scaleStepG;
  const batch = { batchG: Math.max(stepG, roundTo(formula.blendG, stepG)), stepG };
  if (job.kind === 'findBlends') return { answer: findBlends(spec, engine, { most: MOST_ANSWERS, batch }), leftOut };
  const reading = decodeLabelLoosely(job.label, engine);
  if (reading.status !== 'read') return { answer: { status: 'gaveUp' }, leftOut };
  // What the box holds is known by the same measures as what is looked for, whether it may be used here or not.
  const everything = blendSpecFor(
    {
      formula: { ...formula, blend: { ...formula.blend, rows: [] } },
      family: families[formula.family]!,
      kitchen: { ...kitchen, guests: [] },
      pantry: { ...pantry, lots: {} },
    },
    { ...search, goals: [], reach: 'all' },
  );
  const brings = new Map(everything.spec.items.map((item) => [item.id, item]));
  const box = job.label.items.map(({ id }) => brings.get(id) ?? { id, brings: {} });
  return { answer: findBlends(imitationOf(spec, box, reading.samples), engine, { most: MOST_ANSWERS, batch }), leftOut };
}
