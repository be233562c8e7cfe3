import Joi from 'joi';
import { heats, ingredientKinds, leftOvers, origins, preparationActs, solidFatCurves } from '@north-leaf/core';
import { bodyOf } from './check.js';
import { day, id, revision, uuid, version } from './fields.js';
import type { Ingredient, IngredientChange, Lot, Pantry, Preparation } from '@north-leaf/core';

const words = (longest: number) => Joi.string().trim().min(1).max(longest);
const grams = () => Joi.number().min(0).max(1e7);

const lotSchema = bodyOf<Lot>({
  id: id(),
  ingredientId: id(),
  code: words(40),
  supplier: words(120).optional(),
  onHandG: grams().optional(),
  bestByOn: day().optional(),
  useByOn: day().optional(),
  openedOn: day().optional(),
  packG: Joi.number().greater(0).max(1e7).optional(),
  packCostMinor: Joi.number().min(0).max(1e9).optional(),
  moistureShare: Joi.number().min(0).max(0.6).optional(),
  report: Joi.object({
    mgPerKg: Joi.number().min(0).max(100000),
    below: Joi.boolean(),
    method: words(80),
    on: day(),
  }).optional(),
  certificate: Joi.object({ number: words(60), by: words(120), until: day() }).optional(),
  acceptedOnBag: words(300).optional(),
  acceptedWithoutReport: words(300).optional(),
  setAside: words(300).optional(),
  placeId: id().optional(),
  from: Joi.object({ bakeId: uuid(), what: Joi.valid(...leftOvers) }).optional(),
});

export type LotBody = { readonly revision: number; readonly lot: Lot; readonly recounted: boolean };
/** `revision` is the one that was read, 0 for a new lot; `recounted` says that onHandG was counted, not carried along. */
export const lotBodySchema: Joi.ObjectSchema<LotBody> = bodyOf<LotBody>({ revision: revision(), lot: lotSchema, recounted: Joi.boolean() });

const factSchema = Joi.object({
  value: Joi.number(),
  unit: words(40),
  basis: Joi.valid('label', 'measured', 'judgement'),
  source: words(200),
});
const allergenCode = () => Joi.string().pattern(/^(us|eu)\.[a-z_]+(:[a-z_]+){0,2}$/);

export type IngredientChangeBody = { readonly revision: number; readonly change: IngredientChange };
export const ingredientChangeBodySchema: Joi.ObjectSchema<IngredientChangeBody> = bodyOf<IngredientChangeBody>({
  revision: revision(),
  change: Joi.object({
    corrected: Joi.object().pattern(id(), factSchema).max(40),
    allergens: Joi.array().items(allergenCode()).max(60).optional(),
    lactoseFree: Joi.valid(true).optional(),
  }),
});

