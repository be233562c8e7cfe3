import { familyMiddleSd, ratingNoise } from '../facts/texture.js';
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
 * Source   a normal mean with a normal prior (textbook); prior facts/texture familyMiddleSd, noise ratingNoise (judgement) and the width of a dot.
 *
 * @example
 * learnedTexture('crisp', 'cracker_savoury', [{ bakeId: 'a', forecast: 8, dots: 5 }]); // => value above 0, sd below the prior's
 */
export function learnedTexture(what: 'crisp' | 'tender', familyId: string, rated: readonly RatedBake[]): Learned | null {
  if (rated.length === 0) return null;
  const priorSd = familyMiddleSd.value;
  const noiseSd = Math.hypot(ratingNoise.value, DOT / Math.sqrt(12));
  const precision = 1 / priorSd ** 2 + rated.length / noiseSd ** 2;
  const pull = rated.reduce((sum, { forecast, dots }) => sum + (outlookFromRating(what, dots) - forecast) / noiseSd ** 2, 0);
  return {
    what,
    about: familyId,
    value: pull / precision,
    sd: Math.sqrt(1 / precision),
    priorValue: 0,
    priorSd,
    bakeIds: [...new Set(rated.map(({ bakeId }) => bakeId))],
  };
}
