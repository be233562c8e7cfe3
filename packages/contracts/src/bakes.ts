import Joi from 'joi';
import { bodyOf, nested } from './check.js';
import { day, id, instant, uuid, version, type Part } from './fields.js';
import { measureLimits } from './measure-limits.js';
import { againstWords, beginnings, handWordOrder, leftOvers, measuredWhats, symptoms } from '@north-leaf/core';
import type { BakeEvent, Begins, GoodOfDough, Happened, PlannedLook, RunStep } from '@north-leaf/core';

const dots = () => Joi.number().integer().min(1).max(5).optional();
const grams = () => Joi.number().min(-100000).max(100000);
const tone = () => Joi.number().min(1).max(8).optional();
const bare = Joi.object({ kind: Joi.any() });
const plannedLook = nested<PlannedLook>({
  atMin: Joi.number().min(0.5).max(600),
  topTone: Joi.number().min(1).max(8),
  baseTone: Joi.number().min(1).max(8),
  rimTone: tone(),
  moistureShare: Joi.number().min(0).max(1),
  coldestC: Joi.number().min(-30).max(300),
  doneShare: Joi.number().min(0).max(1),
  asSet: Joi.boolean().optional(),
});
/** What an event of a kind says beside its kind. */
type Said<K extends Happened['kind']> = Omit<Extract<Happened, { readonly kind: K }>, 'kind'>;
const shapes: { readonly [K in Happened['kind']]: Joi.Schema } = {
  began: bare,
  ended: bare,
  paused: bare,
  resumed: bare,
  stepBegan: bare,
  stepEnded: bare,
  skipped: nested<Said<'skipped'>>({ reason: Joi.string().trim().min(1).max(300) }),
  weighed: nested<Said<'weighed'>>({ rowKey: id(), addedG: grams(), lotId: id().optional() }),
  swapped: nested<Said<'swapped'>>({ rowKey: id(), ingredientId: id(), amountG: Joi.number().min(0).max(100000) }),
  added: nested<Said<'added'>>({ ingredientId: id(), amountG: Joi.number().greater(0).max(100000), lotId: id().optional() }),
  scaled: nested<Said<'scaled'>>({ factor: Joi.number().min(0.01).max(100) }),
  felt: nested<Said<'felt'>>({ word: Joi.valid(...handWordOrder) }),
  measured: nested<Said<'measured'>>({
    what: Joi.valid(...measuredWhats),
    value: Joi.number().when('what', {
      switch: measuredWhats.map((what) => ({ is: what, then: Joi.number().min(measureLimits[what][0]).max(measureLimits[what][1]) })),
    }),
  }),
  looked: nested<Said<'looked'>>({ against: Joi.valid(...againstWords), topTone: tone(), baseTone: tone() }),
  looksPlanned: nested<Said<'looksPlanned'>>({
    looks: Joi.array().items(plannedLook).min(1).max(12),
    doneP10Min: Joi.number().min(0).max(600),
    doneP90Min: Joi.number().min(0).max(600),
  }),
  rated: nested<Said<'rated'>>({
    after: Joi.alternatives(Joi.valid('fresh'), Joi.number().integer().min(0).max(365)),
    crisp: dots(),
    tender: dots(),
    liked: dots(),
  }).or('crisp', 'tender', 'liked'),
  confirmed: nested<Said<'confirmed'>>({ code: Joi.string().max(60), reason: Joi.string().trim().min(3).max(300) }),
  leftOver: nested<Said<'leftOver'>>({
    lotId: uuid(),
    what: Joi.valid(...leftOvers),
    amountG: Joi.number().greater(0).max(100000),
    placeId: id(),
    useByOn: day(),
  }),
  noticed: nested<Said<'noticed'>>({ symptom: Joi.valid(...Object.keys(symptoms.values).map(Number)) }),
  photographed: nested<Said<'photographed'>>({ photoId: uuid() }),
  noted: nested<Said<'noted'>>({ text: Joi.string().trim().min(1).max(2000) }),
};
const happened = Joi.object({ kind: Joi.valid(...Object.keys(shapes)) }).when('.kind', {
  switch: Object.entries(shapes).map(([is, then]) => ({ is, then })),
});

const event = nested<BakeEvent>({
  id: uuid(),
  at: instant(),
  stepKey: id().optional(),
  corrects: uuid().optional(),
  what: happened,
});

export const eventsBodySchema: Joi.ArraySchema<readonly BakeEvent[]> = Joi.array().items(event).max(500).required();

export type BakeBody = {
  readonly formulaId: string;
  readonly version: number;
  readonly factor: number;
  readonly roomC: number;
  readonly humidityShare: number;
  readonly events: readonly BakeEvent[];
};
/** A bake entered from paper: its header and what happened, stored together. */
export const bakeBodySchema: Joi.ObjectSchema<BakeBody> = bodyOf<BakeBody>({
  formulaId: uuid(),
  version: version(),
  factor: Joi.number().min(0.01).max(100),
  roomC: Joi.number().min(-10).max(60),
  humidityShare: Joi.number().min(0).max(1),
  events: Joi.array().items(event).max(500),
});

export type Bake = Omit<BakeBody, 'events'> & {
  readonly id: string;
  readonly number: number;
  readonly startedAt: string;
  readonly events: readonly BakeEvent[];
};

/** A bake in a list: of what happened only what tells of the goods; the steps of its run are left out. */
export type ListedBake = Bake & {
  readonly formulaName: string;
  /** The rows of its version that are water. */ readonly waterKeys: readonly string[];
};
export type BakesPart = Part<ListedBake>;

/** A bake that is led step by step: what it was to be when it began, and all that happened since. */
export type Run = Bake & { readonly formulaName: string; readonly steps: readonly RunStep[]; readonly begins?: Begins };

export type StartBody = {
  readonly formulaId: string;
  readonly version: number;
  readonly factor: number;
  readonly looks: readonly PlannedLook[];
  /** From what another run left; the size is then its mass. */ readonly begins?: Begins;
  /** One mixing for these goods, each with its share of the dough; the size is then what they take together. */
  readonly goods?: readonly Omit<GoodOfDough, 'name'>[];
  /** Unsafe findings that were confirmed, each with its reason. */ readonly confirmed: readonly {
    readonly code: string;
    readonly reason: string;
  }[];
};
/** Begins a run; the steps are made by the server, from the kitchen and the pantry of that moment. */
export const startBodySchema: Joi.ObjectSchema<StartBody> = bodyOf<StartBody>({
  formulaId: uuid(),
  version: version(),
  factor: Joi.number().min(0.01).max(100),
  looks: Joi.array().items(plannedLook).max(12),
  begins: nested<Begins>({ lotId: id(), what: Joi.valid(...beginnings) }).optional(),
  goods: Joi.array()
    .items(nested<Omit<GoodOfDough, 'name'>>({ formulaId: uuid(), version: version(), doughG: Joi.number().min(1).max(100_000) }))
    .min(1)
    .max(12)
    .optional(),
  confirmed: Joi.array()
    .items(nested<StartBody['confirmed'][number]>({ code: Joi.string().max(60), reason: Joi.string().trim().min(3).max(300) }))
    .max(40),
});
