import { families } from '../facts/families.js';
import { swapGroups } from '../facts/swaps.js';
import { applyEdits } from '../document/edits.js';
import { InputError } from '../errors.js';
import { xanthanReplacedBy } from '../facts/binders.js';
import { evaluateDough } from '../evaluate.js';
import { aFormula, kitchen, pantry } from '../worked/a-formula.js';
import { swapChoices, swapRow } from './swap-row.js';
import type { Formula, Row } from '../document/formula.js';

const row = (ingredientId: string, amountG: number, more: Partial<Row> = {}): Row => ({
  key: `k-${ingredientId}`,
  ingredientId,
  amountG,
  use: 'dough',
  ...more,
});
let n = 0;
const dough = (rows: readonly Row[], family = 'cookie_rolled'): Formula => ({ ...aFormula(), family, rows });
const swap = (formula: Formula, index: number, toId: string, itsKitchen = kitchen) =>
  swapRow({ formula, family: families[formula.family]!, kitchen: itsKitchen, pantry }, index, toId, () => `new${n++}`);
const amounts = (formula: Formula) => Object.fromEntries(formula.rows.map(({ ingredientId, amountG }) => [ingredientId, amountG]));
const wide = [
  row('water', 120),
  row('butter_unsalted', 100, { fat: { state: 'creamed' } }),
  row('sugar_white', 90),
  row('salt_fine', 6),
  row('oil_neutral', 40),
  row('egg_whole', 50),
  row('milk_whole', 80),
  row('almond_blanched', 60),
  row('xanthan', 2),
];

describe('swapping a row', () => {
  // Grams of the newcomer and of water to add per 100 g of unsalted butter: arithmetic on USDA SR Legacy composition (from memory).
  it.each<[string, number, number]>([
    ['butter_82', 97.7, 2.8],
    ['ghee', 81.5, 17.7],
    ['shortening', 81.1, 17.9],
    ['block_plant', 102.7, -1.1],
    ['block_plant75', 108.1, -7],
    ['coconut_oil', 81.2, 17.9],
    ['oil_neutral', 81.1, 17.9],
  ])('100 g butter to %s: %p g, water %p g', (toId, grams, water) => {
    const found = swap(
      dough([row('water', 120), row('butter_unsalted', 100, { fat: { state: 'creamed' } }), row('salt_fine', 6)]),
      1,
      toId,
    );
    expect(Math.abs(found.toG - grams)).toBeLessThan(0.35);
    expect(Math.abs((found.alsoMoves.find(({ name }) => name === 'Water')?.byG ?? 0) - water)).toBeLessThan(0.5);
  });

  it('drops the salt that salted butter brings: 1.6 g per 100 g (USDA SR Legacy, from memory)', () => {
    const found = swap(dough(wide), 1, 'butter_salted');
    expect(found.alsoMoves.find(({ name }) => name.startsWith('Salt'))!.byG).toBeCloseTo(-1.6, 0);
  });

  it('an egg of 50 g is 7 g flax meal and its water back, within the gel table (common practice, no source)', () => {
    const found = swap(dough(wide), 5, 'flax_meal');
    expect(found.toG).toBeCloseTo(7, 6);
    const water = found.alsoMoves.find(({ name }) => name === 'Water')!.byG;
    // 38.1 g of the egg less 0.5 g in the meal, less or more what the fat row brings.
    expect(Math.abs(water - 37.6)).toBeLessThan(0.6);
    expect(applyEdits(dough(wide), found.edits).rows[5]).toMatchObject({ ingredientId: 'flax_meal', soakMin: 10 });
    expect(found.allergensGone.map(({ code }) => code)).toEqual(expect.arrayContaining(['eu.egg']));
  });

  it('1 g sugar is 1.22 g honey less 0.21 g water, and 1.49 g maple syrup less 0.48 g (arithmetic on USDA SR Legacy)', () => {
    for (const [toId, grams, water] of [
      ['honey', 1.22, -0.21],
      ['maple_syrup', 1.49, -0.48],
    ] as const) {
      const found = swap(dough(wide), 2, toId);
      expect(found.toG / 90).toBeCloseTo(grams, 1);
      expect(found.alsoMoves.find(({ name }) => name === 'Water')!.byG / 90).toBeCloseTo(water, 1);
    }
  });

  it('hazelnut to pecan takes 13.8 g of butter per 100 g, and its water comes back (arithmetic on USDA SR Legacy)', () => {
    const found = swap(
      dough([row('water', 40), row('butter_unsalted', 100, { fat: { state: 'creamed' } }), row('hazelnut', 100), row('sugar_white', 50)]),
      2,
      'pecan',
    );
    expect(found.alsoMoves.find(({ name }) => name.startsWith('Butter'))!.byG).toBeCloseTo(-13.8, 0);
    expect(found.alsoMoves.find(({ name }) => name === 'Water')!.byG).toBeCloseTo(4.3, 0);
  });

  it('holds fat, water, sugars and salt within 0.1 g for every pair of every group, or refuses', () => {
    let held = 0;
    for (const group of swapGroups.values) {
      for (const from of Object.keys(group.of)) {
        for (const to of swapChoices(from, pantry)) {
          const base = [
            row('water', 400),
            row('butter_unsalted', 200, { fat: { state: 'creamed' }, key: 'butter' }),
            row('sugar_white', 200, { key: 'sugar' }),
            row('salt_fine', 12, { key: 'salt' }),
          ];
          const formula = dough([
            ...base,
            row(from, group.by === 'sodium' ? 4 : from === 'xanthan' ? 2 : 50, { key: 'x', fat: { state: 'creamed' } }),
          ]);
          let found;
          try {
            found = swap(formula, 4, to);
          } catch (error) {
            expect(error).toBeInstanceOf(InputError);
            continue;
          }
          held++;
          expect(found.held).toEqual(expect.arrayContaining(['fat', 'water', 'sugars', 'sodium']));
          for (const name of found.held) {
            expect({ from, to, name, off: Math.abs(found.after[name] - found.before[name]) < 0.1 }).toEqual({ from, to, name, off: true });
          }
        }
      }
    }
    expect(held).toBeGreaterThan(300);
  });

  it('there and back gives the same grams', () => {
    const formula = dough(wide);
    const there = applyEdits(formula, swap(formula, 1, 'shortening').edits);
    const back = applyEdits(there, swap(there, 1, 'butter_unsalted').edits);
    for (const [id, grams] of Object.entries(amounts(formula))) expect(Math.abs(amounts(back)[id]! - grams)).toBeLessThan(0.05);
  });

  it.each<[string, Formula, number, string, RegExp]>([
    [
      'oil in flaky pastry',
      dough([row('butter_unsalted', 100, { fat: { state: 'pieces', pieceMm: 6 } }), row('water', 40)], 'pie_flaky'),
      0,
      'olive_oil',
      /no flakes/,
    ],
    ['a tub spread in a rolled dough', dough(wide), 1, 'spread_tub', /never firms/],
    ['oil in puff', dough(wide, 'puff'), 1, 'oil_neutral', /folded in/],
    ['flax in a sheet shortcake', dough(wide, 'sheet_shortcake'), 5, 'flax_meal', /stands on its egg/],
    [
      'maple syrup with no water to take away',
      dough([row('sugar_white', 90), row('butter_unsalted', 60, { fat: { state: 'creamed' } })]),
      0,
      'maple_syrup',
      /more water/,
    ],
    ['butter for salt', dough(wide), 3, 'butter_unsalted', /do not stand for each other/],
  ])('refuses %s and says why', (_name, formula, index, toId, why) => {
    expect(() => swap(formula, index, toId)).toThrow(why);
  });

  it('re-checks what it has to suit, the wash too, and swaps a wash gram for gram', () => {
    const vegan = { ...dough([...wide, row('egg_whole', 10, { use: 'wash', key: 'w' })]), mustSuit: ['vegan'] };
    const found = swap(vegan, 9, 'egg_yolk');
    expect(found.toG).toBe(10);
    expect(found.alsoMoves).toEqual([]);
    expect(found.breaks.length).toBe(1);
    expect(found.notes.join(' ')).toMatch(/brush/);
  });

  it('stops at peanut for tree nut', () => {
    expect(swap(dough(wide), 7, 'peanut_ground').notes.join(' ')).toMatch(/two things/);
  });
});

