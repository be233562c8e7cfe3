import { aFormula, kitchen, pantry } from '../worked/a-formula.js';
import { fromPreparation } from './made.js';
import { leavesOf } from './parts.js';
import { portionOf } from './mixture.js';
import { glutenFindings } from './safety/gluten.js';
import { batchOf, stockUses } from './stock.js';
import type { Preparation } from '../document/preparation.js';
import { demoPreparation } from '../demo/seeded-crackers.js';
import type { Lot, Pantry } from '../document/pantry.js';

const withLots = (...lots: Lot[]): Pantry => ({ ...pantry, lots: Object.fromEntries(lots.map((lot) => [lot.id, lot])) });
const lot = (id: string, over: Partial<Lot> = {}): Lot => ({ id, ingredientId: 'sorghum', code: id, ...over });
const sum = (uses: readonly { usedG: number }[]) => uses.reduce((total, { usedG }) => total + usedG, 0);

describe('what a bake takes from the shelf', () => {
  it('what was planned, times the batch (hand sum: 240 x 0.56 x 1.5 = 201.6 g)', () => {
    expect(stockUses({ formula: aFormula(), factor: 1.5 }, {}, withLots(lot('a')))).toEqual([
      { rowKey: 'b1', lotId: 'a', usedG: expect.closeTo(201.6, 9) },
    ]);
  });
  it('what was weighed, where it was', () => {
    expect(stockUses({ formula: aFormula(), factor: 1 }, { b1: 120 }, withLots(lot('a')))).toEqual([
      { rowKey: 'b1', lotId: 'a', usedG: 120 },
    ]);
    expect(stockUses({ formula: aFormula(), factor: 1 }, { b1: 0 }, withLots(lot('a')))).toEqual([]);
  });
  it('the open lot first, the next where it ends; the last gives what is left over however little it was thought to hold', () => {
    const uses = stockUses(
      { formula: aFormula(), factor: 1 },
      {},
      withLots(lot('closed', { onHandG: 50 }), lot('open', { openedOn: '2026-11-01', onHandG: 40 })),
    );
    expect(uses.map(({ lotId, usedG }) => [lotId, Math.round(usedG * 10) / 10])).toEqual([
      ['open', 40],
      ['closed', 94.4],
    ]);
    expect(sum(uses)).toBeCloseTo(134.4, 9);
  });
  it('the lot that a row names before all others, and none where the kitchen has none', () => {
    const named = aFormula({ '/blend/rows/0/lotId': 'b' });
    expect(stockUses({ formula: named, factor: 1 }, {}, withLots(lot('a', { openedOn: '2026-01-01' }), lot('b')))[0]!.lotId).toBe('b');
    expect(stockUses({ formula: aFormula(), factor: 1 }, {}, withLots())).toEqual([]);
  });
  it('two rows of one ingredient share what is there', () => {
    const formula = aFormula({ '/rows/8': { key: 'r9', ingredientId: 'sorghum', amountG: 10, use: 'topping' } });
    const uses = stockUses({ formula, factor: 1 }, {}, withLots(lot('a', { onHandG: 140, openedOn: '2026-01-01' }), lot('b')));
    expect(uses.filter(({ lotId }) => lotId === 'a').reduce((total, { usedG }) => total + usedG, 0)).toBeCloseTo(140, 9);
    expect(sum(uses)).toBeCloseTo(144.4, 9);
  });
  it('of a preparation, from the lots of what it was made of (hand sum: 10 g of glaze holds 20/105 of sesame)', () => {
    const sesame = lot('s', { ingredientId: 'sesame' });
    const within = withLots(sesame);
    const made: Pantry = {
      ...within,
      ingredients: { ...within.ingredients, [demoPreparation.id]: fromPreparation(demoPreparation, within) },
    };
    const formula = aFormula({ '/rows/2': { key: 'r3', ingredientId: demoPreparation.id, amountG: 10, use: 'topping' } });
    expect(stockUses({ formula, factor: 1 }, {}, made)).toEqual([{ rowKey: 'r3', lotId: 's', usedG: expect.closeTo((10 * 20) / 105, 9) }]);
  });
  it('each bag gives what was weighed from it where one was emptied and the next begun', () => {
    const two = withLots(lot('a', { onHandG: 60 }), lot('b'));
    const uses = stockUses({ formula: aFormula(), factor: 1 }, { b1: 134 }, two, { b1: { a: 50, b: 84 } });
    expect(uses.filter(({ rowKey }) => rowKey === 'b1')).toEqual([
      { rowKey: 'b1', lotId: 'a', usedG: 50 },
      { rowKey: 'b1', lotId: 'b', usedG: 84 },
    ]);
    // One bag named is as before: what it cannot give, the next does.
    expect(stockUses({ formula: aFormula(), factor: 1 }, { b1: 134 }, two, { b1: { a: 134 } })).toEqual(
      stockUses({ formula: aFormula(), factor: 1 }, { b1: 134 }, two),
    );
  });
});

describe('a batch of a preparation', () => {
  const crumble: Preparation = {
    schema: 1,
    id: 'crumble',
    name: 'Crumble',
    rows: [
      { key: 'a', ingredientId: 'sorghum', amountG: 100 },
      { key: 'b', ingredientId: 'cream_heavy', amountG: 50 },
    ],
    acts: [],
    boiledOffG: 0,
    drainedG: 0,
    keepDays: 30,
    keepAt: 'fridge',
  };
  const report = { mgPerKg: 3, method: 'ELISA R5', on: '2026-10-01' } as unknown as NonNullable<Lot['report']>;
  const unproven = lot('old');
  const shelf = { ...withLots(unproven, lot('cream', { ingredientId: 'cream_heavy' })), on: '2026-12-01' };

  it('keeps no longer than is safe, whatever was written down', () => {
    const { useByOn, madeOn, onHandG } = batchOf(crumble, { id: 'x', code: 'x', times: 2 }, shelf);
    expect([madeOn, onHandG]).toEqual(['2026-12-01', 300]);
    // facts/cold coldGoodDays.
    expect(useByOn).toBe('2026-12-04');
    expect(batchOf({ ...crumble, keepDays: 1 }, { id: 'x', code: 'x', times: 2 }, shelf).useByOn).toBe('2026-12-02');
  });

  it('is of the bags it was made of: a proven one opened later proves nothing of it', () => {
    const batch = batchOf(crumble, { id: 'batch', code: 'Mon', times: 1 }, shelf);
    const proven = lot('new', { report, openedOn: '2026-12-01' });
    const later: Pantry = {
      ...shelf,
      ingredients: { ...shelf.ingredients, crumble: fromPreparation(crumble, shelf) },
      lots: { ...shelf.lots, new: proven, batch },
    };
    const portion = portionOf(later, '', 'crumble', 60);
    expect(portion.lot?.id).toBe('batch');
    expect(leavesOf(later, portion).find(({ ingredient }) => ingredient.id === 'sorghum')!.lot!.id).toBe('old');
    expect(glutenFindings([portion], kitchen, later, 'dough').map(({ code }) => code)).toContain('gluten.notProven');
  });
});
