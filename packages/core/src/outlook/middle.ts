import { meanSpread } from '../sheet/spreading.js';
import { bakeKinds, cookieSpread } from '../facts/oven.js';
import { middleBlend } from '../facts/texture.js';
import { crispnessAt } from '../keep/keep.js';
import type { Family, School } from '../facts/families.js';
import type { TextureFeature } from '../facts/texture.js';

/** Fat as the texture features count it: 0 melted or oil, 1 creamed, 2 rubbed, 3 pieces. */
const fatPiecesBySchool: Readonly<Record<School, number>> = { cutIn: 3, rub: 2, cream: 1, allInOne: 1, melt: 0, oil: 0 };
/** m3 per kg of dry dough and of water, for the gas left in a baked piece. */
const DRY_M3 = 0.72e-3;
const WATER_M3 = 1 / 998;

/**
 * The target formula of a family as texture features: its Outlook is the middle of the zone.
 *
 * Every number is the family's own target; xanthan and husk take half their target each where both are used.
 *
 * Units    per blend, mm, shares (as facts/texture textureWeights).
 * Throws   nothing.
 * Findings none.
 * Source   facts/families; facts/texture middleBlend and facts/oven bakeKinds (judgement).
 */
export function middleOf(family: Family): Readonly<Record<TextureFeature, number>> {
  const { proteinOfGrain, proteinOfNut, fibreOfGrain, fibreOfNut, eggWhiteShare, ownMoisture } = middleBlend.values;
  const grain = family.proteinTypePercent[1] / 100;
  const nuts = family.base === 'nut';
  const egg = family.eggPercent[1] / 100;
  const xanthan = (family.gumPercent['xanthan']?.[1] ?? 0) / 100;
  const husk = (family.gumPercent['psyllium_husk']?.[1] ?? 0) / 100;
  const shared = xanthan > 0 && husk > 0 ? 2 : 1;
  const kind = bakeKinds.values[family.bakesAs === 'cracker' && family.leavenerPercent[1] >= 0.5 ? 'crackerLeavened' : family.bakesAs];
  const spread = family.bakesAs === 'cookie' && !family.rolled ? meanSpread(1 + cookieSpread.values.usual) : 1;
  const moisture = family.finalMoisturePercent[1] / 100;
  const dryPerBlend = 1 - ownMoisture + (family.fatPercent[1] + family.sugarPercent[1]) / 100;
  const startX = (family.waterPercent[1] / 100 + ownMoisture) / dryPerBlend;
  const endX = moisture / (1 - moisture);
  const filled = ((DRY_M3 + endX * WATER_M3) * (1 - kind.firstPores)) / ((DRY_M3 + startX * WATER_M3) * kind.expansion);
  return {
    fat: family.fatPercent[1] / 100,
    fatPieces: fatPiecesBySchool[family.school],
    water: family.waterPercent[1] / 100,
    sugar: family.sugarPercent[1] / 100,
    eggWhite: egg * eggWhiteShare,
    eggYolk: egg * (1 - eggWhiteShare),
    xanthan: xanthan / shared,
    psyllium: husk / shared,
    protein: grain * (nuts ? proteinOfNut : proteinOfGrain),
    starch: family.starchPercent[1] / 100,
    fibre: grain * (nuts ? fibreOfNut : fibreOfGrain),
    thickness: ((family.standsMm ?? family.thicknessMm[1]) * kind.expansion) / spread ** 2,
    gas: 1 - filled,
    moisture,
    crispness: crispnessAt(family.finalAw[1]),
  };
}