/** What a kitchen says of an ingredient of its own; what it leaves out is the server's. */
export type OwnIngredient = Omit<Ingredient, 'id' | 'corrected' | 'gluten' | 'basis' | 'source'> & {
  readonly gluten: 'free' | 'needsProof';
} & Partial<Pick<Ingredient, 'basis' | 'source'>>;
export type OwnIngredientBody = { readonly revision: number; readonly ingredient: OwnIngredient };
const part = () => Joi.number().min(0).max(1);
export const ownIngredientBodySchema: Joi.ObjectSchema<OwnIngredientBody> = bodyOf<OwnIngredientBody>({
  revision: revision(),
  ingredient: bodyOf<OwnIngredient>({
    name: words(120),
    kind: Joi.valid(...ingredientKinds.filter((kind) => kind !== 'excluded')),
    composition: Joi.object({
      waterShare: part(),
      proteinShare: part(),
      fatShare: part(),
      saturatedFatShare: part(),
      sugarsShare: part(),
      starchShare: part(),
      fibreShare: part(),
      ashShare: part(),
      otherShare: part(),
      sodiumShare: part(),
    }),
    allergens: Joi.array().items(allergenCode()).max(60),
    gluten: Joi.valid('free', 'needsProof'),
    origin: Joi.valid(...origins),
    spoonedGPerMl: Joi.number().min(0.05).max(3).optional(),
    pieceG: Joi.number().greater(0).max(10000).optional(),
    waterHoldGPerG: Joi.number().min(0).max(40).optional(),
    setsAtC: Joi.number().min(40).max(110).optional(),
    xanthanPerG: Joi.number().min(0).max(2).optional(),
    grit: Joi.number().min(0).max(3).optional(),
    flavour: Joi.number().min(0).max(3).optional(),
    lactoseFree: Joi.valid(true).optional(),
    labelRead: Joi.boolean().optional(),
    heat: Joi.valid(...heats).optional(),
    needsCold: Joi.valid(true).optional(),
    acid: Joi.valid(true).optional(),
    waterInFat: Joi.valid(true).optional(),
    // What made it, where it was made here: sent when a removal is taken back, so that nothing of it is lost.
    packedGPerMl: Joi.number().min(0.05).max(3).optional(),
    teaspoonG: Joi.number().greater(0).max(100).optional(),
    particleUm: Joi.number().min(0.1).max(20000).optional(),
    otherKcalPerG: Joi.number().min(0).max(10).optional(),
    cookedToC: Joi.number().min(0).max(200).optional(),
    solidFat: Joi.valid(...Object.keys(solidFatCurves.values)).optional(),
    note: Joi.string().allow('').max(500).optional(),
    basis: Joi.valid('label', 'measured', 'judgement', 'published', 'fromMemory', 'commonPractice', 'learned').optional(),
    source: words(300).optional(),
    madeFrom: Joi.alternatives(
      Joi.object({ formulaId: uuid(), version: version() }),
      Joi.object({ blendId: uuid(), version: version() }),
      Joi.object({ preparationId: id() }),
    ).optional(),
    parts: Joi.array()
      .items(Joi.object({ ingredientId: id(), gPerG: Joi.number().min(0).max(100), lotId: id().optional() }))
      .max(120)
      .optional(),
  }),
});

export type PreparationBody = { readonly revision: number; readonly preparation: Preparation };
export const preparationBodySchema: Joi.ObjectSchema<PreparationBody> = bodyOf<PreparationBody>({
  revision: revision(),
  preparation: bodyOf<Preparation>({
    schema: Joi.number().valid(1),
    id: id(),
    name: words(120),
    rows: Joi.array()
      .items(
        Joi.object({
          key: id(),
          ingredientId: id(),
          amountG: Joi.number().unsafe().min(-1e9).max(1e9),
          entered: Joi.string().allow('').max(60).optional(),
          lotId: id().optional(),
        }),
      )
      .max(60),
    acts: Joi.array()
      .items(
        Joi.object({
          key: id(),
          act: Joi.valid(...preparationActs),
          min: Joi.number().min(0).max(20000).optional(),
          stopAt: Joi.string().allow('').max(200).optional(),
        }),
      )
      .max(30),
    boiledOffG: Joi.number().unsafe(),
    drainedG: Joi.number().unsafe(),
    drainedIngredientId: id().optional(),
    cookedToC: Joi.number().min(0).max(200).optional(),
    keepDays: Joi.number().min(0).max(730),
    keepAt: Joi.valid('room', 'fridge', 'freezer'),
  }),
});

export type Revisions = Readonly<Record<string, number>>;
/** The whole pantry as a kitchen sees it: what evaluation reads, and what editing it needs. */
export type PantryBook = Pantry & {
  readonly on: string;
  readonly preparations: readonly Preparation[];
  /** Of lots, changed or own ingredients and preparations, by id; what has none was never written. */ readonly revisions: {
    readonly lots: Revisions;
    readonly ingredients: Revisions;
    readonly preparations: Revisions;
  };
  /** Preparations that cannot be worked out, and why: {id: message}. */ readonly broken: Readonly<Record<string, string>>;
};
export type Stored = { readonly id: string; readonly revision: number };
