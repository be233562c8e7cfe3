import { editsBetween } from '../document/edits.js';
import { InputError } from '../errors.js';
import { soaking } from '../facts/mixing.js';
import { eggIsStructure, swapGroups } from '../facts/swaps.js';
import { allergenChange } from '../ingredient/safety/allergens.js';
import { compositionOf, portionOf } from '../ingredient/mixture.js';
import { does, isEgg, isExcluded, isFat, isPouredWater, isSalt, isSoaked } from '../ingredient/roles.js';
import { suitability, suitName, suitsAskedFor } from '../ingredient/safety/suits.js';
import { usual } from '../facts/usual.js';
import type { Edit } from '../document/edits.js';
import type { Row } from '../document/formula.js';
import type { Composition, Ingredient, Pantry } from '../document/pantry.js';
import type { Family } from '../facts/families.js';
import type { SwapGroup } from '../facts/swaps.js';
import type { Allergen } from '../ingredient/safety/allergens.js';
import type { Case } from '../document/case.js';

/** What a swap holds, g in the dough rows. */
const heldNames = ['sodium', 'sugars', 'fat', 'water'] as const;
export type HeldTotals = Readonly<Record<(typeof heldNames)[number], number>>;

export type RowSwap = {
  readonly edits: readonly Edit[];
  readonly fromG: number;
  readonly toG: number;
  readonly before: HeldTotals;
  readonly after: HeldTotals;
  /** Which of them are held; a trace of something that no row here can give back is let go. */ readonly held: readonly (keyof HeldTotals)[];
  /** What else moves so that the totals hold. */ readonly alsoMoves: readonly { readonly name: string; readonly byG: number }[];
  /** What no total shows: flake, binding, browning. */ readonly notes: readonly string[];
  readonly allergensNew: readonly Allergen[];
  readonly allergensGone: readonly Allergen[];
  /** Limits it has to suit that the newcomer does not, or may not. */ readonly breaks: readonly string[];
};

/** A difference under this is let go: no scale shows it. */
const SHOWN_G = 0.02;
/** Moves under this are not told of. */
const SHOWN_MOVE_G = 0.05;
/** A trace of salt or sugar up to this is let go where no row of its kind is there to take it. */
const TRACE_G = 1;
const memberOf = {
  fat: 'fatShare',
  water: 'waterShare',
  sugars: 'sugarsShare',
  sodium: 'sodiumShare',
} as const satisfies Readonly<Record<keyof HeldTotals, keyof Composition>>;
/** Where nothing in the dough can give a total back, this is added. */
const { fat: usualFat, water: usualWater, sugar: usualSugar, salt: usualSalt } = usual.values;
const addedFor: Readonly<Record<keyof HeldTotals, string>> = { fat: usualFat, water: usualWater, sugars: usualSugar, sodium: usualSalt };

/** The groups an ingredient is swapped in: what stands for an egg is only asked for an egg; a gum goes by the gum table. */
const groupsOf = (from: Ingredient): readonly SwapGroup[] =>
  swapGroups.values.filter(({ name }) => from.swaps?.[name] !== undefined && (name !== 'egg' || isEgg(from)));

/**
 * What a row may be swapped for, by id; itself left out.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   `facts/swaps`.
 *
 * @example
 * swapChoices('xanthan', { ingredients }).length > 0; // => true
 */
export function swapChoices(ingredientId: string, pantry: Pantry): readonly string[] {
  const of = pantry.ingredients[ingredientId];
  const groups = of ? groupsOf(of) : [];
  const others = Object.values(pantry.ingredients).filter(({ id }) => id !== ingredientId);
  return groups
    .flatMap(({ name }) => others.filter(({ swaps }) => swaps?.[name] !== undefined).map(({ id }) => id))
    .filter((id, i, all) => all.indexOf(id) === i);
}

/**
 * One ingredient of a dough for another, its totals held: fat, water, sugars and salt stay, other rows move to keep them.
 *
 * A wash, a topping or dust is swapped gram for gram: it stands outside the dough's totals.
 *
 * Units    g.
 * Throws   InputError at rows[i].ingredientId for a pair that nothing swaps, an ingredient with gluten or not in the pantry, a swap that cannot
 *          work in this family, or one whose totals cannot be held (more of something than there is to take away).
 * Findings none: the finished edit is judged like any other.
 * Source   composition of each; facts/swaps (common practice, no source, and arithmetic).
 */