describe('gums stand for each other by one table', () => {
  const cold = Object.keys(xanthanReplacedBy.values);
  const pairs = cold.flatMap((from) => cold.filter((to) => to !== from).map((to) => [from, to] as const));
  const doseG = (id: string) => 2.8 * xanthanReplacedBy.values[id as keyof typeof xanthanReplacedBy.values];
  const doughResult = (formula: Formula) => {
    const { dough: stage } = evaluateDough(formula, kitchen, pantry);
    if (stage.state === 'waiting') throw new Error(JSON.stringify(stage.problem));
    return stage.result;
  };
  const ratioOf = (formula: Formula) => doughResult(formula).binderRatio;

  it.each(pairs)('%s to %s and back is the dose it was, and binds as much', (from, to) => {
    // A blend without a gum of its own, so that nothing else binds.
    const blend = {
      ...aFormula().blend,
      rows: [
        { key: 'b1', ingredientId: 'sorghum', share: 0.6 },
        { key: 'b2', ingredientId: 'potato_starch', share: 0.4 },
      ],
    };
    const first = {
      ...dough(
        [row('water', 400), row('oil_neutral', 40), row('salt_fine', 4), row('sugar_white', 20), row(from, doseG(from))],
        'cracker_savoury',
      ),
      blend,
    };
    const there = applyEdits(first, swap(first, 4, to).edits);
    const back = applyEdits(there, swap(there, 4, from).edits);
    expect(there.rows[4]!.ingredientId).toBe(to);
    expect(back.rows[4]!.amountG / first.rows[4]!.amountG).toBeCloseTo(1, 2);
    expect(ratioOf(there) / ratioOf(first)).toBeGreaterThan(0.9);
    expect(ratioOf(there) / ratioOf(first)).toBeLessThan(1.1);
  });
  it('an egg is no gum: none is offered for xanthan, and what sets hot holds no cold sheet', () => {
    for (const id of swapChoices('xanthan', pantry)) expect(cold).toContain(id);
    const only = (id: string) => ({
      ...dough([row('water', 120), row(id, 6)]),
      blend: { ...aFormula().blend, rows: [{ key: 'b1', ingredientId: 'sorghum', share: 1 }] },
    });
    expect(ratioOf(only('hpmc'))).toBe(0);
    expect(doughResult(only('hpmc')).binders[0]!.bakedAsXanthanG).toBeCloseTo(3, 9);
  });
  it('an egg in a nut tart may go, with what is lost in words; a plant block for butter where there is a pinch of salt', () => {
    const tart = swap(dough(wide, 'nut_tart'), 5, 'flax_meal');
    expect(tart.notes.join(' ')).toMatch(/crumble or sink/);
    const pinch = dough([row('water', 120), row('butter_unsalted', 100, { fat: { state: 'creamed' } }), row('salt_fine', 0.3)]);
    expect(() => swap(pinch, 1, 'block_plant')).not.toThrow();
  });
});
