import { monthsBetween } from '../units/days.js';
import { reportMonths } from '../facts/gluten.js';
import { lotsInUse } from './mixture.js';
import { leavesOf } from './parts.js';
import type { Edit } from '../document/edits.js';
import type { Ingredient, Lot, Pantry } from '../document/pantry.js';
import type { Finding, StageName } from '../findings/finding.js';
import type { Portion } from './mixture.js';

/**
 * What is known of a lot's gluten: `proven` by a report under the limit, `old` proven by one past its time, `over` the limit,
 * `noReport` where a report is needed, `noGrain` where none is in it and nobody asked for one, `accepted` where the kitchen
 * took that on record, `contains` by nature.
 */
export type GlutenProof = 'proven' | 'old' | 'over' | 'noReport' | 'noGrain' | 'accepted' | 'contains';

/**
 * Proof of gluten of one lot, or of an ingredient with no lot at all.
 *
 * "No grain in it" is a belief, not a proof: it has a word of its own.
 *
 * Units    mg/kg; `on` is the day it is asked, 2026-11-25.
 * Throws   nothing.
 * Findings none.
 * Source   Codex CXS 118-1979 (20 mg/kg) unless the kitchen is stricter; age of a report is judgement (facts/gluten).
 */
export function glutenProof(ingredient: Ingredient, lot: Lot | undefined, limitMgPerKg: number, on: string | undefined): GlutenProof {
  if (ingredient.gluten === 'contains') return 'contains';
  if (lot?.report) {
    if (lot.report.mgPerKg > limitMgPerKg) return 'over';
    return on !== undefined && monthsBetween(lot.report.on, on) > reportMonths.value ? 'old' : 'proven';
  }
  if (ingredient.gluten === 'needsProof') return 'noReport';
  return lot?.acceptedWithoutReport === undefined ? 'noGrain' : 'accepted';
}

/**
 * Proof of gluten for every portion, from the lots really chosen; a preparation is judged by what went into it.
 *
 * Where another lot of the same ingredient is proven, the finding offers it; one finding for those and one for the rest, so
 * that taking the offer ends the finding it came with.
 *
 * Units    mg/kg against the kitchen's own limit.
 * Throws   nothing.
 * Findings gluten.contains, gluten.overLimit, gluten.notProven: all unsafe; gluten.reportOld: watch.
 * Source   glutenProof; at-risk classes from a published survey (ingredient table).
 */
export function glutenFindings(portions: readonly Portion[], limitMgPerKg: number, pantry: Pantry, stage: StageName): Finding[] {
  const used = portions.filter(({ amountG }) => amountG > 0).flatMap((portion) => leavesOf(pantry, portion));
  const of = (proof: GlutenProof) => used.filter(({ ingredient, lot }) => glutenProof(ingredient, lot, limitMgPerKg, pantry.on) === proof);
  const over = of('over');
  const most = Math.max(0, ...over.map(({ lot }) => lot!.report!.mgPerKg));
  const offer = (portion: Portion) => editsToProvenLot(portion, limitMgPerKg, pantry);
  const split = (code: GlutenCode, which: readonly Portion[], value: number, high: number) => [
    ...found(
      code,
      which.filter((portion) => offer(portion).length > 0),
      stage,
      value,
      high,
      offer,
    ),
    ...found(
      code,
      which.filter((portion) => offer(portion).length === 0),
      stage,
      value,
      high,
    ),
  ];
  return [
    ...found('gluten.contains', of('contains'), stage, 0, limitMgPerKg),
    ...split('gluten.overLimit', over, most, limitMgPerKg),
    ...split('gluten.notProven', of('noReport'), of('noReport').length, 0),
    ...split('gluten.reportOld', of('old'), reportMonths.value, reportMonths.value),
  ];
}

type GlutenCode = 'gluten.contains' | 'gluten.overLimit' | 'gluten.notProven' | 'gluten.reportOld';

/** The edits that take another lot of the same ingredient, one whose report is under the limit and in time; none where there is none. */
function editsToProvenLot(portion: Portion, limitMgPerKg: number, pantry: Pantry): Edit[] {
  // What is inside a preparation is mended where the preparation is.
  if (portion.row === undefined) return [];
  const { at, lotId } = portion.row;
  const better = lotsInUse(pantry, portion.ingredient.id).find(
    (lot) => lot.id !== portion.lot?.id && glutenProof(portion.ingredient, lot, limitMgPerKg, pantry.on) === 'proven',
  );
  if (!better) return [];
  return [{ path: `${at}/lotId`, ...(lotId === undefined ? {} : { from: lotId }), to: better.id }];
}

function found(
  code: GlutenCode,
  which: readonly Portion[],
  stage: StageName,
  value: number,
  high: number,
  offer?: (portion: Portion) => Edit[],
): Finding[] {
  if (which.length === 0) return [];
  const names = [...new Set(which.map(({ ingredient, lot }) => (lot ? `${ingredient.name}, lot ${lot.code}` : ingredient.name)))];
  const edits = offer ? [...new Map(which.flatMap(offer).map((edit) => [edit.path, edit])).values()] : [];
  return [
    {
      code,
      level: code === 'gluten.reportOld' ? 'watch' : 'fix',
      ...(code === 'gluten.reportOld' ? {} : { unsafe: true as const }),
      stage,
      measured: { path: `${stage}.gluten`, value, high, of: names.join('; ') },
      ...(edits.length > 0 ? { change: { of: 'formula' as const, edits } } : {}),
    },
  ];
}
