import Joi from 'joi';
import { labelNutrients, strengths, ways, reaches } from '@north-leaf/core';
import { bodyOf, nested } from './check.js';
import { id, version } from './fields.js';
import { formulaSchema, libraryBlendSchema } from './formulas.js';
import type { Blend, BlendAnswer, BlendSearch, Formula, LabelPanelRow, LabelReading, LabelRule, LeftOut } from '@north-leaf/core';

const searchSchema = bodyOf<BlendSearch>({
  goals: Joi.array()
    .items(
      nested<BlendSearch['goals'][number]>({
        key: id(80),
        way: Joi.valid(...ways),
        value: Joi.number().min(0).max(1e6),
        strength: Joi.valid(...strengths),
      }),
    )
    .max(20),
  mostFlours: Joi.number().integer().min(1).max(12),
  reach: Joi.valid(...reaches),
});

export type FindBlendsBody = { readonly formula: Formula; readonly search: BlendSearch };
export const findBlendsBodySchema: Joi.ObjectSchema<FindBlendsBody> = bodyOf<FindBlendsBody>({
  formula: formulaSchema,
  search: searchSchema,
});
export type FoundBlends = { readonly answer: BlendAnswer; readonly leftOut: readonly LeftOut[] };

export type BoxLabel = {
  readonly items: readonly { readonly ingredientId: string; readonly declaredShare?: number; readonly inTail?: true }[];
  readonly panel: readonly LabelPanelRow[];
  readonly rule: LabelRule;
  readonly basisG: number;
  readonly tolerance: number;
};
export const boxLabelSchema: Joi.ObjectSchema<BoxLabel> = bodyOf<BoxLabel>({
  items: Joi.array()
    .items(
      nested<BoxLabel['items'][number]>({
        ingredientId: id(),
        declaredShare: Joi.number().min(0).max(1).optional(),
        inTail: Joi.valid(true).optional(),
      }),
    )
    .min(1)
    .max(20),
  panel: Joi.array()
    .items(
      nested<LabelPanelRow>({
        nutrient: Joi.valid(...labelNutrients),
        printed: Joi.number().min(0).max(100000),
        lessThan: Joi.valid(true).optional(),
      }),
    )
    .max(9),
  rule: Joi.valid('us', 'eu'),
  basisG: Joi.number().min(1).max(1000),
  tolerance: Joi.number().min(0).max(0.5),
});
/** Without the samples: a browser has no use for them. */
export type ReadLabel = Exclude<LabelReading, { status: 'read' }> | Omit<Extract<LabelReading, { status: 'read' }>, 'samples'>;

export type ImitateBody = FindBlendsBody & { readonly label: BoxLabel };
export const imitateBodySchema: Joi.ObjectSchema<ImitateBody> = bodyOf<ImitateBody>({
  formula: formulaSchema,
  search: searchSchema,
  label: boxLabelSchema,
});

export type BlendBody = { readonly basedOn: number | null; readonly blend: Blend };
export const blendBodySchema: Joi.ObjectSchema<BlendBody> = bodyOf<BlendBody>({
  basedOn: version().allow(null),
  blend: libraryBlendSchema,
});
export type LibraryBlend = { readonly id: string; readonly version: number; readonly savedAt: string; readonly blend: Blend };
