import {
  biteLoss,
  familyMiddleSd,
  leatheryOver,
  spoilt,
  textureFeatureNames,
  textureWeights,
  thicknessStepShare,
} from '../facts/texture.js';
import { middles } from './middles.js';
import type { BakeResult } from '../bake/bake.js';
import type { BlendResult } from '../blend/blend.js';
import type { Learned } from '../document/kitchen.js';
import type { DoughResult } from '../dough/dough.js';
import type { Family } from '../facts/families.js';
import type { TextureFeature } from '../facts/texture.js';
import type { Estimate } from '../findings/finding.js';
import type { KeepResult } from '../keep/keep.js';

/** Where a bake is likely to land: both axes 0 to 10, with what moves it. */
export type Outlook = {
  readonly crisp: Estimate;
  readonly tender: Estimate;
  readonly correlation: number;
  /** Signed points each feature moves it from the family's middle, largest first. */
  readonly terms: readonly { readonly name: TextureFeature | 'raw' | 'burnt'; readonly crisp: number; readonly tender: number }[];
  /** Points that this kitchen's own ratings of the family have taught to add. */
  readonly taught: { readonly crisp: number; readonly tender: number };
  readonly zone: { readonly crisp: number; readonly tender: number; readonly halfWidth: number };
  /** It is forecast for the dough under a filling, and the zone is that of a bare crust. */ readonly underFilling: boolean;
};

type Stages = { readonly blend: BlendResult; readonly dough: DoughResult; readonly bake: BakeResult; readonly keep: KeepResult };

/**
 * The texture forecast: a family's first formula, as moist as the family's goods are meant to be, stands in the middle of its zone; every
 * difference from it adds its part. What is raw in the middle or burnt falls out of the zone whatever else it is.
 *
 * tender = 10 - firm. The spread is that of the weights and, through moisture, that of the bake; weights are independent.
 *
 * Units    rating points, clipped to 0..10; terms are not.
 * Throws   nothing.
 * Findings none.
 * Source   facts/texture; outlook/middles; what ratings taught is added: directions published where said, all sizes judgement until bakes speak.
 */
export function outlookOf(family: Family, stages: Stages, taught: { readonly crisp?: Learned; readonly tender?: Learned } = {}): Outlook {
  const features = textureFeatures(stages);
  const middle = middleOf(family);
  const stepOf = (name: TextureFeature) => {
    const { step } = textureWeights.values[name];
    return name === 'thickness' ? Math.max(step, thicknessStepShare.value * middle.thickness) : step;
  };
  const steps = textureFeatureNames.map((name) => {
    const over = features[name] - middle[name];
    return { name, weight: textureWeights.values[name], z: (name === 'moisture' ? asTender(over) : over) / stepOf(name) };
  });
  const terms = [
    ...steps.map(({ name, weight, z }) => ({ name, crisp: plain(weight.crisp[0] * z), tender: plain(-weight.firm[0] * z) })),
    ...spoiltBy(family, stages.bake),
  ]
    .filter(({ crisp, tender }) => Math.abs(crisp) > 0.005 || Math.abs(tender) > 0.005)
    .sort((a, b) => Math.abs(b.crisp) + Math.abs(b.tender) - Math.abs(a.crisp) - Math.abs(a.tender));
  const sdOf = (axis: 'crisp' | 'firm', learned: Learned | undefined) =>
    Math.sqrt((learned?.sd ?? familyMiddleSd.value) ** 2 + steps.reduce((sum, { weight, z }) => sum + (weight[axis][1] * z) ** 2, 0));
  const moistureSd = moistureSpread(stages);
  const crispSd = Math.hypot(sdOf('crisp', taught.crisp), moistureSd.crisp);
  const tenderSd = Math.hypot(sdOf('firm', taught.tender), moistureSd.tender);
  const added = { crisp: taught.crisp?.value ?? 0, tender: taught.tender?.value ?? 0 };
  return {
    crisp: {
      value: clip(family.zone.crisp + sum(terms, 'crisp') + added.crisp),
      sd: crispSd,
      basis: taught.crisp ? 'learned' : 'judgement',
    },
    tender: {
      value: clip(family.zone.tender + sum(terms, 'tender') + added.tender),
      sd: tenderSd,
      basis: taught.tender ? 'learned' : 'judgement',
    },
    correlation: (moistureSd.crisp * moistureSd.tender * -1) / (crispSd * tenderSd),
    terms,
    taught: added,
    zone: family.zone,
    underFilling: stages.bake.filling !== null && family.centre === undefined,
  };
}

