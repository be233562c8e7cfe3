import Joi from 'joi';
import { currencies, guestFields, judgements, kitchenThings, learnedWhats, markets } from '@north-leaf/core';
import { bodyOf } from './check.js';
import { id } from './fields.js';
import { schemaOf } from './of-fields.js';
import type { Guest, Judgement, JudgementName, KitchenList, KitchenThings, Learned, Market } from '@north-leaf/core';

export type GlutenLimitBody = { readonly mgPerKg: number };
/** A kitchen may be stricter than the 20 mg/kg of Codex CXS 118-1979, never laxer. */
export const glutenLimitBodySchema: Joi.ObjectSchema<GlutenLimitBody> = bodyOf<GlutenLimitBody>({ mgPerKg: Joi.number().min(0).max(20) });

export type MarketBody = { readonly market: Market; readonly home: boolean };
/** Where the goods are sold, or that nothing is: the market's rules still say what gluten-free means. */
export const marketBodySchema: Joi.ObjectSchema<MarketBody> = bodyOf<MarketBody>({ market: Joi.valid(...markets), home: Joi.boolean() });

/** Something to read in it, and no blanks around. */
const kitchenName = () =>
  Joi.string()
    .max(120)
    .pattern(/^\S(?:.*\S)?$/u, 'a name');
const zone = () =>
  Joi.string()
    .max(60)
    .custom((value: string, helpers) => (isZone(value) ? value : helpers.error('any.only')));
function isZone(name: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).format(0) !== '';
  } catch {
    return false;
  }
}

/** A kitchen of this installation, in a list. */
export type ListedKitchen = {
  readonly id: string;
  readonly name: string;
  readonly open: boolean;
  readonly formulas: number;
  readonly bakes: number;
};
/** A kitchen with what most have in it and nothing baked, or the demo as it first was. */
export type NewKitchenBody =
  | ({ readonly from: 'empty'; readonly zone: string; readonly market: Market; readonly home: boolean } & AboutBody)
  | { readonly from: 'demo' };
export const newKitchenBodySchema: Joi.AlternativesSchema<NewKitchenBody> = Joi.alternatives<NewKitchenBody>().conditional('.from', {
  is: 'demo',
  then: bodyOf<Extract<NewKitchenBody, { from: 'demo' }>>({ from: Joi.valid('demo') }),
  otherwise: bodyOf<Extract<NewKitchenBody, { from: 'empty' }>>({
    from: Joi.valid('empty'),
    name: kitchenName(),
    currency: Joi.valid(...currencies),
    zone: zone(),
    market: Joi.valid(...markets),
    home: Joi.boolean(),
  }),
});

export type AboutBody = { readonly name: string; readonly currency: string };
/** What the kitchen is called, and what its prices are in: another currency changes no number. */
export const aboutBodySchema: Joi.ObjectSchema<AboutBody> = bodyOf<AboutBody>({
  name: kitchenName(),
  currency: Joi.valid(...currencies),
});

export type NameBody = { readonly ingredientId: string };
/** What a name in a list means in this kitchen. */
export const nameBodySchema: Joi.ObjectSchema<NameBody> = bodyOf<NameBody>({ ingredientId: id() });

export const guestBodySchema: Joi.ObjectSchema<Guest> = schemaOf(guestFields);

export type AirBody = { readonly humidityShare: number; readonly roomC: number; readonly altitudeM?: number };
/** The kitchen's air today: flour is as damp as it, dough as warm. */
export const airBodySchema: Joi.ObjectSchema<AirBody> = bodyOf<AirBody>({
  humidityShare: Joi.number().min(0.05).max(0.98),
  roomC: Joi.number().min(0).max(45),
  altitudeM: Joi.number().min(0).max(5000).optional(),
});

export type MatBody = { readonly widthMm: number; readonly lengthMm: number };
const sizeMm = () => Joi.number().min(100).max(2000);
/** The mat, board or table that dough is rolled on. */
export const matBodySchema: Joi.ObjectSchema<MatBody> = bodyOf<MatBody>({ widthMm: sizeMm(), lengthMm: sizeMm() });

export type MeasureBody = { readonly value: number };
/** What this kitchen means by a vague measure: ml of a glass, drizzle, splash or drop, g of the others. */
export const measureBodySchema: Joi.ObjectSchema<MeasureBody> = bodyOf<MeasureBody>({ value: Joi.number().greater(0).max(2000) });

export const kitchenThingSchemas = Object.fromEntries(
  Object.entries(kitchenThings).map(([list, fields]) => [list, schemaOf(fields)]),
) as unknown as { readonly [K in KitchenList]: Joi.ObjectSchema<KitchenThings[K]> };

export type OvenHeatBody = { readonly value: number; readonly sd: number; readonly from: string };
/** What one weighed tray taught of an oven. */
export const ovenHeatBodySchema: Joi.ObjectSchema<OvenHeatBody> = bodyOf<OvenHeatBody>({
  value: Joi.number().min(0.4).max(2.5),
  sd: Joi.number().greater(0).max(1),
  from: Joi.string().allow('').max(300),
});

const learnedDos = ['use', 'setAside', 'reset'] as const;
export type LearnedBody = Pick<Learned, 'what' | 'about'> & { readonly do: (typeof learnedDos)[number] };
/** What is to be done with something learned: use it, keep it unused, or begin anew without the bakes so far. */
export const learnedBodySchema: Joi.ObjectSchema<LearnedBody> = bodyOf<LearnedBody>({
  what: Joi.valid(...learnedWhats),
  about: id(120),
  do: Joi.valid(...learnedDos),
});

export type JudgementsBody = Readonly<Partial<Record<JudgementName, number>>>;
/** The judgements a kitchen holds otherwise than we do, all of them at once; each inside what it could be. */
export const judgementsBodySchema: Joi.ObjectSchema<JudgementsBody> = bodyOf<JudgementsBody>(
  Object.fromEntries(
    Object.entries(judgements as Readonly<Record<string, Judgement>>).map(([name, { low, high }]) => [
      name,
      Joi.number().min(low).max(high).optional(),
    ]),
  ) as { [name in JudgementName]: Joi.NumberSchema },
);
