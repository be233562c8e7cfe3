import Joi from 'joi';
import { ingredientChangeFields, lotFields, ownIngredientFields, preparationFields } from '@north-leaf/core';
import { bodyOf } from './check.js';
import { id, revision } from './fields.js';
import { schemaOf } from './of-fields.js';
import type { IngredientChange, Lot, OwnIngredient, Pantry, Preparation } from '@north-leaf/core';

export type LotBody = { readonly revision: number; readonly lot: Lot; readonly recounted: boolean };
/** `revision` is the one that was read, 0 for a new lot; `recounted` says that onHandG was counted, not carried along. */
export const lotBodySchema: Joi.ObjectSchema<LotBody> = bodyOf<LotBody>({
  revision: revision(),
  lot: schemaOf(lotFields),
  recounted: Joi.boolean(),
});

export type IngredientChangeBody = { readonly revision: number; readonly change: IngredientChange };
export const ingredientChangeBodySchema: Joi.ObjectSchema<IngredientChangeBody> = bodyOf<IngredientChangeBody>({
  revision: revision(),
  change: schemaOf(ingredientChangeFields),
});

export type OwnIngredientBody = { readonly revision: number; readonly ingredient: OwnIngredient };
export const ownIngredientBodySchema: Joi.ObjectSchema<OwnIngredientBody> = bodyOf<OwnIngredientBody>({
  revision: revision(),
  ingredient: schemaOf(ownIngredientFields),
});

export type PreparationBody = { readonly revision: number; readonly preparation: Preparation };
export const preparationBodySchema: Joi.ObjectSchema<PreparationBody> = bodyOf<PreparationBody>({
  revision: revision(),
  preparation: schemaOf(preparationFields),
});

/** How many times the preparation as written, where it stands, and what is on its label. */
export type BatchBody = { readonly times: number; readonly code: string; readonly placeId?: string };
export const batchBodySchema: Joi.ObjectSchema<BatchBody> = bodyOf<BatchBody>({
  times: Joi.number().min(0.01).max(1000),
  code: Joi.string().trim().min(1).max(40),
  placeId: id().optional(),
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

/** A picture that is kept; its bytes have an address of their own. */
export type StoredFile = { readonly id: string; readonly storedAt: string };
