import { familyMiddleSd, textureFeatureNames, textureWeights, thicknessStepShare } from '../facts/texture.js';
import { crispnessAt } from '../keep/keep.js';
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
  readonly terms: readonly { readonly name: TextureFeature; readonly crisp: number; readonly tender: number }[];
  /** Points that this kitchen's own ratings of the family have taught to add. */
  readonly taught: { readonly crisp: number; readonly tender: number };
  readonly zone: { readonly crisp: number; readonly tender: number; readonly halfWidth: number };
  /** It is forecast for the dough under a filling, and the zone is that of a bare crust. */ readonly underFilling: boolean;
};

type Stages = { readonly blend: BlendResult; readonly dough: DoughResult; readonly bake: BakeResult; readonly keep: KeepResult };

/**
 * The texture forecast: the family's first formula, baked in the reference kitchen, stands in the middle of its zone; every difference
 * from it adds its part. Both are worked out by the same equations, so that what these miss alike falls out of the difference.
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
  const middle = middles[family.id]!;
  const stepOf = (name: TextureFeature) => {
    const { step } = textureWeights.values[name];
    return name === 'thickness' ? Math.max(step, thicknessStepShare.value * middle.thickness) : step;
  };
  const steps = textureFeatureNames.map((name) => ({
    name,
    weight: textureWeights.values[name],
    z: (features[name] - middle[name]) / stepOf(name),
  }));
  const terms = steps
    .map(({ name, weight, z }) => ({ name, crisp: plain(weight.crisp[0] * z), tender: plain(-weight.firm[0] * z) }))
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
    moisture: bake.end.moistureShare,
    crispness: crispnessAt(keep.waterActivity),
  };
}

function moistureSpread({ bake, keep }: Stages): { crisp: number; tender: number } {
  const { moisture, crispness } = textureWeights.values;
  const wetterActivity = keep.waterActivity * (1 + bake.endMoisture.sd / Math.max(1e-4, bake.end.moistureShare));
  const less = crispnessAt(wetterActivity) - crispnessAt(keep.waterActivity);
  return {
    crisp: Math.abs((crispness.crisp[0] * less) / crispness.step),
    tender: Math.abs((moisture.firm[0] * bake.endMoisture.sd) / moisture.step),
  };
}

const sum = (terms: Outlook['terms'], axis: 'crisp' | 'tender') => terms.reduce((total, term) => total + term[axis], 0);
const clip = (points: number) => Math.min(10, Math.max(0, points));
/** No minus zero: it does not survive JSON. */
const plain = (points: number) => points + 0;
