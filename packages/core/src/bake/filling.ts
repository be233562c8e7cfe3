import { dishHeadroomMm, fillingDensity, fillingSets, fruitBubblesC, holds } from '../facts/filling.js';
import { juiceOf } from '../dough/piece/filling-mix.js';
import { panOf } from '../pan/pan.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { DoughResult } from '../dough/dough.js';
import type { FillingMix } from '../dough/piece/filling-mix.js';
import type { SheetResult } from '../sheet/sheet.js';

/** A filling in its piece: how high it stands, and what its juice does. Grams are for one piece. */
export type FillingInPiece = {
  readonly massG: number;
  readonly heightMm: number;
  readonly areaMm2: number;
  /** Depth that is left for it in its pan; null: no pan holds it. */ readonly roomMm: number | null;
  /** More than its pan holds. */ readonly overG: number;
  /** What fruit gives to heat, sugar and salt. */ readonly juiceG: number;
  /** What of it has run after half an hour with its sugar, before the oven. */ readonly stoodG: number;
  /** What starch, flour, gum and egg in it hold. */ readonly heldG: number;
  readonly juicy: boolean;
  /** Dough lies over it and browns; else it is open. */ readonly lidded: boolean;
  /** Its middle when it is set, or hot through where it only has to be warmed, C. null: sweet and dry, it asks for nothing. */ readonly setsC:
    number | null;
  /** Middle of a fruit filling that is seen to be done, C: it bubbles. null: not of fruit, or set by egg. */ readonly bubblesC:
    number | null;
};

/** Fruit stands with its sugar about so long before it is filled: common practice, no source. */
export const STOOD_MIN = 30;

/**
 * The filling that bakes, as it lies on or in one piece.
 *
 * Units    g a piece, mm, mm2, C.
 * Throws   InputError at bake.panId.
 * Findings none; bake-findings judge what weeps and runs over.
 * Source   facts/filling: common practice and judgement.
 */
export function fillingInPiece(formula: Formula, kitchen: Kitchen, dough: DoughResult, sheet: SheetResult): FillingInPiece | null {
  const pan = panOf(kitchen, formula.bake.panId);
  const mix = dough.filling.baked;
  if (!mix || sheet.pieces === 0) return null;
  const massG = mix.massG / sheet.pieces;
  const areaMm2 = sheet.body.filledMm2;
  const heightMm = (massG / fillingDensity.value / areaMm2) * 1000;
  const roomMm = pan ? Math.max(0, pan.depthMm - sheet.thicknessMm - dishHeadroomMm.value) : null;
  const overG = roomMm === null ? 0 : Math.max(0, heightMm - roomMm) * areaMm2 * 1e-3 * fillingDensity.value;
  return {
    massG,
    heightMm,
    areaMm2,
    roomMm,
    overG,
    juiceG: juiceOf(mix, Infinity) / sheet.pieces,
    stoodG: juiceOf(mix, STOOD_MIN) / sheet.pieces,
    heldG: heldOf(mix) / sheet.pieces,
    lidded: sheet.body.lidMm !== null,
    juicy: mix.fruitWaterG > 0.3 * mix.massG,
    setsC: setsOf(mix, sheet.body.lidMm !== null),
    bubblesC: mix.unsetEggG === 0 && mix.fruitWaterG > 0 ? fruitBubblesC.value : null,
  };
}

const heldOf = ({ starchG, flourG, gumG, eggG }: FillingMix): number => {
  const { starch, flour, gum, egg } = holds.values;
  return starch * starchG + flour * flourG + gum * gumG + egg * eggG;
};

/** What ends the wait for a filling: raw egg sets, fruit bubbles under its lid, what is moist gets hot through. */
function setsOf({ unsetEggG, fruitWaterG, makeUp }: FillingMix, lidded: boolean): number | null {
  const { eggC, juicyC, otherC, dryBelow } = fillingSets.values;
  if (unsetEggG > 0) return eggC;
  if (fruitWaterG > 0) return lidded ? fruitBubblesC.value : juicyC;
  return makeUp.water < dryBelow ? null : otherC;
}