export function swapRow({ formula, family, kitchen, pantry }: Case, index: number, toId: string, newKey: () => string): RowSwap {
  const path = `rows[${index}].ingredientId`;
  const row = formula.rows[index];
  if (!row) throw new InputError(`rows[${index}]`, 'is not a row of this formula');
  const from = portionOf(pantry, path, row.ingredientId, row.amountG).ingredient;
  const to = portionOf(pantry, path, toId, 1).ingredient;
  const group = groupsOf(from).find(({ name }) => to.swaps?.[name] !== undefined);
  if (!group || from.id === to.id) throw new InputError(path, `${from.name} and ${to.name} do not stand for each other`);
  if (isExcluded(to)) throw new InputError(path, `${to.name} contains gluten`);
  const why = cannotWork(row, from, to, family);
  if (why) throw new InputError(path, why);
  const outside = row.use !== 'dough';
  const toG = outside ? row.amountG : massOf(group, from, to, row.amountG);
  const swappedRows = formula.rows.map((one, i) => (i === index ? newcomer(one, to, round(toG)) : one));
  const before = totalsOf(formula.rows, pantry);
  // Butter that gives fat back brings a trace of salt and sugar: a second round takes it.
  const once = outside ? swappedRows : withTotalsHeld(swappedRows, before, { index, path, pantry, newKey });
  const rows = outside ? swappedRows : withTotalsHeld(once, before, { index, path, pantry, newKey });
  const after = totalsOf(rows, pantry);
  const swapped = { ...formula, rows, mix: formula.mix };
  const portionsOf = (list: readonly Row[]) => list.map(({ ingredientId, amountG }) => portionOf(pantry, path, ingredientId, amountG));
  const { brought, gone } = allergenChange(portionsOf(formula.rows), portionsOf(rows));
  return {
    edits: editsBetween(formula, swapped),
    fromG: row.amountG,
    toG: round(toG),
    before,
    after,
    held: heldNames.filter((name) => Math.abs(after[name] - before[name]) < 0.1),
    alsoMoves: rows.flatMap((one, i) => {
      const byG = one.amountG - (formula.rows[i]?.amountG ?? 0);
      return i === index || Math.abs(byG) < SHOWN_MOVE_G ? [] : [{ name: pantry.ingredients[one.ingredientId]!.name, byG }];
    }),
    notes: [...notesOf(row, from, to, family), ...leftOver(before, after)],
    allergensNew: brought,
    allergensGone: gone,
    breaks: suitsAskedFor(formula.mustSuit, kitchen)
      .filter((suit) => suitability(to, suit) !== 'yes')
      .map(suitName),
  };
}

/** Grams of the newcomer that hold what this group is swapped by. */
function massOf(group: SwapGroup, from: Ingredient, to: Ingredient, amountG: number): number {
  if (group.by === 'mass') return amountG;
  if (group.by === 'strength') return (amountG * to.swaps![group.name]!) / from.swaps![group.name]!;
  const member = memberOf[group.by];
  return (amountG * from.composition[member]) / to.composition[member];
}

/** The row with another ingredient: what was typed, its lot and its warmth were the old one's. */
function newcomer({ entered: _entered, lotId: _lot, atC: _at, fat, soakMin: _soak, ...row }: Row, to: Ingredient, amountG: number): Row {
  const state = to.kind === 'fat_liquid' ? 'melted' : to.kind === 'fat_solid' ? (fat?.state ?? 'rubbed') : undefined;
  return {
    ...row,
    ingredientId: to.id,
    amountG,
    ...(state === undefined
      ? {}
      : { fat: { state, ...(state === 'pieces' && fat?.pieceMm !== undefined ? { pieceMm: fat.pieceMm } : {}) } }),
    ...(isSoaked(to) ? { soakMin: soaking.values.minutes } : {}),
  };
}

