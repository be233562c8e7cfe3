import { table } from './fact.js';

/** Volumes in ml. A bare `cup` or `tablespoon` is the country's: US unless said. */
export const volumeMeasures = table(
  {
    cup: 236.588,
    cupMetric: 250,
    cupBrazil: 240,
    cupJapan: 200,
    tablespoon: 14.787,
    tablespoonMetric: 15,
    tablespoonAustralia: 20,
    teaspoon: 4.929,
    teaspoonMetric: 5,
    dessertspoon: 10,
    fluidOunce: 29.574,
    fluidOunceUk: 28.413,
    pint: 473.176,
    pintUk: 568.261,
    quart: 946.353,
    millilitre: 1,
    centilitre: 10,
    decilitre: 100,
    litre: 1000,
  } as const,
  'ml',
  'published',
  'US customary: NIST Handbook 44, appendix C; imperial pint 568.261 ml (UK Weights and Measures Act 1985); metric cup 250, Brazilian cup 240, Japanese cup 200, Australian tablespoon 20 by national custom',
);
export const massMeasures = table(
  { gram: 1, kilogram: 1000, milligram: 0.001, ounce: 28.349523125, pound: 453.59237 } as const,
  'g',
  'published',
  'international yard and pound agreement of 1959',
);
/** Measures that mean different things to different people: lowest, usual, highest. */
export const vagueMeasures = table(
  {
    glass: [150, 200, 250],
    pinch: [0.3, 0.4, 1],
    dash: [0.3, 0.6, 1],
    handful: [20, 35, 60],
    knob: [10, 15, 30],
    drizzle: [5, 10, 20],
    drop: [0.03, 0.05, 0.07],
    splash: [5, 10, 20],
  } as const,
  'glass, drizzle, splash and drop in ml, others in g',
  'commonPractice',
  'what people mean by them; no source. Asked once, then the kitchen own value is used',
);
/** Packs that are counted, in g. */
export const packMeasures = table(
  { stick: 113.4, sachetYeast: 7, sachetBakingPowder: 16, sachetVanilla: 8, block: 250, cubeYeast: 42 } as const,
  'g',
  'commonPractice',
  'US butter stick; European sachets of baking powder (Italy 16, Germany 15), dried yeast 7, vanilla sugar 8, fresh yeast in cubes of 42 (Germany; Italy 25); no source',
);
export const eggSizes = table(
  { small: 38, medium: 44, large: 50, extraLarge: 56, mediumEu: 50, largeEu: 58 } as const,
  'g without shell',
  'commonPractice',
  'US and EU size classes less shell; no source',
);
export const eggSpread = table(
  { cv: 0.08, size: 'large' } as const,
  'coefficient of variation',
  'judgement',
  'within a size class and between countries',
);
/** What one fruit gives of juice and of zest. */
export const fruitYields = table(
  { lemon: { juiceG: 45, zestG: 6 }, lime: { juiceG: 30, zestG: 3 }, orange: { juiceG: 75, zestG: 10 } } as const,
  'g a fruit',
  'commonPractice',
  'three tablespoons of juice and a tablespoon of zest of a lemon, two and two thirds of a lime, five and two of an orange; no source',
);
/** What bakers call a flax egg. */
export const flaxEgg = table(
  { flaxG: 7, waterG: 45 } as const,
  'g an egg',
  'commonPractice',
  'a tablespoon of ground flax in three of water; no source',
);
