import { aFormula, kitchen, resultOf, WATER, worked } from '../worked/a-formula.js';
import type { Json } from '../document/edits.js';

const sheet = (set: Record<string, Json> = {}) => resultOf(worked(aFormula(set)), 'sheet');

describe('sheet stage', () => {
  it('sums the demo cracker by hand', () => {
    const { pieceG, pieces, rolls, scrapG, rerollDustG } = sheet();
    // 1.2 g/ml x 45 x 45 x 2.4 mm = 5.832 g; (413.9 + 6 of dust) g in, 66 pieces from the first sheet; 34.988 g of trim take up
    // 1.5 % of dust and give 4 more.
    expect(pieceG).toBeCloseTo(5.832, 9);
    expect(pieces).toBe(70);
    expect(rolls.map((roll) => roll.pieces)).toEqual([66, 4]);
    expect(rerollDustG).toBeCloseTo(0.015 * (419.9 - 66 * 5.832), 9);
    expect(scrapG).toBeCloseTo(419.9 + rerollDustG - 70 * 5.832, 6);
  });

  it('half the thickness gives twice the pieces, within a row', () => {
    const thin = sheet({ '/sheet/parts/0/thicknessMm': 1.2 }).pieces;
    expect(Math.abs(thin - 2 * sheet().pieces)).toBeLessThanOrEqual(12);
  });

  it('rolling the trim again gives at least as many, till gone the most', () => {
    const of = (reroll: string) => sheet({ '/sheet/reroll': reroll, '/sheet/trimMm': 12 }).pieces;
    expect(of('once')).toBeGreaterThanOrEqual(of('no'));
    expect(of('tillGone')).toBeGreaterThanOrEqual(of('once'));
  });

  it('topping goes on the pieces and weighs on them; dust goes into the sheet', () => {
    const topped = sheet({ '/rows/8': { key: 't', ingredientId: 'poppy', amountG: 14, use: 'topping' } });
    expect(topped.pieceG).toBeCloseTo(5.832 + 14 / 70, 6);
    expect(sheet({ '/rows/7/amountG': 30 }).pieces).toBeGreaterThan(sheet({ '/rows/7/amountG': 0 }).pieces);
  });

  it('a piece waits at the table, then firms where it is put', () => {
    expect(sheet().pieceC).toBeGreaterThan(resultOf(worked(aFormula()), 'chill').endMiddleC);
    expect(sheet().pieceC).toBeLessThanOrEqual(kitchen.roomC);
    expect(sheet({ '/sheet/waits': [{ placeId: 'freezer', min: 10 }] }).pieceC).toBeLessThan(0);
  });

  it('counts the trays it fills', () => {
    expect(sheet()).toMatchObject({ piecesPerTray: 35, traysNeeded: 2 });
    expect(sheet({ '/blendG': 720, [WATER]: 306 }).traysNeeded).toBeGreaterThan(2);
  });
});
