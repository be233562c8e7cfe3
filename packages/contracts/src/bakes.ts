import Joi from 'joi';
import { bodyOf } from './check.js';
import type { HandWord } from '@north-leaf/core';

export const measuredWhats = [
  'doughC',
  'ovenC',
  'roomC',
  'humidityShare',
  'rawMm',
  'bakedMm',
  'rawG',
  'bakedG',
  'pieces',
  'bakeMin',
  'topTone',
] as const;
export type MeasuredWhat = (typeof measuredWhats)[number];

/** What happened at the bench: only ever added; a correction is an event that names the one it corrects. */
export type Happened =
  | { readonly kind: 'weighed'; readonly rowKey: string; readonly addedG: number; readonly lotId?: string }
  | { readonly kind: 'felt'; readonly word: HandWord }
  | { readonly kind: 'measured'; readonly what: MeasuredWhat; readonly value: number }
  | { readonly kind: 'rated'; readonly after: 'fresh' | number; readonly crisp?: number; readonly tender?: number; readonly liked?: number }
  | { readonly kind: 'confirmed'; readonly code: string; readonly reason: string }
  | { readonly kind: 'noted'; readonly text: string };

export type BakeEvent = { readonly id: string; readonly at: string; readonly corrects?: string; readonly what: Happened };

const dots = () => Joi.number().integer().min(1).max(5).optional();
const limits: Record<MeasuredWhat, readonly [number, number]> = {
  doughC: [-25, 60],
  ovenC: [20, 350],
  roomC: [-10, 60],
  humidityShare: [0, 1],
  rawMm: [0.2, 60],
  bakedMm: [0.2, 120],
  rawG: [0.1, 100000],
  bakedG: [0.1, 100000],
  pieces: [0, 100000],
  bakeMin: [0.5, 600],
  topTone: [1, 8],
};

const happened = Joi.object({ kind: Joi.valid('weighed', 'felt', 'measured', 'rated', 'confirmed', 'noted') }).when('.kind', {
  switch: [
    {
      is: 'weighed',
      then: Joi.object({
        rowKey: Joi.string().min(1).max(60),
        addedG: Joi.number().min(0).max(100000),
        lotId: Joi.string().max(60).optional(),
      }),
    },
    { is: 'felt', then: Joi.object({ word: Joi.valid('sandy', 'cracks', 'rollsClean', 'tacky', 'sticks') }) },
    {
      is: 'measured',
      then: Joi.object({
        what: Joi.valid(...measuredWhats),
        value: Joi.number().when('what', {
          switch: measuredWhats.map((what) => ({ is: what, then: Joi.number().min(limits[what][0]).max(limits[what][1]) })),
        }),
      }),
    },
    {
      is: 'rated',
      then: Joi.object({
        after: Joi.alternatives(Joi.valid('fresh'), Joi.number().integer().min(0).max(365)),
        crisp: dots(),
        tender: dots(),
        liked: dots(),
      }).or('crisp', 'tender', 'liked'),
    },
    { is: 'confirmed', then: Joi.object({ code: Joi.string().max(60), reason: Joi.string().trim().min(3).max(300) }) },
    { is: 'noted', then: Joi.object({ text: Joi.string().trim().min(1).max(2000) }) },
  ],
});

const event = Joi.object({
  id: Joi.string().guid(),
  at: Joi.string().isoDate(),
  corrects: Joi.string().guid().optional(),
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
  formulaId: Joi.string().guid(),
  version: Joi.number().integer().min(1),
  factor: Joi.number().greater(0).max(100),
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
