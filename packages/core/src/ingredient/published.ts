import { handlingRows } from '../facts/ingredient-handling.js';
import { ingredientRows } from '../facts/ingredient-table.js';
import { traitRows } from '../facts/ingredient-traits.js';
import { originOf, originOfKind } from '../facts/origins.js';
import type { IngredientKind, Origin } from '../document/pantry.js';
import type { SolidFatName } from '../facts/fats.js';
import type { IngredientRow } from '../facts/ingredient-table.js';
import type { Ingredient } from '../document/pantry.js';

const CUP_ML = 236.588;
const handling = new Map(handlingRows.map((row) => [row[0], row]));
const traits = new Map(traitRows);
let published: Readonly<Record<string, Ingredient>> | undefined;

/**
 * Every published ingredient by id, as a kitchen starts with it.
 *
 * Units    shares 0..1, g/ml, g, g/g, C (names say).
 * Throws   nothing.
 * Findings none.
 * Source   facts/ingredient-table, a source on every row.
 */
export function publishedIngredients(): Readonly<Record<string, Ingredient>> {
  published ??= Object.freeze(Object.fromEntries(ingredientRows.map((row) => [row[0], Object.freeze(ingredientOf(row))])));
  return published;
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
    ...traits.get(id),
    basis,
    source,
  };
}

/** Which solid-fat curve a published fat follows; where it has none of its own, its nearest kin: judgement. */
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
  margarine_bake: 'plantBlock',
  margarine_stick: 'plantBlock',
  margarine_lam: 'laminatingButter',
  palm_oil: 'palmShortening',
  suet_veg_gf: 'palmShortening',
  suet_beef: 'lard',
  dripping_beef: 'lard',
  duck_fat: 'lard',
  cocoa_butter: 'palmShortening',
};

function solidFatOf(id: string, kind: string): SolidFatName | undefined {
  return curveOf[id] ?? (kind === 'fat_liquid' ? 'liquidOil' : undefined);
}
