import type { Finding, StageName } from '../findings/finding.js';
import type { Portion } from './mixture.js';

/**
 * Proof of gluten for every portion, from the lots really chosen.
 *
 * Units    mg/kg against the kitchen's own limit.
 * Throws   nothing.
 * Findings gluten.contains, gluten.overLimit, gluten.notProven: all unsafe. One each, naming the first ingredients.
 * Source   Codex CXS 118-1979 (20 mg/kg) unless the kitchen is stricter; at-risk classes from a published survey (ingredient table).
 */
export function glutenFindings(portions: readonly Portion[], limitMgPerKg: number, stage: StageName): Finding[] {
  const used = portions.filter(({ amountG }) => amountG > 0);
  const contains = used.filter(({ ingredient }) => ingredient.gluten === 'contains');
  const over = used.filter(({ lot }) => lot?.report !== undefined && lot.report.mgPerKg > limitMgPerKg);
  const unproven = used.filter(({ ingredient, lot }) => ingredient.gluten === 'needsProof' && lot?.report === undefined);
  return [
    ...found('gluten.contains', contains, stage, 0, limitMgPerKg),
    ...found('gluten.overLimit', over, stage, Math.max(0, ...over.map(({ lot }) => lot!.report!.mgPerKg)), limitMgPerKg),
    ...found('gluten.notProven', unproven, stage, unproven.length, 0),
  ];
}

function found(
  code: 'gluten.contains' | 'gluten.overLimit' | 'gluten.notProven',
  which: readonly Portion[],
  stage: StageName,
  value: number,
  high: number,
): Finding[] {
  if (which.length === 0) return [];
  const names = [...new Set(which.map(({ ingredient, lot }) => (lot ? `${ingredient.name}, lot ${lot.code}` : ingredient.name)))];
  return [{ code, level: 'fix', unsafe: true, stage, measured: { path: `${stage}.gluten`, value, high, of: names.join('; ') } }];
}
