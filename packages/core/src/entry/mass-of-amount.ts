import { cupFilling, cupSpread } from '../facts/cups.js';
import { eggSizes, eggSpread, massMeasures, packMeasures, vagueMeasures, volumeMeasures } from '../facts/measures.js';
import { does, eggOf, isBakingPowder, isEgg, isYeast } from '../ingredient/roles.js';
import { metricVolumes, vagueVolumes } from './measures.js';
import type { Ingredient } from '../document/pantry.js';
import type { CupFilling } from '../units/volume.js';
import type { VagueName } from './measures.js';
import type { WrittenAmount } from './read-amount.js';

/** What a kitchen means by a vague measure: ml of a glass or splash, g of a pinch or knob. */
export type OwnMeasures = Readonly<Partial<Record<VagueName, number>>>;
/** US sizes; European ones are about a size larger. */
export type EggSize = 'small' | 'medium' | 'large' | 'extraLarge';
const sizeWords: Readonly<Record<EggSize, string>> = { small: 'small', medium: 'medium', large: 'large', extraLarge: 'extra large' };

export type MassOfAmount = {
  readonly massG: number;
  /** One standard deviation. */ readonly sdG: number;
  /** What was taken for granted, in words; '' where nothing was. */ readonly assumption: string;
  /** A measure that must be asked about once. */ readonly asks?: VagueName;
};

const LIQUID = new Set(['liquid', 'dairy', 'plant_milk', 'syrup', 'fat_liquid', 'egg', 'acid']);
/** Brown sugar is pressed into its cup, by every table there is. */

/**
 * Grams of an ingredient in an amount as written, how far that may be out, and what was assumed.
 *
 * Units    g.
 * Throws   nothing; null where a measure of that ingredient has no known weight (a stick of flour, a cup of something never weighed).
 * Findings none.
 * Source   facts/measures, facts/cups, densities of the ingredient table; a kitchen's own measures outrank them.
 */
export function massOfAmount(
  amount: WrittenAmount,
  ingredient: Ingredient,
  {
    filling = 'spooned',
    own = {},
    size = 'large',
  }: { readonly filling?: CupFilling; readonly own?: OwnMeasures; readonly size?: EggSize } = {},
): MassOfAmount | null {
  const count = (amount.low + amount.high) / 2;
  // A span is where anything between may have been meant.
  const spanSd = (amount.high - amount.low) / Math.sqrt(12);
  const many = (eachG: number, cv: number, assumption: string, asks?: VagueName): MassOfAmount => ({
    massG: eachG * count * roundingFactor(amount),
    sdG: Math.hypot(eachG * count * cv, eachG * spanSd),
    assumption: [assumption, amount.rounding === 'exact' ? '' : amount.rounding].filter((word) => word !== '').join(', '),
    ...(asks ? { asks } : {}),
  });
  const { measure } = amount;
  if (measure === null) return pieces(ingredient, count, size, many);
  switch (measure.kind) {
    case 'mass':
      return many(massMeasures.values[measure.of], 0, '');
    case 'pack': {
      if (measure.of === 'sachet') {
        const each = isYeast(ingredient)
          ? packMeasures.values.sachetYeast
          : isBakingPowder(ingredient)
            ? packMeasures.values.sachetBakingPowder
            : ingredient.kind === 'flavour' || ingredient.kind === 'sugar'
              ? packMeasures.values.sachetVanilla
              : null;
        return each === null ? null : many(each, 0.05, `a sachet of ${each} g`);
      }
      // A tin, a jar, a rasher: as large as its maker makes it.
      if (measure.of === 'container') return null;
      if (measure.of === 'cube')
        return isYeast(ingredient) && ingredient.composition.waterShare > 0.5
          ? many(packMeasures.values.cubeYeast, 0.05, `a cube of ${packMeasures.values.cubeYeast} g`)
          : null;
      if (ingredient.kind !== 'fat_solid') return null;
      const each = packMeasures.values[measure.of];
      return many(each, 0.01, `a ${measure.of} of ${each} g`);
    }
    case 'vague': {
      const [low, usual, high] = vagueMeasures.values[measure.of];
      const inMl = vagueVolumes.has(measure.of);
      const gPerMl = inMl ? (densityOf(ingredient, filling)?.gPerMl ?? null) : 1;
      if (gPerMl === null) return null;
      const mine = own[measure.of];
      if (mine !== undefined) return many(mine * gPerMl, 0.1, `your ${measure.of}, ${mine} ${inMl ? 'ml' : 'g'}`);
      return many(
        usual * gPerMl,
        (high - low) / 4 / usual,
        `a ${measure.of} of ${usual} ${inMl ? 'ml' : 'g'}, ${low} to ${high} are meant`,
        measure.of,
      );
    }
    case 'volume': {
      const ml = volumeMeasures.values[measure.of];
      const spoon =
        ml < 25 && !['millilitre', 'centilitre'].includes(measure.of) && ingredient.teaspoonG !== undefined && !LIQUID.has(ingredient.kind);
      if (spoon)
        return many((ingredient.teaspoonG! * ml) / volumeMeasures.values.teaspoon, 0.1, `a level ${measure.of.replace(/[A-Z].*/, '')}`);
      const density = densityOf(ingredient, filling);
      if (!density) return null;
      const cv = LIQUID.has(ingredient.kind)
        ? 0.02
        : Math.hypot(cupSpread.values.person, cupSpread.values.each / Math.sqrt(Math.max(1, count)), cupSpread.values.density);
      const metric = metricVolumes.has(measure.of);
      return many(
        ml * density.gPerMl,
        cv,
        metric
          ? density.how
          : [`${measure.of.startsWith('cup') ? `a cup of ${Math.round(ml)} ml` : ''}`, density.how]
              .filter((word) => word !== '')
              .join(', '),
      );
    }
  }
}

/** How heavy a ml is, and how the cup was filled where that matters. */
function densityOf(ingredient: Ingredient, filling: CupFilling): { gPerMl: number; how: string } | null {
  const { spoonedGPerMl, packedGPerMl } = ingredient;
  if (spoonedGPerMl === undefined) return null;
  if (LIQUID.has(ingredient.kind) || ingredient.kind === 'fat_solid') return { gPerMl: spoonedGPerMl, how: '' };
  if (does(ingredient, 'packs') && packedGPerMl !== undefined) return { gPerMl: packedGPerMl, how: 'packed' };
  return { gPerMl: spoonedGPerMl * cupFilling.values[filling], how: filling === 'unknown' ? 'nobody knows how filled' : filling };
}

function pieces(
  ingredient: Ingredient,
  count: number,
  size: EggSize,
  many: (eachG: number, cv: number, assumption: string) => MassOfAmount,
): MassOfAmount | null {
  if (isEgg(ingredient) && ingredient.pieceG !== undefined) {
    const half = count % 1 !== 0 ? ', beaten and weighed' : '';
    const [word, scale] = [sizeWords[size], eggSizes.values[size] / eggSizes.values.large];
    const eachG = ingredient.pieceG * scale;
    const { white, yolk } = eggOf(ingredient);
    const name = white > 0 && yolk > 0 ? `${word}, ${Math.round(eachG)} g without shell` : `of a ${word} egg, ${Math.round(eachG)} g`;
    return many(eachG, eggSpread.values.cv, `${name}${half}`);
  }
  if (ingredient.pieceG === undefined) return null;
  return many(ingredient.pieceG, 0.15, `a piece of ${ingredient.pieceG} g`);
}

const roundingFactor = ({ rounding }: WrittenAmount): number => (rounding === 'heaped' ? 1.5 : rounding === 'scant' ? 0.9 : 1);
