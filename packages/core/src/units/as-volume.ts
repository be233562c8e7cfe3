import { massOfVolume, type VolumeUnit } from './volume.js';

/** A weight as cups or spoons give it back: as near as a set of measures comes. */
export type AsVolume = {
  readonly count: number;
  readonly unit: VolumeUnit;
  /** As it is written: `1⅓`. */ readonly written: string;
  /** What that many measures weigh by the table, over the weight asked for, minus 1. */ readonly offShare: number;
};

/** Parts of a cup and of a spoon that measures are made for. */
const PARTS: Readonly<Record<VolumeUnit, readonly (readonly [part: number, written: string])[]>> = {
  cup: [[0, ''], [1 / 4, '¼'], [1 / 3, '⅓'], [1 / 2, '½'], [2 / 3, '⅔'], [3 / 4, '¾']], // prettier-ignore
  tablespoon: [[0, ''], [1 / 2, '½']], // prettier-ignore
  teaspoon: [[0, ''], [1 / 8, '⅛'], [1 / 4, '¼'], [1 / 2, '½'], [3 / 4, '¾']], // prettier-ignore
};
/** From this many on, the next larger measure is taken. */
const FROM: readonly (readonly [VolumeUnit, least: number])[] = [
  ['cup', 1 / 4],
  ['tablespoon', 1],
  ['teaspoon', 1 / 8],
];

/**
 * A weight given back in US cups, spooned and levelled, or in level spoons: the nearest that measures are made for. For reading beside the
 * grams; the grams rule.
 *
 * Units    g and g/ml.
 * Throws   nothing; what is less than an eighth of a teaspoon, or of unknown density, is null.
 * Findings none.
 * Source   as massOfVolume; the parts of a set of cups and spoons are common practice.
 *
 * @example
 * asVolume(161, { spoonedGPerMl: 0.5114 }); // => { count: 1.333, unit: 'cup', written: '1⅓', offShare: 0.002 }
 */
export function asVolume(
  massG: number,
  { spoonedGPerMl, teaspoonG }: { readonly spoonedGPerMl?: number | null | undefined; readonly teaspoonG?: number | undefined },
): AsVolume | null {
  if (!spoonedGPerMl || !(massG > 0)) return null;
  const oneG = (unit: VolumeUnit) => massOfVolume({ unit, count: 1, filling: 'spooned', spoonedGPerMl, teaspoonG }).massG;
  for (const [unit, least] of FROM) {
    const wanted = massG / oneG(unit);
    // A little under the least is still the least: 3 ¾ tablespoons are a quarter of a cup.
    if (wanted < least * 0.94) continue;
    const { count, written } = nearest(wanted, unit);
    return { count, unit, written, offShare: count / wanted - 1 };
  }
  return null;
}

function nearest(wanted: number, unit: VolumeUnit): { readonly count: number; readonly written: string } {
  const whole = Math.floor(wanted);
  const all = [whole, whole + 1].flatMap((n) => PARTS[unit].map(([part, written]) => ({ count: n + part, written: `${n === 0 && written ? '' : n}${written}` }))); // prettier-ignore
  return all.filter(({ count }) => count > 0).reduce((best, one) => (Math.abs(one.count - wanted) < Math.abs(best.count - wanted) ? one : best)); // prettier-ignore
}
