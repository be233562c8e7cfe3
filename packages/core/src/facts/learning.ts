import { table } from './fact.js';

export const goodsLearning = table(
  {
    liftPrior: 0.25,
    spreadPrior: 0.3,
    packPriorLog: 0.4,
    layerPriorLog: 0.4,
    bakedThicknessShare: 0.07,
    acrossShare: 0.04,
    layerBlurLog: 0.2,
    lapse: 0.05,
  },
  'one standard deviation: factor, factor, log, log; share of what is measured twice; log; share of words that are slips',
  'judgement',
  'how far lift, spread, a pack’s leak and the layer that survives stray from the model in one kitchen, and how well a ruler and an eye read them',
);

export const trueBakes = table(
  { leastShare: 0.45, mostShare: 2.5, waitShare: 0.5, freedom: 4 },
  'of the minutes that were planned, twice; of a wait; degrees of freedom of the noise of a bake',
  'judgement',
  'an oven 40 K off bakes in six tenths or nine sixths of the time, not in less than half; a wait cut by more than half was not waited; a bake in five may be anything',
);
