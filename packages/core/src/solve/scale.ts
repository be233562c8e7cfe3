import { InputError, within } from '../errors.js';
import { leafAmounts } from '../ingredient/parts.js';
import { isEgg, isLeavener } from '../ingredient/roles.js';
import { portionOf, lotsInUse } from '../ingredient/mixture.js';
import { panToPan } from '../pan/pan.js';
import { isPanShape, piecesFromMass } from '../sheet/plan.js';
import type { Formula, Row } from '../document/formula.js';
import type { Component } from '../document/preparation.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Pantry } from '../document/pantry.js';

/** No batch is a thousandth or a thousand of another: a slip of the hand is. */
const MOST_FACTOR = 1000;
/** Past this factor a leavener is better cut by a tenth: common practice, no source. */
const LEAVENER_FACTOR = 4;

/**
 * A formula made larger or smaller: every gram times the factor, its filling times its own, nothing else.
 *
 * Units    g.
 * Throws   InputError at factor unless both are above 1/1000 and at most 1000.
 * Findings none; scaleCautions says what a person should know.
 * Source   arithmetic. Thickness, chill and oven are of the piece, not of the batch.
 *
 * @example
 * scaled(demoCrackerV2, 2).blendG / demoCrackerV2.blendG; // => 2
 */
export function scaled(formula: Formula, factor: number, fillingFactor = factor): Formula {
  for (const one of [factor, fillingFactor]) {
    if (!(one >= 1 / MOST_FACTOR && one <= MOST_FACTOR)) throw new InputError('factor', `must be from 0.001 to ${MOST_FACTOR}, got ${one}`);
  }
  return {
    ...formula,
    blendG: formula.blendG * factor,
    // What was typed spoke of the batch as it was.
    rows: formula.rows.map(({ entered: _entered, ...row }) => ({ ...row, amountG: row.amountG * timesOf(row) })),
    ...(formula.components ? { components: formula.components.map(larger) } : {}),
  };

  function timesOf({ use }: Pick<Row, 'use'>): number {
    return use === 'filling' ? fillingFactor : factor;
  }
  function larger(component: Component): Component {
    const row = formula.rows.find((one) => one.component === component.key);
    const times = row ? timesOf(row) : factor;
    return { ...component, boiledOffG: component.boiledOffG * times, drainedG: component.drainedG * times };
  }
}

/**
 * The least factor that gives a number of pieces, scraps and trim counted.
 *
 * Units    pieces; massG is dough and dust of the formula as it stands.
 * Throws   InputError at pieces unless a whole number from 1 to 100000, or where no piece comes out of any dough.
 * Findings none.
 * Source   the sheet's own counting: pieces do not grow evenly with the dough.
 *
 * @example
 * factorForPieces(demoCrackerV2, demoKitchen, 400, 134); // => about 1.9726
 */
export function factorForPieces(formula: Formula, kitchen: Pick<Kitchen, 'pans' | 'mat'>, massG: number, pieces: number): number {
  if (!Number.isInteger(pieces) || pieces < 1 || pieces > 100000)
    throw new InputError('pieces', `must be a whole number from 1 to 100000, got ${pieces}`);
  const now = piecesFromMass(formula, kitchen, massG);
  const enough = (factor: number) => piecesFromMass(formula, kitchen, massG * factor) >= pieces;
  let high = now > 0 ? pieces / now : 1;
  for (let tries = 0; !enough(high); tries++) {
    if (tries > 60) throw new InputError('pieces', 'cannot be reached: the piece is larger than its sheet can be');
    high *= 1.15;
  }
  let low = high / 4;
  for (let step = 0; step < 40; step++) {
    const middle = (low + high) / 2;
    if (enough(middle)) high = middle;
    else low = middle;
  }
  // A hair more: a sum of many scaled grams may end a last digit short.
  return high * (1 + 1e-6);
}

/**
 * The factor from one round pan to another, bottom and wall lined at the same thickness.
 *
 * Units    mm across, mm of wall.
 * Throws   InputError at pan.fromMm or pan.toMm out of 20..600, pan.wallMm out of 0..150.
 * Findings none.
 * Source   area of a disc and its wall: pi d^2/4 + pi d h.
 *
 * @example
 * factorForPan(230, 180, 0); // => 0.612
 */
export function factorForPan(fromMm: number, toMm: number, wallMm: number): number {
  within('pan.fromMm', fromMm, 20, 600, 'mm');
  within('pan.toMm', toMm, 20, 600, 'mm');
  within('pan.wallMm', wallMm, 0, 150, 'mm');
  const area = (acrossMm: number) => Math.PI * acrossMm * (acrossMm / 4 + wallMm);
  return area(toMm) / area(fromMm);
}

