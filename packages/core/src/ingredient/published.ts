import { handlingRows } from '../facts/ingredient-handling.js';
import { ingredientRows } from '../facts/ingredient-table.js';
import { originOf, originOfKind } from '../facts/origins.js';
import type { IngredientKind, Origin } from '../document/pantry.js';
import type { SolidFatName } from '../facts/fats.js';
import type { IngredientRow } from '../facts/ingredient-table.js';
import type { Ingredient } from '../document/pantry.js';

const CUP_ML = 236.588;
const handling = new Map(handlingRows.map((row) => [row[0], row]));

/**
 * Every published ingredient by id, as a kitchen starts with it.
 *
 * Units    shares 0..1, g/ml, g, g/g, C (names say).
 * Throws   nothing.
 * Findings none.
 * Source   facts/ingredient-table, a source on every row.
 */
export function publishedIngredients(): Readonly<Record<string, Ingredient>> {
  return Object.fromEntries(ingredientRows.map((row) => [row[0], ingredientOf(row)]));
}

function ingredientOf(row: IngredientRow): Ingredient {
  const [
    id,
    name,
    kind,
    per100G,
    sodiumMg,
    spooned,
    packed,
    pieceG,
    hold,
    setsAtC,
    grit,
    flavour,
    xanthan,
    allergens,
    gluten,
    basis,
    source,
  ] = row;
  const [water, protein, fat, saturatedFat, sugars, starch, fibre, ash, other] = per100G.map((g) => g / 100) as unknown as number[] & {
    length: 9;
  };
  const solidFat = solidFatOf(id, kind);
  const [, teaspoonG, particleUm, , note] = handling.get(id) ?? [id, null, null, '', ''];
  return {
    id,
    name,
    kind: kind as IngredientKind,
    composition: {
      waterShare: water!,
      proteinShare: protein!,
      fatShare: fat!,
      saturatedFatShare: saturatedFat!,
      sugarsShare: sugars!,
      starchShare: starch!,
      fibreShare: fibre!,
      ashShare: ash!,
      otherShare: other!,
      sodiumShare: sodiumMg / 100000,
    },
    ...(spooned === null ? {} : { spoonedGPerMl: spooned / CUP_ML }),
    ...(packed === null ? {} : { packedGPerMl: packed / CUP_ML }),
    ...(pieceG === null ? {} : { pieceG }),
    ...(hold === null ? {} : { waterHoldGPerG: hold }),
    ...(setsAtC === null ? {} : { setsAtC }),
    ...(grit === null ? {} : { grit }),
    ...(flavour === null ? {} : { flavour }),
    ...(xanthan === null ? {} : { xanthanPerG: xanthan }),
    ...(solidFat === undefined ? {} : { solidFat }),
    allergens,
    gluten,
    origin: (originOf.values as Readonly<Record<string, Origin>>)[id] ?? originOfKind.values[kind as IngredientKind],
    ...(teaspoonG === null ? {} : { teaspoonG }),
    ...(particleUm === null ? {} : { particleUm }),
    ...(note === '' ? {} : { note }),
    basis,
    source,
  };
}

/** Which solid-fat curve a published fat follows. */
const curveOf: Readonly<Record<string, SolidFatName>> = {
  butter_unsalted: 'butter',
  butter_salted: 'butter',
  butter_82: 'butter',
  ghee: 'butter',
  butter_lam: 'laminatingButter',
  lard: 'lard',
  shortening: 'palmShortening',
  coconut_oil: 'coconut',
  block_plant: 'plantBlock',
  block_plant75: 'plantBlock',
};

function solidFatOf(id: string, kind: string): SolidFatName | undefined {
  return curveOf[id] ?? (kind === 'fat_liquid' ? 'liquidOil' : undefined);
}
