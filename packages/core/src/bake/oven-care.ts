import { ovenCareDays, ovenSideLimit } from '../facts/oven.js';
import { daysBetween } from '../units/days.js';
import { heatFactorOf } from './bake-case.js';
import { ovenSpreadC } from './oven.js';
import type { HotSpot, Kitchen, Oven } from '../document/kitchen.js';

/** How well an oven is known, and what to measure next. */
export type OvenCare = {
  readonly state: 'never' | 'due' | 'measured';
  /** Days since the newest reading; null without one. */ readonly daysSince: number | null;
  readonly readings: number;
  /** How far its air may stray from what is wanted, one sd. */ readonly spreadC: number;
  /** Mean of true minus dial; null without readings. */ readonly offsetC: number | null;
  /** Warmest place of a shelf over its coolest, K; null without a map. */ readonly unevenC: number | null;
  readonly hottest: HotSpot | null;
  readonly turnTrays: boolean;
  readonly heat: { readonly value: number; readonly sd: number } | null;
  readonly next: 'measure' | 'secondSetting' | 'hotSpots' | 'weigh' | null;
};

/**
 * How sure an oven is, and what one thermometer or one scale would tell next.
 *
 * Units    C, K, days; `on` is the day, YYYY-MM-DD.
 * Throws   nothing.
 * Findings none.
 * Source   the kitchen's own readings; what is due and uneven: facts/oven (judgement).
 *
 * @example
 * ovenCare(demoKitchen.ovens[0], demoKitchen, '2026-03-01').state; // => 'measured'
 */
export function ovenCare(oven: Oven, kitchen: Kitchen, on: string): OvenCare {
  const { readings, hotSpots = [] } = oven;
  const newest = readings.reduce<string | null>((last, { at }) => (last === null || at > last ? at : last), null);
  const daysSince = newest === null ? null : Math.max(0, daysBetween(newest.slice(0, 10), on));
  const warmest = hotSpots.reduce<HotSpot | null>((most, spot) => (most === null || spot.aboveC > most.aboveC ? spot : most), null);
  const shelf = hotSpots.filter(({ shelf }) => shelf === warmest?.shelf).map(({ aboveC }) => aboveC);
  const unevenC = shelf.length > 1 ? Math.max(...shelf) - Math.min(...shelf) : null;
  const heat = heatFactorOf(kitchen, oven);
  const state = daysSince === null ? 'never' : daysSince > ovenCareDays.value ? 'due' : 'measured';
  return {
    state,
    daysSince,
    readings: readings.length,
    spreadC: ovenSpreadC(oven),
    offsetC: readings.length === 0 ? null : readings.reduce((sum, { dialC, trueC }) => sum + trueC - dialC, 0) / readings.length,
    unevenC,
    hottest: warmest,
    turnTrays: unevenC !== null && unevenC >= ovenSideLimit.value,
    heat: heat === null ? null : { value: heat.value, sd: heat.sd },
    next:
      state !== 'measured'
        ? 'measure'
        : readings.length < 2
          ? 'secondSetting'
          : unevenC === null
            ? 'hotSpots'
            : heat === null
              ? 'weigh'
              : null,
  };
}