/**
 * From the pan of a formula to another of the same kitchen, for as many pieces: crust by what its parts take there, rim, overhang and
 * trim counted; filling by what the pan holds.
 *
 * Units    factors; massG is dough and dust of the formula as it stands.
 * Throws   InputError at bake.panId where the formula stands in no pan, at pan for one that is not there; as factorForPieces.
 * Findings none.
 * Source   planSheet; what is not cut for a pan goes by lined area (panToPan). Minutes in the oven are worked out anew.
 */
export function factorsToPan(
  formula: Formula,
  kitchen: Pick<Kitchen, 'pans' | 'mat'>,
  massG: number,
  toId: string,
): { readonly crust: number; readonly filling: number } {
  const pan = (id: string | undefined) => kitchen.pans?.find((one) => one.id === id);
  const [from, to] = [pan(formula.bake.panId), pan(toId)];
  if (!from) throw new InputError('bake.panId', 'this formula stands in no pan yet');
  if (!to) throw new InputError('pan', 'is not a pan of this kitchen');
  const { crust, filling } = panToPan(from, to);
  const perCup = (to.cups ?? 1) / (from.cups ?? 1);
  if (!formula.sheet.parts.every(({ shape }) => isPanShape(shape))) return { crust, filling };
  const pieces = Math.max(1, piecesFromMass(formula, kitchen, massG));
  const there = { ...formula, bake: { ...formula.bake, panId: toId } };
  return { crust: factorForPieces(there, kitchen, massG, pieces), filling: filling / perCup };
}

/**
 * How much of a batch the counted lots allow, and what ends first; null where nothing that is used is counted.
 *
 * Units    times the batch.
 * Throws   InputError as `leafAmounts`.
 * Findings none.
 * Source   none.
 */
export function factorForShelf(formula: Formula, pantry: Pantry): { readonly factor: number; readonly endsFirst: string } | null {
  const wanted = leafAmounts(pantry, [
    ...formula.blend.rows.map(({ ingredientId, share, lotId }) =>
      portionOf(pantry, 'blend.rows', ingredientId, share * formula.blendG, lotId),
    ),
    ...formula.rows.map(({ ingredientId, amountG, lotId }) => portionOf(pantry, 'rows', ingredientId, amountG, lotId)),
  ]);
  const limits = [...wanted].flatMap(([id, amountG]) => {
    const lots = lotsInUse(pantry, id);
    if (amountG <= 0 || lots.length === 0 || lots.some(({ onHandG }) => onHandG === undefined)) return [];
    return [{ factor: lots.reduce((sum, { onHandG }) => sum + onHandG!, 0) / amountG, endsFirst: pantry.ingredients[id]!.name }];
  });
  return limits.length === 0 ? null : limits.reduce((least, one) => (one.factor < least.factor ? one : least));
}

export type ScaleCaution =
  | { readonly kind: 'tooFine'; readonly name: string; readonly amountG: number }
  | { readonly kind: 'egg'; readonly name: string; readonly amountG: number; readonly pieces: number }
  | { readonly kind: 'leavener'; readonly name: string; readonly amountG: number };

/**
 * What a person should know of a scaled batch: what the scale cannot weigh, eggs in parts, much leavener.
 *
 * Units    g; pieces of egg.
 * Throws   nothing.
 * Findings none.
 * Source   under five steps of a scale a reading is more than a tenth out (arithmetic); egg sizes and the tenth less leavener past
 *          four times: common practice, no source.
 */
export function scaleCautions(scaledFormula: Formula, factor: number, scaleStepG: number, pantry: Pantry): ScaleCaution[] {
  const rows = [
    ...scaledFormula.blend.rows.map(({ ingredientId, share }) => ({ ingredientId, amountG: share * scaledFormula.blendG })),
    ...scaledFormula.rows,
  ];
  return rows.flatMap(({ ingredientId, amountG }): ScaleCaution[] => {
    const one = pantry.ingredients[ingredientId];
    if (!one || amountG <= 0) return [];
    const { name } = one;
    const pieces = isEgg(one) && one.pieceG !== undefined ? amountG / one.pieceG : null;
    return [
      ...(amountG < 5 * scaleStepG ? [{ kind: 'tooFine' as const, name, amountG }] : []),
      ...(pieces !== null && Math.abs(pieces - Math.round(pieces)) > 0.05 ? [{ kind: 'egg' as const, name, amountG, pieces }] : []),
      ...(isLeavener(one) && factor > LEAVENER_FACTOR ? [{ kind: 'leavener' as const, name, amountG }] : []),
    ];
  });
}