/** The first formula of a family in the reference kitchen, with the water that the family's goods are meant to end with. */
const middleOf = (family: Family): Readonly<Record<TextureFeature, number>> => ({
  ...middles[family.id]!,
  moisture: family.finalMoisturePercent[1] / 100,
  crispness: biteAt(family.finalAw[1]),
});

/** 1 brittle to 0 limp at a water activity, as it is bitten. */
export function biteAt(activity: number): number {
  const { halfAw, width } = biteLoss.values;
  return 1 / (1 + Math.exp((activity - halfAw) / width));
}

/** Water over what is meant as it makes tender: up to a point, then as much the other way. */
const asTender = (over: number): number => Math.min(over, 2 * leatheryOver.value - over);

/** A middle that has not set or is still dough, a face that is burnt: points that nothing else makes good. */
function spoiltBy({ finalMoisturePercent }: Family, { end, coreC, darkFromBrowning }: BakeResult): Outlook['terms'] {
  const { setsC, rawOverK, rawOverMoisture, rawCrisp, rawTender, burntOver, burntCrisp, burntTender } = spoilt.values;
  const wetter = end.moistureShare - finalMoisturePercent[2] / 100;
  const raw = smooth(Math.max(((coreC ?? setsC) - end.coldestC) / rawOverK, wetter / rawOverMoisture));
  const burnt = smooth((end.faceBrowning - darkFromBrowning) / burntOver);
  return [
    { name: 'raw', crisp: plain(-rawCrisp * raw), tender: plain(-rawTender * raw) },
    { name: 'burnt', crisp: plain(-burntCrisp * burnt), tender: plain(-burntTender * burnt) },
  ];
}
const smooth = (x: number): number => {
  const part = Math.min(1, Math.max(0, x));
  return part * part * (3 - 2 * part);
};

/**
 * What the texture is forecast from, of one formula as it comes out of this oven and cools.
 *
 * Units    per blend, mm, shares (as facts/texture textureWeights).
 * Throws   nothing.
 * Findings none.
 * Source   the stages' own results.
 */
export function textureFeatures({ blend, dough, bake, keep }: Stages): Record<TextureFeature, number> {
  const { percents } = dough;
  return {
    fat: percents.fat / 100,
    fatPieces: dough.fatPieces,
    // More or less than this very blend wants: a thirsty flour that gets its due is not a wet dough.
    water: (dough.getsG - dough.wantsG) / blend.blendG,
    sugar: percents.sugar / 100,
    eggWhite: dough.eggWhitePerBlend,
    eggYolk: dough.eggYolkPerBlend,
    xanthan: dough.xanthanPerBlend,
    psyllium: dough.psylliumPerBlend,
    protein: blend.composition.proteinShare,
    starch: blend.starchShare,
    fibre: blend.composition.fibreShare,
    thickness: bake.end.doughMm,
    gas: bake.end.poresShare,
    // Once cooled: as it is eaten.
    moisture: keep.curve.moistureShare[0]!,
    crispness: biteAt(keep.waterActivity),
  };
}

function moistureSpread({ bake, keep }: Stages): { crisp: number; tender: number } {
  const { moisture, crispness } = textureWeights.values;
  const wetterActivity = keep.waterActivity * (1 + bake.endMoisture.sd / Math.max(1e-4, bake.end.moistureShare));
  const less = biteAt(wetterActivity) - biteAt(keep.waterActivity);
  return {
    crisp: Math.abs((crispness.crisp[0] * less) / crispness.step),
    tender: Math.abs((moisture.firm[0] * bake.endMoisture.sd) / moisture.step),
  };
}

const sum = (terms: Outlook['terms'], axis: 'crisp' | 'tender') => terms.reduce((total, term) => total + term[axis], 0);
const clip = (points: number) => Math.min(10, Math.max(0, points));
/** No minus zero: it does not survive JSON. */
const plain = (points: number) => points + 0;
