import { fatWorkBands } from '../facts/fats.js';
import { storedC } from './temperature.js';
import { solidFatPercent } from '../matter/solid-fat.js';
import type { FatState, Row } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Portion } from '../ingredient/mixture.js';
import type { SolidFatName } from '../document/pantry.js';

/** One fat as it goes in. */
export type WorkedFat = {
  readonly rowKey: string;
  readonly name: string;
  readonly amountG: number;
  readonly state: FatState;
  readonly pieceMm: number | null;
  readonly atC: number;
  /** Percent of the fat that is solid then; null where no curve is known. */ readonly solidPercent: number | null;
  /** What that way of working wants; null where it takes any. */ readonly band: readonly [low: number, high: number] | null;
  /** Temperatures at which it is so; null where no curve is known or none is reached. */ readonly bandC:
    readonly [low: number, high: number] | null;
};

/**
 * The fats of a dough as they go in: how solid each is at its temperature, and how solid its way of working wants it.
 *
 * Units    g, mm, C, percent of the fat.
 * Throws   nothing.
 * Findings none: dough-findings judges them.
 * Source   solid-fat curves and work bands of facts/fats (from memory within 5 points; bands judgement).
 */
export function workedFats(rows: readonly { readonly row: Row; readonly portion: Portion }[], kitchen: Kitchen): WorkedFat[] {
  return rows.flatMap(({ row, portion }) => {
    const { ingredient, amountG } = portion;
    if (row.use !== 'dough' || !row.fat || amountG <= 0) return [];
    const { state, pieceMm } = row.fat;
    const atC = row.atC ?? storedC(ingredient, kitchen);
    const curve = ingredient.solidFat;
    // Oil is oil however it goes in.
    const band = curve === undefined || curve === 'liquidOil' ? null : fatWorkBands.values[state];
    return [
      {
        rowKey: row.key,
        name: ingredient.name,
        amountG,
        state,
        pieceMm: state === 'pieces' ? (pieceMm ?? null) : null,
        atC,
        solidPercent: curve === undefined ? null : solidFatPercent(curve, atC),
        band,
        bandC: curve === undefined || band === null ? null : bandTemperatures(curve, band),
      },
    ];
  });
}

/**
 * Temperatures between which a fat is as solid as a way of working wants it, whole degrees.
 *
 * Units    percent in, C out: coldest and warmest.
 * Throws   nothing; null where no degree from -20 to 50 fits.
 * Findings none.
 * Source   solid-fat curves, within 5 points: whole degrees are all they carry.
 *
 * @example
 * bandTemperatures('butter', [14, 30]); // => [17, 23]
 */
export function bandTemperatures(curve: SolidFatName, [low, high]: readonly [number, number]): readonly [number, number] | null {
  const fits: number[] = [];
  for (let at = -20; at <= 50; at++) {
    const solid = solidFatPercent(curve, at);
    if (solid >= low && solid <= high) fits.push(at);
  }
  return fits.length === 0 ? null : [fits[0]!, fits[fits.length - 1]!];
}
