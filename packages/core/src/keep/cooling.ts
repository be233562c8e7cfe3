import { exposureAt, placeOf, tableOf } from '../chill/exposure.js';
import { within } from '../errors.js';
import { coolingLimits, packBelowC } from '../facts/keeping.js';
import { BakeMarch } from '../bake/slab/march.js';
import { outOfOven } from '../bake/slab/problem.js';
import { firstReach, onCurve } from '../math/interpolate.js';
import { vapourPressurePa } from '../matter/thermal.js';
import type { BakeProblem } from '../bake/slab/problem.js';
import type { Wait } from '../document/formula.js';
import type { Kitchen, Place } from '../document/kitchen.js';

/** In place of a place: left on the tray it was baked on, which goes on baking it. */
export const HOT_TRAY = 'hot-tray';

export type Cooled = {
  /** All waits, min. */ readonly coolMin: number;
  readonly packedAtC: number;
  /** Hottest its middle gets after it left the oven. */ readonly peakMiddleC: number;
  /** kg water per kg dry once cooled. */ readonly moistureX: number;
  /** From the oven until it may be packed, in these places and on in the last one; null when not within four hours more. */
  readonly packableMin: number | null;
  readonly curve: { readonly min: readonly number[]; readonly middleC: readonly number[] };
};

const LONGER_MIN = 240;

/**
 * A baked piece through the waits after the oven: it goes on drying, and on its tray it goes on baking for a while.
 *
 * Units    min from the oven, C.
 * Throws   InputError at keep.cool[i].placeId for a place the kitchen does not have, .min out of 0..4320.
 * Findings none.
 * Source   the bake's own equations with the air of each place; heat transfer facts/cold.
 */
export function coolPiece(
  { problem, bakedMin }: { readonly problem: BakeProblem; readonly bakedMin: number },
  waits: readonly Wait[],
  kitchen: Kitchen,
  wholeWay = false,
): Cooled {
  const outside = waits.map((wait, i) => {
    const min = within(`keep.cool[${i}].min`, wait.min, 0, 4320, 'min');
    const onTray = wait.placeId === HOT_TRAY;
    const place = onTray ? tableOf(kitchen) : placeOf(`keep.cool[${i}].placeId`, wait.placeId, kitchen);
    const { topC, topWPerM2K } = exposureAt(place, min, 'none');
    const airVapour = kitchen.humidityShare * vapourPressurePa(kitchen.roomC);
    // Radiation is in the place's own coefficient; the slab adds it by its own law, so it is taken off here.
    const convection = Math.max(3, topWPerM2K - RADIATION_W);
    return outOfOven(min, {
      airC: topC,
      vapourPa: Math.min(airVapour, vapourPressurePa(topC)),
      convection,
      lifted: !onTray && place.kind !== 'marble',
    });
  });
  if (outside.length === 0) outside.push(outOfOven(0.5));
  const coolMin = waits.reduce((sum, { min }) => sum + min, 0);
  const last = outside.length - 1;
  const settings = [
    ...problem.settings,
    ...outside.map((setting, i) => (i === last ? { ...setting, seconds: setting.seconds + LONGER_MIN * 60 } : setting)),
  ].filter(({ seconds }) => seconds > 0);
  const cool = packBelowC.value;
  const { trajectory } = new BakeMarch(24).run(
    { ...problem, settings },
    { enough: ({ min, middleC }) => min[min.length - 1]! >= bakedMin + coolMin && (wholeWay || middleC[min.length - 1]! <= cool) },
  );
  const out = Math.max(
    0,
    trajectory.min.findIndex((min) => min >= bakedMin - 1e-9),
  );
  const min = trajectory.min.slice(out).map((at) => at - bakedMin);
  const middleC = trajectory.middleC.slice(out);
  const reach = firstReach(min, middleC, cool, 'falling');
  return {
    coolMin,
    packedAtC: onCurve(min, middleC, coolMin),
    peakMiddleC: Math.max(...middleC),
    moistureX: onCurve(min, trajectory.moistureX.slice(out), coolMin),
    packableMin: Number.isFinite(reach) ? reach : null,
    curve: { min, middleC },
  };
}

/** Radiation between a piece and a room near room temperature, W/m2 K. */
const RADIATION_W = 4.5;

export type ColdCooling = {
  /** Minutes from 57 C through 21 C, and to 5 C; null: not in a day. */ readonly through21Min: number | null;
  readonly to5Min: number | null;
};
const DAY_MIN = 1440;
/** A fridge never quite reaches its own temperature: this near counts. */
const NEAR_K = 0.7;

/**
 * A baked piece through the waits after the oven and into the place where it is kept: how long its middle is warm.
 *
 * Units    min, C.
 * Throws   InputError as coolPiece does.
 * Findings none: keep judges.
 * Source   coolPiece; limits facts/keeping coolingLimits.
 */
export function coolToCold(
  { problem, bakedMin }: { readonly problem: BakeProblem; readonly bakedMin: number },
  waits: readonly Wait[],
  keptAt: Place | null,
  kitchen: Kitchen,
): ColdCooling {
  const kept = keptAt ? [...waits, { placeId: keptAt.id, min: DAY_MIN }] : waits;
  const { curve } = coolPiece({ problem, bakedMin }, kept, kitchen, true);
  const { fromC, throughC, toC } = coolingLimits.values;
  const end = keptAt && keptAt.atC <= toC ? Math.max(toC, keptAt.atC + NEAR_K) : toC;
  const at = (c: number) => (curve.middleC[0]! <= c ? 0 : firstReach(curve.min, curve.middleC, c, 'falling'));
  const from = at(fromC);
  const since = (c: number) => (Number.isFinite(at(c)) ? Math.max(0, at(c) - from) : null);
  return { through21Min: since(throughC), to5Min: since(end) };
}
