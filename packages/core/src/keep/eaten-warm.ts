import { warmRestMin } from '../facts/keeping.js';
import type { Edit } from '../document/edits.js';
import type { Formula } from '../document/formula.js';

/**
 * What changes when a good goes to the plate warm: it stands only until its crumb has set.
 *
 * Units    min.
 * Throws   nothing.
 * Findings none.
 * Source   facts/keeping warmRestMin (common practice, no source).
 *
 * @example
 * eatenWarm(demoCrackerV2)[0]; // => { path: '/keep/goes', to: 'warm' }
 */
export function eatenWarm({ keep }: Pick<Formula, 'keep'>): Edit[] {
  const [first] = keep.cool;
  const short = first && { placeId: first.placeId, min: Math.min(first.min, warmRestMin.value) };
  return [
    { path: '/keep/goes', ...(keep.goes === undefined ? {} : { from: keep.goes }), to: 'warm' },
    ...(short ? [{ path: '/keep/cool', from: keep.cool as never, to: [short] as never }] : []),
  ];
}
