import { InputError, within } from '../errors.js';
import { allergensOf } from './safety/allergens.js';
import { compositionBy, mixedBehaviour, mixedComposition, portionOf, sumG } from './mixture.js';
import { strictestGluten } from '../document/pantry.js';
import type { Blend } from '../document/formula.js';
import type { Composition, Ingredient, Origin, Pantry } from '../document/pantry.js';
import type { Preparation } from '../document/preparation.js';
import type { Portion } from './mixture.js';

/**
 * A preparation as an ingredient: composition, allergens and parts from its rows, less what is boiled off and drained.
 *
 * Units    g; the ingredient's own units.
 * Throws   InputError at rows when there is nothing in it, at cookedToC out of 0..200, at boiledOffG when it holds less water than that, at drainedG when
 *          less is left than is drained, at rows[i] for an ingredient not in the pantry or an amount out of 0..100000.
 * Findings none: what its rows carry is judged wherever it is used.
 * Source   masses add. What runs off is water unless another ingredient is named.
 */
export function fromPreparation(preparation: Preparation, pantry: Pantry): Ingredient {
  const portions = preparation.rows.map(({ ingredientId, amountG, lotId }, i) => {
    if (ingredientId === preparation.id) throw new InputError(`rows[${i}].ingredientId`, 'a preparation cannot be part of itself');
    return portionOf(pantry, `rows[${i}].ingredientId`, ingredientId, within(`rows[${i}].amountG`, amountG, 0, 100000, 'g'), lotId);
  });
  return madeTogether(preparation, portions, pantry).ingredient;
}

/** Losses of the whole, and what its middle came to. */
type Making = Pick<Preparation, 'id' | 'name' | 'boiledOffG' | 'drainedG' | 'drainedIngredientId' | 'cookedToC'>;

/**
 * What several things are once they were made into one, and what of it there is.
 *
 * Units    g; the ingredient's own units.
 * Throws   InputError at rows, boiledOffG, drainedG, cookedToC: as fromPreparation.
 * Findings none.
 * Source   as fromPreparation.
 */
export function madeTogether(making: Making, portions: readonly Portion[], pantry: Pantry): Portion {
  const { id, name, boiledOffG, drainedG, drainedIngredientId, cookedToC } = making;
  const rawG = sumG(portions);
  if (rawG <= 0) throw new InputError('rows', 'nothing is in it: add an ingredient');
  within('boiledOffG', boiledOffG, 0, 100000, 'g');
  within('drainedG', drainedG, 0, 100000, 'g');
  const raw = mixedComposition(portions);
  const runsOff = drainedIngredientId ? portionOf(pantry, 'drainedIngredientId', drainedIngredientId, 1).ingredient.composition : null;
  const waterLeftG = raw.waterShare * rawG - boiledOffG - drainedG * (runsOff?.waterShare ?? 1);
  const waterG = raw.waterShare * rawG;
  if (boiledOffG > waterG + 1e-9) within('boiledOffG', boiledOffG, 0, Math.floor(waterG), 'g');
  if (waterLeftG < -1e-9 || rawG - boiledOffG - drainedG <= 0) {
    // Of something dry as much may run off as there is.
    const mostG = Math.min(
      rawG - boiledOffG,
      runsOff && runsOff.waterShare <= 0 ? rawG : (waterG - boiledOffG) / (runsOff?.waterShare ?? 1),
    );
    within('drainedG', drainedG, 0, Math.max(0, Math.ceil(mostG) - 1), 'g');
  }
  const leftG = rawG - boiledOffG - drainedG;
  const left = (part: keyof Composition) => {
    const held = raw[part];
    if (part === 'waterShare') return waterLeftG / leftG;
    return held === undefined ? undefined : Math.max(0, held * rawG - drainedG * (runsOff?.[part] ?? 0)) / leftG;
  };
  const ingredient: Ingredient = {
    id,
    name,
    kind: 'filling',
    composition: compositionBy(left),
    ...made(portions, leftG),
    ...(cookedToC === undefined ? {} : { cookedToC: within('cookedToC', cookedToC, 0, 200, 'C') }),
    madeFrom: { preparationId: id },
    source: `made here from ${portions.length} ingredients`,
  };
  return { ingredient, amountG: leftG, lot: undefined };
}

