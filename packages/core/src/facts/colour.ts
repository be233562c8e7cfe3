import { fact, table } from './fact.js';
import type { IngredientKind } from '../document/pantry.js';

export const lightness = table(
  { raw: 82, burnt: 30 },
  'CIELAB L*',
  'judgement',
  'an ordinary raw dough, and black; L* = 30 + (raw - 30)(1 - browning index)',
);
export const toneStep = fact(6, 'L* per tone', 'judgement', 'tone 1 to 8 = 1 + (82 - L*)/6');
export const leastChange = fact(
  0.1,
  'browning index',
  'judgement',
  'a dough that starts as dark as gold is golden once its rim has changed by so much',
);

/** Of a powder where its own lightness is not known; what only wets, melts or lies in the dough as pieces does not colour it. */
export const lightnessOfKind = table<Partial<Record<IngredientKind, number>>>(
  {
    starch: 97, flour_grain: 88, flour_starchy: 94, flour_pseudo: 82, flour_legume: 86, flour_nut: 76, flour_tuber: 86, blend: 93,
    gum: 88, binder_seed: 62, fibre: 76, egg: 80, dairy: 95, plant_milk: 90, sugar: 90, syrup: 76, flavour: 70, leavener: 96, salt: 96, acid: 96,
  },
  'CIELAB L*',
  'judgement',
  'colour meter readings of flours, from memory, +- 4; syrups, egg and flavours as they colour a dough',
); // prettier-ignore
export const reducingOfKind = table<Partial<Record<IngredientKind, number>>>(
  {
    starch: 0.3,
    fibre: 0.2,
    binder_seed: 0.1,
    gum: 0.2,
    plant_milk: 0.8,
    flavour: 0.3,
    liquid: 0.7,
    syrup: 0.8,
    filling: 0.7,
    inclusion: 0.2,
  },
  'share of the sugars',
  'judgement',
  'where an ingredient has no share of its own: fruit and syrups mostly reduce, sugar does not',
);
export const wetDarkens = fact(
  3,
  'factor on absorption over scattering',
  'judgement',
  'water and fat between the grains; brings a dough of brown rice, sorghum and starch to 82',
);
export const lightestDough = fact(92, 'CIELAB L*', 'judgement', 'a dough of nothing but starch');
