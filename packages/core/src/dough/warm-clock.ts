import { rawEggMaxC } from '../facts/cold.js';
import type { Edit } from '../document/edits.js';
import type { Formula, Wait } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';

/** Minutes that the wet dough stands where it is warmer than a fridge; `path` sets them, none for what the mix says. */
export type WarmStretch = {
  readonly stage: 'dough' | 'chill' | 'sheet';
  readonly path: string | null;
  readonly min: number;
  readonly atC: number;
};

/**
 * Everywhere that a dough stands above 5 C from its first wetting to the oven: the one clock for egg and wet starch.
 *
 * Units    min, C of the place, not of the dough: in a fridge it counts as cold from the first minute.
 * Throws   nothing; a wait at a place that is gone is left out.
 * Findings none: chill and sheet judge.
 * Source   facts/cold rawEggMaxC.
 */
export function warmStretches({ mix, restMin, chill, sheet }: Formula, { places, roomC }: Kitchen): WarmStretch[] {
  const at = (stage: WarmStretch['stage'], waits: readonly Wait[], path: string): WarmStretch[] =>
    waits.flatMap(({ placeId, min }, i) => {
      const place = places.find(({ id }) => id === placeId);
      return place && place.atC > rawEggMaxC.value && min > 0 ? [{ stage, path: `${path}/${i}/min`, min, atC: place.atC }] : [];
    });
  const stands = mix.reduce((sum, { act, min }) => sum + (act === 'stand' ? (min ?? 0) : 0), 0);
  return [
    ...(stands > 0 ? [{ stage: 'dough' as const, path: null, min: stands, atC: roomC }] : []),
    ...(restMin > 0 ? [{ stage: 'dough' as const, path: '/restMin', min: restMin, atC: roomC }] : []),
    ...at('chill', chill.waits, '/chill/waits'),
    ...(sheet.laminate?.folds ?? []).flatMap(({ waits }, i) => at('sheet', waits, `/sheet/laminate/folds/${i}/waits`)),
    ...at('sheet', sheet.waits, '/sheet/waits'),
  ];
}

export const warmMin = (stretches: readonly WarmStretch[]): number => stretches.reduce((sum, { min }) => sum + min, 0);

/** Shortens the longest of them until all together last so long; undefined where that cannot be reached. */
export function shortenedTo(stretches: readonly WarmStretch[], mostMin: number): Edit[] | undefined {
  let over = warmMin(stretches) - mostMin;
  const edits: Edit[] = [];
  for (const { path, min } of [...stretches].sort((a, b) => b.min - a.min)) {
    if (path === null || over <= 0) continue;
    const to = Math.max(0, Math.floor(min - over));
    edits.push({ path, from: min, to });
    over -= min - to;
  }
  return over > 0 ? undefined : edits;
}
