import { fact, table } from './fact.js';

export const rollInFatDensity = fact(0.91, 'g/ml', 'fromMemory', 'typical of butter and blocks, 0.90 to 0.93');
export const layerFloors = table(
  { watchUm: 60, fixUm: 30 },
  'um of dough layer',
  'judgement',
  'no gluten film holds it, swollen starch and gum do, and flour grains are 100 to 200 um; kitchens do go further, five letter folds in a 5 mm sheet',
);
/** How far leaves part in the oven, of what whole ones do. */
export const leafLift = table(
  { wholeFromFatLayers: 40, power: 0.3, thinUm: 5, wholeUm: 60, least: 0.3 },
  'layers, power, um of dough layer, share',
  'judgement',
  'few thick leaves lift less than many, and leaves too thin to stand run together: common practice, no source; sizes judgement',
);
export const slabUnlike = fact(
  2,
  'thicker over thinner',
  'judgement',
  'a fat slab this much thicker or thinner than its dough breaks through',
);
export const foldHands = table(
  { lockInMin: 12, foldMin: 6, lastRollMin: 8 },
  'min on the table',
  'judgement',
  'squaring, rolling and folding by pin, by hand',
);
export const proofSolidFat = fact(
  10,
  'percent of the fat that is solid',
  'judgement',
  'with less it runs out of the layers while the dough proves: about 26 C for butter, which practice keeps under',
);
export const firmnessRule = table(
  { fatPower: 2, doughPerK: 0.035 },
  'power of the solid share; share a kelvin',
  'judgement',
  'yield of fat rises about with the square of its solid share (from memory of fat texture work); dough softens a few percent a kelvin',
);
export const frothWords = table(
  { liquidC: 38, mostC: 45, min: 10 },
  'C, min',
  'commonPractice',
  'dry yeast in warm liquid with a pinch of sugar froths in 5 to 10 min, or it is dead; no source',
);
