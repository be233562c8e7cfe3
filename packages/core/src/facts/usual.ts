import { table } from './fact.js';

/** What is taken where a formula needs a thing of a kind and nobody said which. */
export const usual = table(
  {
    water: 'water',
    fat: 'oil_neutral',
    sugar: 'sugar_white',
    salt: 'salt_fine',
    powder: 'baking_powder',
    soda: 'baking_soda',
    yeast: 'yeast_dry',
    egg: 'egg_whole',
    thickener: 'corn_starch',
    flaxMeal: 'flax_meal',
    chiaMeal: 'chia_meal',
    zest: 'citrus_zest',
    box: 'blend_ap',
  } as const,
  'ingredient',
  'judgement',
  'the plainest of its kind, that every shop has',
);
/** What a first formula is made of. A family of starch alone takes maize beside potato: tapioca would make it stretch. */
export const firstOf = table(
  {
    grains: ['rice_brown', 'sorghum'],
    nuts: ['almond_blanched'],
    crumb: ['cracker_crumb_gf'],
    starches: ['tapioca_starch', 'potato_starch'],
    onlyStarches: ['corn_starch', 'potato_starch'],
    xanthanGum: 'xanthan',
    psylliumHusk: 'psyllium_husk',
    groundNuts: 'hazelnut',
    fat: 'butter_unsalted',
    foldedFat: 'butter_lam',
    oil: 'olive_oil',
  } as const,
  'ingredient',
  'judgement',
  'two grains and two starches of plain taste; our choice, a place to start from',
);
/** The juice of a fruit. */
export const usualJuiceOf = table(
  { lemon: 'lemon_juice', lime: 'lime_juice', orange: 'orange_juice' } as const,
  'ingredient',
  'commonPractice',
  'a name for a name; no source',
);
/** Goods that are taken for each other and must not be. */
export const confusions = table<readonly { readonly ids: readonly string[]; readonly ask: string }[]>(
  [
    {
      ids: ['potato_flour', 'potato_starch'],
      ask: 'Potato flour is cooked and drinks 2.5 g/g; potato starch is raw and takes 0.45. They never swap.',
    },
    {
      ids: ['corn_starch', 'corn_flour_whole'],
      ask: 'UK, Irish and Australian cornflour is starch; US corn flour is ground maize. Australian "wheaten cornflour" is wheat.',
    },
    { ids: ['cassava_flour', 'tapioca_starch'], ask: 'Cassava flour is the whole root and drinks twice as much as tapioca starch.' },
    { ids: ['blend_sr', 'blend_ap'], ask: 'Self-raising blends hold baking powder and salt already: take both off the formula.' },
    { ids: ['butter_salted', 'butter_unsalted', 'butter_82'], ask: 'Salted butter brings 1.6 g of salt in 100 g.' },
    { ids: ['psyllium_husk', 'psyllium_powder'], ask: 'Same grams, half the volume for powder: weigh it.' },
    { ids: ['oat_flour', 'oats_rolled', 'oats_ordinary'], ask: 'Only oats grown and tested as gluten-free; some guests cannot have any.' },
    { ids: ['wheat_starch_gf', 'wheat_ap'], ask: 'Wheat starch of gluten-free grade is still wheat for allergens.' },
  ],
  'ingredients',
  'commonPractice',
  'what bakers take for each other; no source',
);