/**
 * A ready blend as an ingredient: weighed by one key, known by its flours.
 *
 * Units    the ingredient's own.
 * Throws   InputError at rows when it is empty or an ingredient is not in the pantry.
 * Findings none.
 * Source   shares of mass; water hold and grit add in proportion, an approximation.
 */
export function fromBlend(id: string, version: number, blend: Blend, pantry: Pantry): Ingredient {
  const portions = blend.rows.map(({ ingredientId, share, lotId }, i) =>
    portionOf(pantry, `rows[${i}].ingredientId`, ingredientId, share, lotId),
  );
  const totalG = sumG(portions);
  if (totalG <= 0) throw new InputError('rows', 'the blend is empty: add a flour');
  const setting = portions.filter(({ ingredient }) => ingredient.setsAtC !== undefined);
  const spooned = portions.reduce((ml, { ingredient, amountG }) => ml + amountG / (ingredient.spoonedGPerMl ?? 0.55), 0);
  return {
    id,
    name: blend.name,
    kind: 'blend',
    composition: mixedComposition(portions),
    spoonedGPerMl: totalG / spooned,
    ...mixedBehaviour(portions),
    ...(setting.length > 0 ? { setsAtC: Math.min(...setting.map(({ ingredient }) => ingredient.setsAtC!)) } : {}),
    ...made(portions, totalG),
    madeFrom: { blendId: id, version },
    source: `blended here, version ${version}`,
  };
}

/**
 * A crumb: what a formula's dough is once baked and ground, as an ingredient.
 *
 * Units    `moistureShare` of the baked piece, 0..1.
 * Throws   InputError at moistureShare when it is not below the dough's own.
 * Findings none.
 * Source   dry matter stays; only water leaves in the oven.
 */
export function fromBake(
  { id, name }: { readonly id: string; readonly name: string },
  madeFrom: { readonly formulaId: string; readonly version: number },
  dough: readonly Portion[],
  moistureShare: number,
): Ingredient {
  const raw = mixedComposition(dough);
  within('moistureShare', moistureShare, 0, raw.waterShare, '(share of water)');
  const grow = (1 - moistureShare) / (1 - raw.waterShare);
  return {
    id,
    name,
    kind: 'inclusion',
    composition: compositionBy((part) => {
      const held = raw[part];
      return part === 'waterShare' ? moistureShare : held === undefined ? undefined : held * grow;
    }),
    waterHoldGPerG: 0.5,
    grit: 2,
    ...made(dough, sumG(dough) / grow),
    heat: 'cooked',
    madeFrom,
    source: `baked here, version ${madeFrom.version}`,
  };
}

/**
 * Dough as it left the bowl, as an ingredient: kept for another day, or baked later.
 *
 * Units    g in, shares out.
 * Throws   InputError for a dough without mass.
 * Findings none.
 * Source   composition of its parts.
 */
export function fromDough(
  id: string,
  name: string,
  madeFrom: { readonly formulaId: string; readonly version: number },
  dough: readonly Portion[],
): Ingredient {
  const composition = mixedComposition(dough);
  return {
    id,
    name,
    kind: 'inclusion',
    composition,
    ...made(dough, sumG(dough)),
    madeFrom,
    source: `made here, version ${madeFrom.version}`,
  };
}

/** What all made ingredients carry over from their parts. `leftG`: what the parts weigh in the end. */
function made(portions: readonly Portion[], leftG: number) {
  const used = portions.filter(({ amountG }) => amountG > 0);
  const strictest: readonly Origin[] = ['animal', 'egg', 'milk', 'honey', 'microbe', 'mineral', 'plant'];
  return {
    allergens: allergensOf(used).map(({ code, possible }) => (possible ? `${code}:possible` : code)),
    gluten: strictestGluten(used.map(({ ingredient }) => ingredient.gluten)),
    origin: strictest.find((origin) => used.some(({ ingredient }) => ingredient.origin === origin)) ?? ('plant' as const),
    parts: used.map(({ ingredient, amountG, lot }) => ({
      ingredientId: ingredient.id,
      gPerG: amountG / leftG,
      ...(lot ? { lotId: lot.id } : {}),
    })),
    basis: 'measured' as const,
  };
}
