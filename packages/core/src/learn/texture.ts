import { coreVersion } from '../core-version.js';
import { trueBakes } from '../facts/learning.js';
import { familyMiddleSd, ratingNoise } from '../facts/texture.js';
import { independent, sdsOf, updatedRobustly } from '../math/belief.js';
import { outlookFromRating } from '../outlook/rating.js';
import type { Learned } from '../document/kitchen.js';

/** What was forecast of a bake as it was made, with nothing learned of its texture, and the dots it got. */
export type RatedBake = { readonly bakeId: string; readonly forecast: number; readonly dots: number };

/** Points between two dots: what lies between them is rounded. */
const DOT = 2.5;

/**
 * How far the forecast of a family's crispness or tenderness is off in this kitchen's mouths: added to every forecast.
 *
 * Units    points of the Outlook, 0 to 10.
 * Throws   nothing; nothing rated gives null.
 * Findings none.
 * Source   a mean with a normal prior, noise Student's t (textbook); prior facts/texture familyMiddleSd, noise ratingNoise (judgement) and the width of a dot.
 *
 * @example
 * learnedTexture('crisp', 'cracker_savoury', [{ bakeId: 'a', forecast: 8, dots: 5 }]); // => value above 0, sd below the prior's
 */
export function learnedTexture(what: 'crisp' | 'tender', familyId: string, rated: readonly RatedBake[]): Learned | null {
  if (rated.length === 0) return null;
  const priorSd = familyMiddleSd.value;
  const noiseSd = Math.hypot(ratingNoise.value, DOT / Math.sqrt(12));
  const after = updatedRobustly(
    independent([0], [priorSd]),
    rated.map(() => [1]),
    rated.map(({ forecast, dots }) => outlookFromRating(what, dots) - forecast),
    rated.map(() => noiseSd),
    trueBakes.values.freedom,
  );
  return {
    what,
    about: familyId,
    coreVersion,
    value: after.mean[0]!,
    sd: sdsOf(after)[0]!,
    priorValue: 0,
    priorSd,
    bakeIds: [...new Set(rated.map(({ bakeId }) => bakeId))],
  };
}
