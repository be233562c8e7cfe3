import Joi from 'joi';
import { suits } from '@north-leaf/core';
import { bodyOf } from './check.js';
import type { Guest } from '@north-leaf/core';

export type GlutenLimitBody = { readonly mgPerKg: number };
/** A kitchen may be stricter than the 20 mg/kg of Codex CXS 118-1979, never laxer. */
export const glutenLimitBodySchema: Joi.ObjectSchema<GlutenLimitBody> = bodyOf<GlutenLimitBody>({ mgPerKg: Joi.number().min(0).max(20) });

export const guestBodySchema: Joi.ObjectSchema<Guest> = bodyOf<Guest>({
  id: Joi.string().min(1).max(60),
  name: Joi.string().trim().min(1).max(120),
  suits: Joi.array()
    .items(Joi.valid(...Object.keys(suits.values)))
    .max(30),
  note: Joi.string().allow('').max(500).optional(),
});