/**
 * Gives back salt, sugar, fat and water in that order: a row that gives one back brings some of those that come after it, next to none
 * of those before (butter brings water, water brings nothing).
 */
function withTotalsHeld(
  rows: readonly Row[],
  held: HeldTotals,
  {
    index,
    path,
    pantry,
    newKey,
  }: { readonly index: number; readonly path: string; readonly pantry: Pantry; readonly newKey: () => string },
): readonly Row[] {
  return heldNames.reduce<readonly Row[]>((now, name) => {
    const missing = held[name] - totalsOf(now, pantry)[name];
    const shown = name === 'sodium' ? missing * 2.54 : missing;
    if (Math.abs(shown) < SHOWN_G) return now;
    const at = correctorOf(now, name, index, pantry);
    if (at === null && (name === 'sodium' || name === 'sugars') && Math.abs(shown) < TRACE_G) return now;
    const id = at === null ? addedFor[name] : now[at]!.ingredientId;
    const ingredient = pantry.ingredients[id];
    const share = ingredient?.composition[memberOf[name]] ?? 0;
    if (!ingredient || share <= 0)
      throw new InputError(path, `leaves ${held[name].toFixed(1)} g of ${name} that nothing here can give back`);
    const byG = missing / share;
    // A pinch more salt or a trace of sugar than there is to take away is told of, and no reason to refuse.
    if (at === null && byG < 0 && letGo[name] >= -shown) return now;
    if (at === null && byG < 0)
      throw new InputError(path, `brings ${(-missing).toFixed(1)} g more ${wordOf[name]} than there is to take away`);
    if (at === null) {
      const fat: Row['fat'] = name === 'fat' ? { state: 'melted' } : undefined;
      return [...now, { key: newKey(), ingredientId: id, amountG: round(byG), use: 'dough', ...(fat ? { fat } : {}) }];
    }
    const amountG = now[at]!.amountG + byG;
    if (amountG < -0.005 && letGo[name] < -shown) {
      throw new InputError(
        path,
        `would need ${(-byG).toFixed(1)} g less ${ingredient.name.toLowerCase()} than the ${now[at]!.amountG.toFixed(1)} g there is`,
      );
    }
    return now.map((one, i) => (i === at ? withoutWords({ ...one, amountG: round(Math.max(0, amountG)) }) : one));
  }, rows);
}

const wordOf: Readonly<Record<keyof HeldTotals, string>> = { fat: 'fat', water: 'water', sugars: 'sugar', sodium: 'sodium' };
const withoutWords = ({ entered: _entered, ...row }: Row): Row => row;

/** Salt (g of salt) and sugar that may stay more than they were. */
const letGo: Readonly<Record<keyof HeldTotals, number>> = { sodium: 4, sugars: 3, fat: 0, water: 0 };

/** The row that gives a total back: of its kind, the largest, never the one that was swapped. */
function correctorOf(rows: readonly Row[], name: keyof HeldTotals, index: number, pantry: Pantry): number | null {
  const is: Readonly<Record<keyof HeldTotals, (one: Ingredient) => boolean>> = {
    sodium: isSalt,
    sugars: (one) => one.kind === 'sugar',
    fat: (one) => one.kind === 'fat_solid' || one.kind === 'fat_liquid',
    water: isPouredWater,
  };
  const found = rows
    .map((row, i) => ({ row, i }))
    .filter(({ row, i }) => i !== index && row.use === 'dough' && row.pinned !== true && is[name](pantry.ingredients[row.ingredientId]!))
    .sort((a, b) => b.row.amountG - a.row.amountG);
  return found[0]?.i ?? null;
}

function totalsOf(rows: readonly Row[], pantry: Pantry): HeldTotals {
  const sum = (name: keyof HeldTotals) =>
    rows
      .filter(({ use }) => use === 'dough')
      .reduce(
        (total, { ingredientId, amountG, lotId }) =>
          total + amountG * compositionOf(portionOf(pantry, 'rows', ingredientId, amountG, lotId))[memberOf[name]],
        0,
      );
  return { fat: sum('fat'), water: sum('water'), sugars: sum('sugars'), sodium: sum('sodium') };
}

