import { isCutShape } from '../sheet/plan.js';
import { bodyOfPart } from '../sheet/body.js';
import { doneNearMin } from '../facts/run.js';
import { bakeCaseOf } from './bake-case.js';
import type { Case } from '../document/case.js';
import type { DoughResult } from '../dough/dough.js';
import type { SheetResult } from '../sheet/sheet-result.js';
import type { BakeResult } from './bake-result.js';
import type { BakeCase } from './bake-case.js';

/**
 * How much sooner the tops of a pair are done than their bottoms: minutes, below 0 where they are later; null where both may lie as
 * long, for want of a difference or of an end.
 *
 * Units    min.
 * Throws   nothing.
 * Findings none.
 * Source   facts/run doneNearMin (judgement): less is within one look.
 */
export function topsSoonerMin({ second, doneMin }: Pick<BakeResult, 'second' | 'doneMin'>): number | null {
  if (!second || second.doneMin === null || doneMin === null) return null;
  const sooner = doneMin - second.doneMin;
  return Math.abs(sooner) < doneNearMin.value ? null : sooner;
}

export type SecondBaking = { readonly key: string; readonly baking: BakeCase };

/**
 * The second part of a pair as a bake of its own: tops that lie on the tray beside their bottoms, and are put on them once both are
 * baked. A ring with a window has more edge for its mass, and a thinner top is done sooner.
 *
 * Units    as bakeCaseOf.
 * Throws   as bakeCaseOf.
 * Findings none.
 * Source   the same oven and dough with the second part's thickness and rim.
 *
 * @return null where there is one part, where what lies over a filling bakes with it, and where both parts bake alike
 */
export function secondBakingOf(theCase: Case, dough: DoughResult, sheet: SheetResult): SecondBaking | null {
  const { formula, kitchen } = theCase;
  const { cut, parts } = formula.sheet;
  const [first, second] = parts;
  const plan = sheet.parts[1];
  if (!first || !second || !plan || cut === 'hot' || cut === 'cold') return null;
  if (sheet.body.form !== 'flat' || sheet.body.lidMm !== null || !isCutShape(second.shape)) return null;
  const body = bodyOfPart(formula, kitchen, dough, second, plan);
  if (body.heightMm === sheet.body.heightMm && body.acrossMm === sheet.acrossMm) return null;
  return { key: second.key, baking: bakeCaseOf(theCase, dough, { ...sheet, body, acrossMm: body.acrossMm }) };
}
