import { table } from './fact.js';

/** What each kind of ingredient comes from, and the ones that differ from their kind. */
export const originOfKind = table(
  {
    flour_grain: 'plant',
    flour_starchy: 'plant',
    flour_pseudo: 'plant',
    flour_legume: 'plant',
    flour_nut: 'plant',
    flour_tuber: 'plant',
    blend: 'plant',
    starch: 'plant',
    gum: 'plant',
    binder_seed: 'plant',
    fibre: 'plant',
    fat_solid: 'plant',
    fat_liquid: 'plant',
    egg: 'egg',
    liquid: 'mineral',
    dairy: 'milk',
    plant_milk: 'plant',
    sugar: 'plant',
    syrup: 'plant',
    salt: 'mineral',
    leavener: 'mineral',
    acid: 'plant',
    flavour: 'plant',
    inclusion: 'plant',
    filling: 'plant',
    excluded: 'plant',
  } as const,
  'origin',
  'commonPractice',
  'what the goods of each kind are made of; no source',
);
export const originOf = table(
  {
    xanthan: 'microbe',
    yeast_dry: 'microbe',
    nutritional_yeast: 'microbe',
    gelatin: 'animal',
    lard: 'animal',
    honey: 'honey',
    butter_unsalted: 'milk',
    butter_salted: 'milk',
    butter_82: 'milk',
    butter_lam: 'milk',
    ghee: 'milk',
    choc_milk: 'milk',
    marshmallow: 'animal',
  } as const,
  'origin',
  'commonPractice',
  'ingredients that differ from their kind; marshmallow holds gelatine unless its label says otherwise; no source',
);
/** Origins that depend on the maker, besides the table's own allergen codes. */
export const mayHoldOrigin = table(
  { hard_cheese: 'animal', mincemeat: 'animal', cheddar: 'animal', cracker_crumb_gf: 'honey', shortening: 'animal' } as const,
  'origin',
  'commonPractice',
  'animal rennet, suet, tallow, honey: read the label; no source',
);
