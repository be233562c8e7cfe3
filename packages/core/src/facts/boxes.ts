import { table } from './fact.js';

/** What the generic boxed blends of the ingredient table are made of, shares of the mass; a label read in the pantry outranks them. */
export const boxes = table<Readonly<Record<string, Readonly<Record<string, number>>>>>(
  {
    blend_ap: { rice_white: 0.4, rice_brown: 0.25, potato_starch: 0.2, tapioca_starch: 0.15 },
    blend_1to1: {
      rice_sweet: 0.2,
      rice_brown: 0.25,
      rice_white: 0.2,
      potato_starch: 0.2,
      sorghum: 0.09,
      tapioca_starch: 0.054,
      xanthan: 0.006,
    },
    blend_sr: { rice_white: 0.48, potato_starch: 0.25, tapioca_starch: 0.22, baking_powder: 0.045, xanthan: 0.005 },
    blend_pastry: { rice_white: 0.35, rice_sweet: 0.12, corn_starch: 0.24, tapioca_starch: 0.2, potato_starch: 0.083, xanthan: 0.007 },
    blend_light: { rice_white: 0.55, potato_starch: 0.27, tapioca_starch: 0.18 },
  },
  'share of the mass',
  'judgement',
  'made-up middles of what such boxes list; their composition in the ingredient table was computed from the same',
);
