import { learnedOf } from '../document/kitchen.js';
import { isEgg, isGum, isSalt, isStarch } from '../ingredient/roles.js';
import { handWords, spoonWaterG } from '../facts/dough.js';
import { feelDosing } from '../facts/run.js';
import { learnedThirst } from '../learn/thirst.js';
import { handWordOrder, type HandWord } from '../document/bake.js';
import type { Formula } from '../document/formula.js';
import type { Pantry } from '../document/pantry.js';
import type { DoughResult } from '../dough/dough.js';
import type { Case } from '../document/case.js';

export type Dose = { readonly name: string; readonly amountG: number };
/** What to add after a hand's word; null: leave it as it is. */
export type FeelAnswer = {
  readonly adds: 'water' | 'blend';
  /** What is thought to be missing in all, and how sure (one sd). */ readonly totalG: number;
  readonly sdG: number;
  /** First dose: then feel again. The second is what is left; after it, stop. */ readonly doseG: number;
  readonly spoons: number | null;
  readonly spoonsHeld: number;
  /** Beside blend: salt and the gums that stand outside it, in step with it. */ readonly withIt: readonly Dose[];
  /** Instead of blend: starch alone, and what it thins. */ readonly orStarch: readonly Dose[];
  /** Which dose this is: 1 or 2. */ readonly dose: 1 | 2;
  /** If this dose makes it right, the blend drinks so many times the record. */ readonly impliedThirst: number;
} | null;

/**
 * A hand's word as grams: so many spoons of water, or so much blend with the salt and gum it thins, in two doses.
 *
 * The word moves what is believed of this blend's thirst; the dose closes half of the gap that belief leaves, then all of it, then
 * nothing more: from the third word on the answer is to leave it.
 *
 * Units    g.
 * Throws   nothing.
 * Findings none.
 * Source   learnedThirst; facts/run feelDosing (judgement).
 *
 * @param inG what went into the bowl: water of pours and what rows brought (getsG) as it stands now
 * @param before words said before this one, dry and wet
 */
export function feelAnswer(
  word: HandWord,
  dough: DoughResult,
  inG: { readonly getsG: number; readonly heldG: number; readonly dosesGiven: number },
  { formula, kitchen, pantry }: Omit<Case, 'family'>,
): FeelAnswer {
  if (dough.rightHandWords.includes(word) || inG.dosesGiven >= 2) return null;
  const learned = learnedOf(kitchen, 'thirstFactor', formula.blend.name)?.value ?? 1;
  const drinks = dough.wants.flourG + dough.wants.starchG;
  // The record's own thirst is in `wants` already: what the word says is on top of it.
  // Off on the side that it lies of what is right for this dough: a drop dough that leaves the palm clean is too dry.
  const band = bandFrom(word, dough.rightHandWords);
  const said = learnedThirst([{ getsOverWants: inG.getsG / dough.wantsG, word: band }]);
  const value = outsideBand(band, inG.getsG / dough.wantsG, said.value);
  const wantsG = dough.wantsG + drinks * (value - 1);
  const sdG = drinks * said.sd;
  const { aimRatio, firstShare, leastG, spoonStep } = feelDosing.values;
  const dose = inG.dosesGiven === 0 ? 1 : 2;
  const part = dose === 1 ? firstShare : 1;
  const spoonsHeld = Math.max(0, Math.round((inG.heldG / spoonWaterG.value) * 2) / 2);
  if (band === 'sandy' || band === 'cracks') {
    // So much of the liquid as brings that water: milk is not all water.
    const { waterShare } = dough.pours ?? { waterShare: 1 };
    const totalG = Math.max(leastG, (wantsG * aimRatio - inG.getsG) / waterShare);
    const spoons = Math.max(spoonStep, Math.round((totalG * part) / spoonWaterG.value / spoonStep) * spoonStep);
    const doseG = spoons * spoonWaterG.value;
    const impliedThirst = (learned * (inG.getsG + doseG * waterShare)) / aimRatio / dough.wantsG;
    return { adds: 'water', totalG, sdG: sdG / waterShare, doseG, spoons, spoonsHeld, withIt: [], orStarch: [], dose, impliedThirst };
  }
  // Each gram of blend wants its share of water: enough is added for the water that is in.
  const perG = drinks * value > 0 ? wantsG / formula.blendG : 1;
  const totalG = Math.max(leastG, (inG.getsG / aimRatio - wantsG) / perG);
  const doseG = Math.max(leastG, totalG * part);
  // What no scale here shows is not asked for.
  const shown = (doses: readonly Dose[]) => doses.filter(({ amountG }) => amountG >= kitchen.scaleStepG / 2);
  const along = (amountG: number) => shown(besides(formula, pantry, amountG));
  const starch = mainStarch(formula, pantry);
  const impliedThirst = (learned * inG.getsG) / aimRatio / (dough.wantsG * (1 + doseG / formula.blendG));
  return {
    adds: 'blend',
    totalG,
    sdG: sdG / perG,
    doseG,
    spoons: null,
    spoonsHeld,
    withIt: along(doseG),
    orStarch: starch ? [{ name: starch, amountG: doseG }, ...shown(gumsOf(formula, pantry, doseG)), ...along(doseG)] : [],
    dose,
    impliedThirst,
  };
}

/** A word as a rolled dough would say it, by how far it is from the words that are right here. */
function bandFrom(word: HandWord, right: readonly HandWord[]): HandWord {
  const at = (one: HandWord) => handWordOrder.indexOf(one);
  const [driest, wettest] = [Math.min(...right.map(at)), Math.max(...right.map(at))];
  const clean = at('rollsClean');
  const off = at(word) < driest ? at(word) - driest : at(word) > wettest ? at(word) - wettest : 0;
  return handWordOrder[Math.min(handWordOrder.length - 1, Math.max(0, clean + off))]!;
}

/** A word names a band: belief that the dough already lies outside it is no answer to the hand. */
function outsideBand(word: HandWord, ratio: number, thirst: number): number {
  const { sandy, cracks, rollsClean, tacky } = handWords.values;
  if (word === 'sandy') return Math.max(thirst, ratio / sandy);
  if (word === 'cracks') return Math.max(thirst, ratio / cracks);
  return Math.min(thirst, ratio / (word === 'tacky' ? rollsClean : tacky));
}

/** Salt, and gums that stand outside the blend, for more of the blend. */
function besides(formula: Formula, pantry: Pantry, blendG: number): Dose[] {
  return formula.rows.flatMap((row) => {
    const one = pantry.ingredients[row.ingredientId];
    if (!one || row.use !== 'dough' || isEgg(one) || !(isSalt(one) || isGum(one))) return [];
    return [{ name: one.name, amountG: (row.amountG / formula.blendG) * blendG }];
  });
}

/** Gums inside the blend, which starch alone would thin. */
function gumsOf(formula: Formula, pantry: Pantry, blendG: number): Dose[] {
  return formula.blend.rows.flatMap(({ ingredientId, share }) => {
    const one = pantry.ingredients[ingredientId];
    return one && isGum(one) ? [{ name: one.name, amountG: share * blendG }] : [];
  });
}

function mainStarch(formula: Formula, pantry: Pantry): string | null {
  const starches = formula.blend.rows.filter(({ ingredientId }) => {
    const one = pantry.ingredients[ingredientId];
    return one !== undefined && isStarch(one);
  });
  if (starches.length === 0) return null;
  const { ingredientId } = starches.reduce((most, row) => (row.share > most.share ? row : most));
  return pantry.ingredients[ingredientId]!.name;
}
