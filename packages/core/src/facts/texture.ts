import { fact, table } from './fact.js';

export const textureFeatureNames = [
  'fat',
  'fatPieces',
  'water',
  'sugar',
  'eggWhite',
  'eggYolk',
  'xanthan',
  'psyllium',
  'protein',
  'starch',
  'fibre',
  'thickness',
  'gas',
  'moisture',
  'crispness',
] as const;
export type TextureFeature = (typeof textureFeatureNames)[number];
/** What a family's middle has of its first formula; its water is the family's own. */
export type MiddleFeature = Exclude<TextureFeature, 'moisture' | 'crispness'>;

/** Rating points per unit step of a feature: mean and sd of the prior. */
export type TextureWeight = {
  readonly step: number;
  readonly of: string;
  readonly firm: readonly [mean: number, sd: number];
  readonly crisp: readonly [mean: number, sd: number];
};

export const textureWeights = table<Record<TextureFeature, TextureWeight>>(
  {
    fat: { step: 0.1, of: 'fat per blend', firm: [-0.8, 0.3], crisp: [-0.15, 0.3] },
    fatPieces: { step: 1, of: '0 melted or oil, 1 creamed, 2 rubbed, 3 pieces', firm: [0.3, 0.25], crisp: [0.3, 0.25] },
    water: { step: 0.05, of: 'poured and brought water over what the blend wants, per blend', firm: [0.4, 0.2], crisp: [-0.1, 0.2] },
    sugar: { step: 0.1, of: 'sugars per blend', firm: [0.3, 0.2], crisp: [0.4, 0.25] },
    eggWhite: { step: 0.1, of: 'egg white as is per blend', firm: [0.4, 0.25], crisp: [0.2, 0.25] },
    eggYolk: { step: 0.05, of: 'yolk as is per blend', firm: [-0.25, 0.2], crisp: [-0.2, 0.2] },
    xanthan: { step: 0.005, of: 'xanthan per blend', firm: [0.5, 0.25], crisp: [-0.15, 0.2] },
    psyllium: { step: 0.01, of: 'psyllium per blend', firm: [0.35, 0.2], crisp: [-0.3, 0.2] },
    protein: { step: 0.03, of: 'protein share of the blend', firm: [0.35, 0.2], crisp: [0.1, 0.2] },
    starch: { step: 0.1, of: 'isolated starch share of the blend', firm: [-0.3, 0.2], crisp: [0.25, 0.2] },
    fibre: { step: 0.03, of: 'fibre share of the blend', firm: [0.25, 0.2], crisp: [-0.2, 0.2] },
    thickness: { step: 1, of: 'thickness of the baked dough, its filling apart, mm', firm: [0.25, 0.15], crisp: [-0.25, 0.15] },
    gas: { step: 0.15, of: 'pores of the baked dough', firm: [-0.5, 0.25], crisp: [0.4, 0.25] },
    moisture: { step: 0.01, of: 'final moisture', firm: [-0.2, 0.15], crisp: [0, 0.1] },
    crispness: { step: 0.1, of: 'bite from water activity (biteLoss)', firm: [0.1, 0.1], crisp: [0.5, 0.15] },
  },
  'rating points (0-10) per step',
  'judgement',
  'directions of fat, water, sugar, xanthan, protein, starch and gas are published (shortening and cellular-solid literature, from memory); all sizes are judgement until the kitchen own ratings move them',
);

/** How the bite goes as a piece takes up water: slower than the snap, which is gone at once. */
export const biteLoss = table(
  { halfAw: 0.5, width: 0.12 },
  'water activity',
  'judgement',
  'half a point of ten for a tenth of it; the words snaps, bends and soft of Keep go by their own, steeper law',
);
/** Moister is more tender so far over a family's target; beyond that it turns leathery again. */
export const leatheryOver = fact(0.03, 'moisture, share', 'judgement', 'half-baked is not tender: common practice, no source');
/** What spoils the whole: raw in the middle, or burnt. Rating points in full, and over how much it grows to that. */
export const spoilt = table(
  { setsC: 85, rawOverK: 50, rawOverMoisture: 0.2, rawCrisp: 5, rawTender: 4, burntOver: 0.4, burntCrisp: 3, burntTender: 6 },
  'C, K, share, points, points, browning index, points, points',
  'judgement',
  'neither half-baked nor burnt is ever right: common practice, no source. Half-baked is a middle colder than it should be (85 C where the family has no core of its own) or more water than the family’s goods ever end with',
);

export const thicknessStepShare = fact(
  0.2,
  'share of the thickness of the family middle',
  'judgement',
  'a millimetre is felt on a cracker, not on a muffin: on thick goods a fifth of their own height counts as one step',
);

export const ratingNoise = fact(1, 'rating points', 'judgement', 'two bakes of one formula are rated this far apart');
export const familyMiddleSd = fact(
  1,
  'rating points',
  'judgement',
  'how far the family own middle may be off before any bake was rated: as far as two tastings of one formula',
);
