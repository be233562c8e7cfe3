import { salmonellaNote } from '../facts/dough.js';
import { coolingLimits, fridgeC } from '../facts/keeping.js';
import { boilingJamC, dialOffK, flourTestC, sliceWarmC } from '../facts/oven.js';

const { fromC, throughC, throughMin, toC, inAllMin } = coolingLimits.values;

/** Numbers that sentences name besides those of the finding: each from its fact, so that a sentence never holds one. C, min, K. */
export const saidFacts = {
  fridgeC: fridgeC.value,
  safeEggC: salmonellaNote.value,
  hotC: fromC,
  throughC,
  throughMin,
  toC,
  inAllMin,
  sliceFromC: sliceWarmC.values.from,
  sliceToC: sliceWarmC.values.to,
  flourTestC: flourTestC.value,
  jamFromC: boilingJamC.values.from,
  jamToC: boilingJamC.values.to,
  dialOffK: dialOffK.values.often,
  dialFarOffK: dialOffK.values.far,
} as const;
