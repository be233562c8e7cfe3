import { fact, table } from './fact.js';

export const mostOfBlend = table(
  {
    coconut_flour: 0.12,
    chickpea: 0.25,
    pea_flour: 0.25,
    lupin: 0.15,
    soy_flour: 0.05,
    quinoa: 0.15,
    amaranth: 0.2,
    buckwheat: 0.4,
    buckwheat_light: 0.5,
    teff: 0.3,
    millet: 0.35,
    bajra: 0.35,
    ragi: 0.35,
    cornmeal_coarse: 0.15,
    potato_flour: 0.05,
    tapioca_starch: 0.3,
    tapioca_sour: 0.3,
    rice_sweet: 0.25,
    pregel_starch: 0.05,
    banana_green: 0.25,
    inulin: 0.05,
    milk_powder: 0.06,
    milk_powder_whole: 0.06,
    egg_white_dry: 0.06,
  } as const,
  'share of blend',
  'commonPractice',
  'most that bakers use before taste, colour or bite suffers; no source. Others up to the whole, starches to 30 %, gums to the family window',
);
export const nutsOfBlend = fact(0.3, 'share of blend', 'commonPractice', 'nut and rich flours outside nut crackers; no source');
export const leastUseful = table(
  { flour: 0.03, gum: 0.002 } as const,
  'share of blend',
  'judgement',
  'less is not worth a bag opened, or cannot be weighed',
);
export const noticeable = table(
  {
    bend: 0.2,
    flavour: 0.2,
    grit: 0.1,
    protein: 1,
    fibre: 1,
    water: 0.05,
    starch: 0.05,
    grain: 0.05,
    away: 0.05,
    taste: 0.03,
    costShare: 0.05,
  } as const,
  'one step a baker would notice',
  'judgement',
  'index points, percent points, g/g, shares; cost as a share of what it is now',
);
export const wishWeights = table(
  { want: 3, nice: 1, family: 2, sameWater: 0.3, changedWhole: 1 } as const,
  'cost of one noticeable step',
  'judgement',
  'how a want, a nice, the family windows and an unchanged water and an unchanged blend weigh against each other',
);
