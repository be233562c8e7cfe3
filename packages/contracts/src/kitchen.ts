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

export type AirBody = { readonly humidityShare: number; readonly roomC: number };
/** The kitchen's air today: flour is as damp as it, dough as warm. */
export const airBodySchema: Joi.ObjectSchema<AirBody> = bodyOf<AirBody>({
  humidityShare: Joi.number().min(0.05).max(0.98),
  roomC: Joi.number().min(0).max(45),
});

export type MeasureBody = { readonly value: number };
/** What this kitchen means by a vague measure: ml of a glass, drizzle, splash or drop, g of the others. */
export const measureBodySchema: Joi.ObjectSchema<MeasureBody> = bodyOf<MeasureBody>({ value: Joi.number().greater(0).max(2000) });
export const vagueMeasureNames = ['glass', 'pinch', 'dash', 'handful', 'knob', 'drizzle', 'drop', 'splash'] as const;