/** Why a swap cannot work in this family, whatever the totals say. */
function cannotWork(row: Row, from: Ingredient, to: Ingredient, family: Family): string | null {
  const fat = isFat(from);
  if (fat && family.kind === 'laminated' && (to.kind !== 'fat_solid' || to.composition.fatShare < 0.78))
    return `${to.name} cannot be folded in: it takes a fat that is firm and 78 % fat or more`;
  if (fat && family.rolled && to.kind === 'fat_solid' && to.composition.fatShare < 0.7)
    return `${to.name} never firms: a rolled dough would stick. Take a block, butter or shortening`;
  if (fat && to.kind === 'fat_liquid' && family.rolled && row.fat?.state === 'pieces')
    return `${to.name} makes no flakes. Choose an oil crust as family, or a solid fat`;
  if (isEgg(from) && !isEgg(to) && family.eggPercent[0] >= eggIsStructure.values.cannot)
    return `${family.name} stands on its egg: ${to.name.toLowerCase()} does not carry it`;
  return null;
}

/** What the totals do not show. */
function notesOf(row: Row, from: Ingredient, to: Ingredient, family: Family): string[] {
  const notes: string[] = [];
  if (isFat(from) && to.kind === 'fat_liquid') notes.push('Oil takes no air and makes no flake; it spreads more.');
  if (from.kind === 'fat_solid' && to.kind === 'fat_solid' && from.origin === 'milk' && to.origin !== 'milk')
    notes.push('Less flavour and a paler crust than with butter.');
  if (to.solidFat === 'coconut') notes.push('It bends only between 18 and 23 °C.');
  if (isEgg(from) && !isEgg(to)) notes.push('An egg sets in the oven, a gel binds the raw sheet: expect a shorter, paler crust.');
  if (isEgg(from) && isSoaked(to)) notes.push('Soak it in its water for 10 min first.');
  if (isEgg(from) && !isEgg(to) && family.eggPercent[1] >= eggIsStructure.values.leans)
    notes.push('This family leans on its egg: expect it to crumble or sink without. Bake a small one first.');
  if (to.hotXanthanPerG !== undefined)
    notes.push('It sets in the oven and holds no cold sheet: disperse it hot, let it swell below 20 °C.');
  if (from.kind === 'dairy' && to.kind === 'plant_milk') notes.push('It browns less: milk sugar and milk protein are gone.');
  if (from.kind === 'dairy' && from.takesSodaGPerG !== undefined && to.takesSodaGPerG === undefined)
    notes.push('Its acid goes with it: soda is left free.');
  if (from.kind === 'sugar' && to.kind === 'syrup' && family.zone.crisp >= 6.5)
    notes.push('Syrup draws water: it softens sooner, and browns at a lower heat.');
  if (does(to, 'notUnderOneYear')) notes.push('Not for children under a year, and not vegan.');
  if (isPeanut(from) !== isPeanut(to) && (from.kind === 'flour_nut' || to.kind === 'flour_nut'))
    notes.push('Stop: a peanut allergy and a tree-nut allergy are two things. Tell who eats it.');
  if (does(to, 'greensWithSoda')) notes.push('Soda turns it green: 2 g of lemon juice per 100 g hold the colour.');
  if (row.use === 'wash') notes.push('A wash counts for every limit too; the brush carries it.');
  return notes;
}

const isPeanut = ({ allergens }: Ingredient) => allergens.some((code) => code === 'us.peanut' || code === 'eu.peanut');

/** What is more than it was, and nothing here could take away. */
function leftOver(before: HeldTotals, after: HeldTotals): string[] {
  const saltG = (after.sodium - before.sodium) * SALT_PER_SODIUM;
  const sugarG = after.sugars - before.sugars;
  return [
    ...(saltG > 0.1 ? [`It brings ${saltG.toFixed(1)} g more salt than there is to take away.`] : []),
    ...(sugarG > 0.3 ? [`It brings ${sugarG.toFixed(1)} g more sugar than there is to take away.`] : []),
  ];
}
const SALT_PER_SODIUM = 2.54;

const round = (grams: number) => Number(grams.toFixed(2));
