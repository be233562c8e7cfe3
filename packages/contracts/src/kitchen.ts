import Joi from 'joi';
import { cutterKinds, judgements, learnedWhats, markets, panKinds, ovenShelves, ovenSides, suits } from '@north-leaf/core';
import { bodyOf } from './check.js';
import { id, instant } from './fields.js';
import type { Cutter, Guest, Judgement, JudgementName, Learned, Market, Oven, Pan, Place, Tray } from '@north-leaf/core';

const sizeMm = () => Joi.number().min(20).max(2000);

export type GlutenLimitBody = { readonly mgPerKg: number };
/** A kitchen may be stricter than the 20 mg/kg of Codex CXS 118-1979, never laxer. */
export const glutenLimitBodySchema: Joi.ObjectSchema<GlutenLimitBody> = bodyOf<GlutenLimitBody>({ mgPerKg: Joi.number().min(0).max(20) });

export type MarketBody = { readonly market: Market; readonly home: boolean };
/** Where the goods are sold, or that nothing is: the market's rules still say what gluten-free means. */
export const marketBodySchema: Joi.ObjectSchema<MarketBody> = bodyOf<MarketBody>({ market: Joi.valid(...markets), home: Joi.boolean() });

export type NameBody = { readonly ingredientId: string };
/** What a name in a list means in this kitchen. */
export const nameBodySchema: Joi.ObjectSchema<NameBody> = bodyOf<NameBody>({ ingredientId: id() });

export const guestBodySchema: Joi.ObjectSchema<Guest> = bodyOf<Guest>({
  id: id(),
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

export type MatBody = { readonly widthMm: number; readonly lengthMm: number };
/** The mat, board or table that dough is rolled on. */
export const matBodySchema: Joi.ObjectSchema<MatBody> = bodyOf<MatBody>({ widthMm: sizeMm().min(100), lengthMm: sizeMm().min(100) });

export type MeasureBody = { readonly value: number };
/** What this kitchen means by a vague measure: ml of a glass, drizzle, splash or drop, g of the others. */
export const measureBodySchema: Joi.ObjectSchema<MeasureBody> = bodyOf<MeasureBody>({ value: Joi.number().greater(0).max(2000) });
export const vagueMeasureNames = ['glass', 'pinch', 'dash', 'handful', 'knob', 'drizzle', 'drop', 'splash'] as const;

const name = () => Joi.string().trim().min(1).max(60);
const ovenC = () => Joi.number().min(30).max(350);
const material = () => Joi.valid('aluminium', 'darkSteel', 'stone', 'glass', 'ceramic', 'metalPan');
const count = () => Joi.number().integer().min(1).max(500);

/** What a kitchen holds several of, each stored and removed by its id. A formula needs one of all but pans and cutters. */
export type KitchenThings = {
  readonly ovens: Oven;
  readonly places: Place;
  readonly trays: Tray;
  readonly pans: Pan;
  readonly cutters: Cutter;
};
export type KitchenList = keyof KitchenThings;

type Spot = { readonly shelf: string; readonly side: string };
export const ovenBodySchema: Joi.ObjectSchema<Oven> = bodyOf<Oven>({
  id: id(),
  name: name(),
  kind: Joi.valid('static', 'fan', 'deck'),
  dialUnit: Joi.valid('C', 'F', 'gas'),
  readings: Joi.array()
    .items(Joi.object({ dialC: ovenC(), trueC: ovenC(), at: instant() }))
    .max(30),
  hotSpots: Joi.array()
    .items(Joi.object({ shelf: Joi.valid(...ovenShelves), side: Joi.valid(...ovenSides), aboveC: Joi.number().min(-60).max(60) }))
    .unique((a: Spot | null, b: Spot | null) => a?.shelf === b?.shelf && a?.side === b?.side)
    .max(ovenShelves.length * ovenSides.length)
    .optional(),
  heating: Joi.array()
    .items(Joi.object({ dialC: ovenC(), min: Joi.number().min(1).max(180) }))
    .max(10)
    .optional(),
});
/** Colder than -40 or hotter than 60 is no place that dough is kept in. */
export const placeBodySchema: Joi.ObjectSchema<Place> = bodyOf<Place>({
  id: id(),
  name: name(),
  kind: Joi.valid('fridge', 'freezer', 'bench', 'marble', 'rack'),
  atC: Joi.number().min(-40).max(60),
  fan: Joi.boolean().optional(),
  wPerM2K: Joi.number().min(2).max(80).optional(),
  onTray: Joi.boolean().optional(),
});
export const trayBodySchema: Joi.ObjectSchema<Tray> = bodyOf<Tray>({
  id: id(),
  name: name(),
  count: count(),
  widthMm: sizeMm(),
  lengthMm: sizeMm(),
  material: material(),
});
export const panBodySchema: Joi.ObjectSchema<Pan> = bodyOf<Pan>({
  id: id(),
  name: name(),
  count: count(),
  topMm: sizeMm(),
  bottomMm: sizeMm(),
  kind: Joi.valid(...panKinds).optional(),
  rimMm: Joi.number().min(0).max(60).optional(),
  lengthMm: sizeMm().min(Joi.ref('topMm')).optional(),
  cups: Joi.number().integer().min(1).max(60).optional(),
  depthMm: Joi.number().min(3).max(300),
  material: material(),
});
export const cutterBodySchema: Joi.ObjectSchema<Cutter> = bodyOf<Cutter>({
  id: id(),
  name: name(),
  kind: Joi.valid(...cutterKinds),
  acrossMm: Joi.number().min(5).max(600),
  lengthMm: Joi.number().min(5).max(600).optional(),
});
export const kitchenThingSchemas: { readonly [K in KitchenList]: Joi.ObjectSchema<KitchenThings[K]> } = {
  ovens: ovenBodySchema,
  places: placeBodySchema,
  trays: trayBodySchema,
  pans: panBodySchema,
  cutters: cutterBodySchema,
};

export type OvenHeatBody = { readonly value: number; readonly sd: number; readonly from: string };
/** What one weighed tray taught of an oven. */
export const ovenHeatBodySchema: Joi.ObjectSchema<OvenHeatBody> = bodyOf<OvenHeatBody>({
  value: Joi.number().min(0.4).max(2.5),
  sd: Joi.number().greater(0).max(1),
  from: Joi.string().allow('').max(300),
});

export type LearnedBody = Pick<Learned, 'what' | 'about'> & { readonly do: 'use' | 'setAside' | 'reset' };
/** What is to be done with something learned: use it, keep it unused, or begin anew without the bakes so far. */
export const learnedBodySchema: Joi.ObjectSchema<LearnedBody> = bodyOf<LearnedBody>({
  what: Joi.valid(...learnedWhats),
  about: id(120),
  do: Joi.valid('use', 'setAside', 'reset'),
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
