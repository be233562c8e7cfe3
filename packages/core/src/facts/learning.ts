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
