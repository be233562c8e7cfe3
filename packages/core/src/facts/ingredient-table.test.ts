import { handlingRows } from './ingredient-handling.js';
import { ingredientRows } from './ingredient-table.js';
import { nameRows, turningRows } from './name-table.js';
import { traitRows } from './ingredient-traits.js';
import type { IngredientRow } from './ingredient-table.js';

/** What must hold in every row whoever wrote it: a slip of one digit or one code fails here. */
const ids = new Set(ingredientRows.map(([id]) => id));
const rowsThat = (breaks: (row: IngredientRow) => boolean) => ingredientRows.filter(breaks).map(([id]) => id);
const allergensOf = (row: IngredientRow) => row[13];
const holds = (row: IngredientRow, code: RegExp) => allergensOf(row).some((one) => code.test(one) && !one.endsWith(':possible'));
const may = (row: IngredientRow, code: RegExp) => allergensOf(row).some((one) => code.test(one));

/** Codes of the lists of the EU (Reg. 1169/2011 Annex II) and the US (FALCPA, FASTER Act), from memory. */
const codes =
  /^(?:us\.(?:milk|egg|soy|sesame|peanut|fish|crustacean|wheat|sulphites|tree_nut(?::\w+)?)|eu\.(?:milk|egg|soy|sesame|peanut|fish|crustaceans|molluscs|gluten_cereal(?::\w+)?|nuts(?::\w+)?|sulphites|mustard|celery|lupin))(?::possible)?$/;
/** g per US cup of 236.6 ml, level and spooned: what goods of a kind can weigh. Judgement. */
const cups: Readonly<Record<string, readonly [number, number]>> = {
  fat_solid: [100, 235],
  fat_liquid: [205, 225],
  liquid: [230, 252],
  dairy: [80, 310],
  plant_milk: [225, 250],
  syrup: [90, 350],
  egg: [80, 250],
  acid: [185, 290],
  salt: [130, 300],
  leavener: [110, 250],
  sugar: [95, 235],
  starch: [95, 160],
  gum: [65, 175],
  flour_grain: [90, 160],
  flour_legume: [75, 130],
  flour_nut: [80, 125],
  flour_tuber: [55, 160],
  fibre: [35, 155],
};

describe('every ingredient row', () => {
  it('has no part below zero, no more saturated than fat, no more sodium than its ash allows', () => {
    expect(rowsThat(([, , , parts]) => parts.some((g) => !(g >= 0)))).toEqual([]);
    expect(rowsThat(([, , , parts]) => parts[3] > parts[2] + 1e-9)).toEqual([]);
    // Sodium sorbate and its like are salts of what is no ash.
    expect(rowsThat(([id, , , parts, mg]) => mg / 1000 > parts[7] + 0.35 && id !== 'potassium_sorbate')).toEqual([]);
  });

  it('weighs in a cup what goods of its kind can, no less packed than spooned, and a spoon to match', () => {
    const spoons = new Map(handlingRows.map(([id, teaspoonG]) => [id, teaspoonG]));
    expect(
      rowsThat(([id, , kind, , , spooned, packed]) => {
        if (spooned === null) return false;
        const [low, high] = cups[kind] ?? [14, 350];
        const spoon = spoons.get(id) ?? null;
        return (
          spooned < low ||
          spooned > high ||
          (packed ?? spooned) < spooned ||
          (spoon !== null && (spoon * 48 < spooned - 20 || spoon * 48 > (packed ?? spooned) + 20))
        );
      }),
    ).toEqual([]);
  });

  it('names allergens that the lists know, and its gluten class agrees with them', () => {
    expect(rowsThat((row) => allergensOf(row).some((code) => !codes.test(code)))).toEqual([]);
    expect(rowsThat((row) => (row[14] === 'contains') !== (row[2] === 'excluded'))).toEqual([]);
    expect(rowsThat((row) => row[14] === 'contains' && !may(row, /gluten_cereal/))).toEqual([]);
    expect(rowsThat((row) => row[14] === 'free' && may(row, /gluten_cereal|us\.wheat/))).toEqual([]);
  });

  it('of a kind that is milk, egg or nut says so', () => {
    expect(rowsThat((row) => row[2] === 'dairy' && !holds(row, /\.milk$/))).toEqual([]);
    expect(rowsThat((row) => row[2] === 'egg' && !holds(row, /\.egg$/))).toEqual([]);
    // An extract or a liqueur may be of stones of fruit: there the code is a possible one.
    expect(rowsThat((row) => /almond|hazelnut|walnut|pistachio|cashew|pecan/.test(row[0]) && !may(row, /eu\.nuts|us\.tree_nut/))).toEqual(
      [],
    );
  });

  it('names the same thing for the EU and the US where both lists have it', () => {
    const both = ['milk', 'egg', 'soy', 'sesame', 'peanut', 'fish'];
    expect(
      rowsThat((row) => both.some((what) => allergensOf(row).includes(`us.${what}`) !== allergensOf(row).includes(`eu.${what}`))),
    ).toEqual([]);
  });
});

describe('every table beside it', () => {
  it('speaks of ingredients that are there', () => {
    const named = nameRows.flatMap(([, all]) => all.split(' '));
    const turned = turningRows.flatMap(([id, becomes]) => [id, ...becomes.split(' ')]);
    const others = [...handlingRows.map(([id]) => id), ...traitRows.map(([id]) => id)];
    expect([...named, ...turned, ...others].filter((id) => !['', 'unknown', 'none'].includes(id) && !ids.has(id))).toEqual([]);
  });

  it('asks wherever a name means several things, and gives each ingredient five names or more', () => {
    expect(nameRows.filter(([, all, asks]) => all.includes(' ') && !asks).map(([, , , , names]) => names)).toEqual([]);
    const count = new Map<string, number>();
    for (const [, all, , , names] of nameRows)
      for (const id of all.split(' ')) count.set(id, (count.get(id) ?? 0) + names.split('; ').length);
    expect([...ids].filter((id) => (count.get(id) ?? 0) < 5)).toEqual([]);
  });
});
