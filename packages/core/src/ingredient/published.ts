import { hotXanthanReplacedBy, xanthanReplacedBy } from '../facts/binders.js';
import { mostOfBlend } from '../facts/blend-limits.js';
import { boxes } from '../facts/boxes.js';
import { solidFatOf } from '../facts/fats.js';
import { actRows, columnRows, columns } from '../facts/ingredient-columns.js';
import { handlingRows } from '../facts/ingredient-handling.js';
import { ingredientRows } from '../facts/ingredient-table.js';
import { traitRows } from '../facts/ingredient-traits.js';
import { eggParts, sodaNeutralisedBy, yeastStrength } from '../facts/mixing.js';
import { mayHoldOrigin, originOf, originOfKind } from '../facts/origins.js';
import { suits } from '../facts/suits.js';
import { swapGroups } from '../facts/swaps.js';
import type { IngredientRow } from '../facts/ingredient-table.js';
import { numbersOf, patched } from '../document/field.js';
import { ingredientFields } from '../document/pantry.js';
import type { Fields } from '../document/field.js';
import type { Ingredient, IngredientAct, IngredientKind } from '../document/pantry.js';

const CUP_ML = 236.588;
let published: Readonly<Record<string, Ingredient>> | undefined;

/**
 * Every published ingredient by id, as a kitchen starts with it.
 *
 * Units    shares 0..1, g/ml, g, g/g, C (names say).
 * Throws   nothing.
 * Findings none.
 * Source   facts/ingredient-table, a source on every row; ingredient-handling, ingredient-traits, and the facts that say one thing of some.
 */
export function publishedIngredients(): Readonly<Record<string, Ingredient>> {
  published ??= Object.freeze(Object.fromEntries(ingredientRows.map((row) => [row[0], Object.freeze(ingredientOf(row))])));
  return published;
}

const once = <T>(make: () => T): (() => T) => {
  let made: T | undefined;
  return () => (made ??= make());
};
type ById<T> = Readonly<Record<string, T>>;
const handling = new Map(handlingRows.map((row) => [row[0], row]));
const traits = new Map(traitRows);

/** What a fact of its own says of some ingredients: field by field, by id. */
const said: { readonly [K in keyof Ingredient]?: (id: string) => Ingredient[K] | undefined } = {
  solidFat: (id) => solidFatOf.values[id],
  // What only sets in the oven gives nothing to a cold sheet.
  xanthanPerG: (id) => (id in hotXanthanReplacedBy.values ? 0 : inverse(xanthanReplacedBy.values, id)),
  hotXanthanPerG: (id) => inverse(hotXanthanReplacedBy.values, id),
  takesSodaGPerG: (id) => inverse(sodaNeutralisedBy.values, id),
  yeastStrength: (id) => (yeastStrength.values as ById<number>)[id],
  eggWhiteGPerG: (id) => (eggParts.values as ById<readonly number[]>)[id]?.[0],
  eggYolkGPerG: (id) => (eggParts.values as ById<readonly number[]>)[id]?.[1],
  mostOfBlendShare: (id) => (mostOfBlend.values as ById<number>)[id],
  mayHold: (id) => (mayHoldOrigin.values as ById<Ingredient['origin']>)[id],
  usualParts: (id) => {
    const parts = boxes.values[id];
    return parts && Object.entries(parts).map(([ingredientId, gPerG]) => ({ ingredientId, gPerG }));
  },
  swaps: (id) => {
    const groups = swapGroups.values.filter(({ of }) => id in of).map(({ name, of }) => [name, of[id]!] as const);
    return groups.length === 0 ? undefined : Object.fromEntries(groups);
  },
  unsuited: (id) => unsuited().get(id),
  does: (id) => acts().get(id),
};
const inverse = (per: ById<number>, id: string): number | undefined => (id in per ? 1 / per[id]! : undefined);

/** Lists of ids by a word, turned round. */
const turnedRound = <W extends string>(lists: Iterable<readonly [W, Iterable<string>]>): ReadonlyMap<string, readonly W[]> => {
  const byId = new Map<string, W[]>();
  for (const [mark, ids] of lists) for (const id of ids) byId.set(id, [...(byId.get(id) ?? []), mark]);
  return byId;
};
const acts = once(() => turnedRound(Object.entries(actRows).map(([act, ids]) => [act as IngredientAct, ids.split(' ')] as const)));
/** The limits of guests that name single ingredients. */
const unsuited = once(() =>
  turnedRound(
    Object.entries(suits.values as ById<Naming>).flatMap(([suit, { ids, may = [], ask = [] }]) => [
      [suit, ids] as const,
      [`${suit}:possible`, may] as const,
      [`${suit}:ask`, ask] as const,
    ]),
  ),
);
type Naming = { readonly ids: readonly string[]; readonly may?: readonly string[]; readonly ask?: readonly string[] };

const numbers = new Map(numbersOf(ingredientFields as Fields).map(({ path, field }) => [path, field.shown?.times ?? 1]));
/** The further columns, each in the unit it is shown in, by where they stand in an ingredient. */
const more = new Map(
  columnRows.map(([id, ...values]) => [
    id,
    Object.fromEntries(
      columns.flatMap((path, i) => {
        const value = values[i];
        if (value === null || value === undefined) return [];
        return [[path, typeof value === 'number' ? Number((value / numbers.get(path)!).toPrecision(12)) : value]];
      }),
    ),
  ]),
);

function ingredientOf(row: IngredientRow): Ingredient {
  const [
    id,
    name,
    kindWord,
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
  const kind = kindWord as IngredientKind;
  const [water, protein, fat, saturatedFat, sugars, starch, fibre, ash, other] = per100G.map((g) => g / 100) as unknown as number[] & {
    length: 9;
  };
  const [, teaspoonG, particleUm, , note] = handling.get(id) ?? [id, null, null, '', ''];
  const facts = Object.fromEntries(Object.entries(said).map(([field, of]) => [field, (of as (id: string) => unknown)(id)]));
  const table: Ingredient = {
    id,
    name,
    kind,
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
    ...known({
      spoonedGPerMl: spooned === null ? null : spooned / CUP_ML,
      packedGPerMl: packed === null ? null : packed / CUP_ML,
      pieceG,
      waterHoldGPerG: hold,
      setsAtC,
      grit,
      flavour,
      xanthanPerG: xanthan,
      ...(kind === 'fat_liquid' ? { solidFat: 'liquidOil' as const } : {}),
      teaspoonG,
      particleUm,
      note: note === '' ? null : note,
    }),
    ...known(facts),
    ...traits.get(id),
    allergens,
    gluten,
    origin: (originOf.values as ById<Ingredient['origin']>)[id] ?? originOfKind.values[kind],
    basis,
    source,
  };
  return patched(table, more.get(id) ?? {});
}

type Known<T> = { [K in keyof T]?: Exclude<T[K], null | undefined> };
/** Without what nobody knows. */
const known = <T extends object>(of: T): Known<T> =>
  Object.fromEntries(Object.entries(of).filter(([, value]) => value !== null && value !== undefined)) as Known<T>;
