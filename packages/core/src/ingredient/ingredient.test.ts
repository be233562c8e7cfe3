import { demoLots } from '../demo/seeded-crackers.js';
import { findingsOf } from '../evaluate.js';
import { aFormula, kitchen, worked } from '../worked/a-formula.js';
import { applyEdits } from '../document/edits.js';
import { allergensOf } from './safety/allergens.js';
import { glutenFindings, glutenLimitOf, glutenProof } from './safety/gluten.js';
import { compositionOf, makeUpOf, mixedComposition, lotsInUse, mixMakeUps, portionOf } from './mixture.js';
import { publishedIngredients } from './published.js';
import { isDry, isGum, isLeavener, isProteinType, isStarch, isStickyStarch } from './roles.js';
import type { Lot, Pantry } from '../document/pantry.js';

const ingredients = publishedIngredients();
const pantryOf = (...lots: Lot[]): Pantry => ({ ingredients, lots: Object.fromEntries(lots.map((lot) => [lot.id, lot])) });
const report = (mgPerKg: number) => ({ mgPerKg, below: true, method: 'R5 ELISA', on: '2026-09-01' });
const lot = (over: Partial<Lot>): Lot => ({ id: 'l1', ingredientId: 'sorghum', code: '1', ...over });

describe('portions', () => {
  it('take the first lot in use, never one set aside, unless a lot is named', () => {
    const pantry = pantryOf(lot({ id: 'a', code: '1', setAside: 'smells' }), lot({ id: 'c', code: '3' }), lot({ id: 'b', code: '2' }));
    expect(portionOf(pantry, '', 'sorghum', 10).lot?.id).toBe('b');
    expect(portionOf(pantry, '', 'sorghum', 10, 'c').lot?.id).toBe('c');
    expect(portionOf(pantry, '', 'millet', 10).lot).toBeUndefined();
  });

  it('reach for what is open, then what ends first, then what is least; never for an empty bag', () => {
    const pantry = pantryOf(
      lot({ id: 'late', code: '1', bestByOn: '2027-09-01' }),
      lot({ id: 'soon', code: '2', bestByOn: '2027-02-01' }),
      lot({ id: 'open', code: '3', bestByOn: '2027-08-01', openedOn: '2026-11-01' }),
      lot({ id: 'empty', code: '0', openedOn: '2026-01-01', onHandG: 0 }),
    );
    expect(lotsInUse(pantry, 'sorghum').map(({ id }) => id)).toEqual(['open', 'soon', 'late']);
    // A lot of another ingredient is not taken by name.
    expect(portionOf(pantry, '', 'millet', 1, 'open').lot).toBeUndefined();
  });

  it('measured moisture outranks the table; the dry parts keep their proportion', () => {
    const damp = compositionOf({ ingredient: ingredients['sorghum']!, amountG: 100, lot: lot({ moistureShare: 0.2 }) });
    expect(damp.waterShare).toBe(0.2);
    // Sorghum: 8.4 % protein at 10.3 % water; at 20 % water 8.4 x 0.8 / 0.897.
    expect(damp.proteinShare).toBeCloseTo((0.084 * 0.8) / 0.897, 9);
  });
});

describe('mixtures', () => {
  const pantry = pantryOf();
  const portions = [
    portionOf(pantry, '', 'sorghum', 60),
    portionOf(pantry, '', 'xanthan', 1),
    portionOf(pantry, '', 'salt_fine', 2),
    portionOf(pantry, '', 'water', 37),
  ];

  it('sum to one, gum fibre as gum and salt ash as salt', () => {
    const makeUp = makeUpOf(portions);
    expect(Object.values(makeUp).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);
    expect(makeUp.gum).toBeCloseTo(0.0077, 4);
    expect(makeUp.salt).toBeCloseTo(0.01996, 4);
  });

  it('masses add: mixing parts is mixing the whole', () => {
    const parts = mixMakeUps([
      { makeUp: makeUpOf(portions.slice(0, 2)), massG: 61 },
      { makeUp: makeUpOf(portions.slice(2)), massG: 39 },
    ]);
    const whole = makeUpOf(portions);
    expect(parts.water).toBeCloseTo(whole.water, 3);
    expect(parts.protein).toBeCloseTo(whole.protein, 3);
  });

  it('of nothing are nothing', () => expect(mixedComposition([]).waterShare).toBe(0));
});

describe('roles', () => {
  it.each<[string, (one: (typeof ingredients)[string]) => boolean, boolean]>([
    ['xanthan', isGum, true],
    ['flax_meal', isGum, true],
    ['sorghum', isGum, false],
    ['potato_starch', isStarch, true],
    ['potato_flour', isStarch, false],
    ['tapioca_starch', isStickyStarch, true],
    ['sorghum', isProteinType, true],
    ['baking_powder', isLeavener, true],
    ['cream_of_tartar', isLeavener, false],
    ['sesame', isDry, true],
    ['butter_unsalted', isDry, false],
    ['honey', isDry, false],
  ])('%s', (id, is, wanted) => expect(is(ingredients[id]!)).toBe(wanted));
});

const inEurope = (glutenLimitMgPerKg: number) => ({ ...kitchen, market: 'eu' as const, glutenLimitMgPerKg });

describe('allergens and gluten', () => {
  it('certain outranks possible, and what is not in it does not count', () => {
    const pantry = pantryOf();
    const found = allergensOf([
      portionOf(pantry, '', 'butter_unsalted', 10),
      portionOf(pantry, '', 'choc_chips', 5),
      portionOf(pantry, '', 'sesame', 0),
    ]);
    expect(found).toContainEqual({ code: 'us.milk', possible: false });
    expect(found.map(({ code }) => code)).not.toContain('us.sesame');
    expect(found.find(({ code }) => code === 'eu.gluten_cereal:barley')).toEqual({ code: 'eu.gluten_cereal:barley', possible: true });
  });

  it.each<[string, Partial<Lot> | null, string[]]>([
    ['a lot with a report under the limit holds', { report: report(5) }, []],
    ['a lot over the kitchen’s own limit does not', { report: report(12) }, ['gluten.overLimit']],
    ['exactly at the limit is not over it', { report: report(10) }, []],
    ['a lot without a report is not proven', {}, ['gluten.notProven']],
    ['a report of last year is old', { report: { ...report(5), on: '2025-10-01' } }, ['gluten.reportOld']],
    ['no lot at all is not proven', null, ['gluten.notProven']],
  ])('%s', (_claim, over, codes) => {
    const pantry: Pantry = { ...(over === null ? pantryOf() : pantryOf(lot(over))), on: '2026-11-25' };
    const found = glutenFindings([portionOf(pantry, '', 'sorghum', 50)], inEurope(10), pantry, 'blend');
    expect(found.map(({ code }) => code)).toEqual(codes);
    for (const { code, unsafe, level } of found) {
      expect([unsafe, level]).toEqual(code === 'gluten.reportOld' ? [undefined, 'watch'] : [true, 'fix']);
    }
  });

  it('names every ingredient that is not proven, in one finding', () => {
    const pantry = pantryOf();
    const [found] = glutenFindings(
      [portionOf(pantry, '', 'sorghum', 50), portionOf(pantry, '', 'oat_flour', 50)],
      inEurope(20),
      pantry,
      'blend',
    );
    expect(found!.measured!.of).toContain('Sorghum');
    expect(found!.measured!.of).toContain('Oat');
  });

  it('a plain oil or sugar needs no proof', () => {
    const pantry = pantryOf();
    const portions = ['olive_oil', 'sugar_white'].map((id) => portionOf(pantry, '', id, 50));
    expect(glutenFindings(portions, inEurope(20), pantry, 'dough')).toEqual([]);
  });

  it('offers the lot that is proven, and taking it ends the finding', () => {
    const lots = [lot({ id: 'open', code: '3', openedOn: '2026-11-01' }), lot({ id: 'good', code: '4', report: report(5) })];
    const pantry = { ...pantryOf(...lots, ...demoLots.filter(({ ingredientId }) => ingredientId !== 'sorghum')), on: '2026-11-25' };
    const formula = aFormula();
    const found = findingsOf(worked(formula, kitchen, pantry)).filter(({ code }) => code === 'gluten.notProven');
    expect(found).toHaveLength(1);
    expect(found[0]!.change!.edits).toEqual([{ path: '/blend/rows/0/lotId', to: 'good' }]);
    const after = findingsOf(worked(applyEdits(formula, found[0]!.change!.edits), kitchen, pantry));
    expect(after.map(({ code }) => code)).not.toContain('gluten.notProven');
  });

  it('no grain in it is a word of its own, not a proof, until the kitchen takes it on record', () => {
    const oil = ingredients['olive_oil']!;
    expect(glutenProof(oil, undefined, glutenLimitOf(inEurope(20)), undefined)).toBe('noGrain');
    const accepted = lot({ ingredientId: 'olive_oil', acceptedWithoutReport: 'pressed here' });
    expect(glutenProof(oil, accepted, glutenLimitOf(inEurope(20)), undefined)).toBe('accepted');
    expect(glutenProof(ingredients['sorghum']!, { ...accepted, ingredientId: 'sorghum' }, glutenLimitOf(inEurope(20)), undefined)).toBe(
      'noReport',
    );
  });

  it('every lot of the demo names an ingredient there is', () => {
    for (const { ingredientId } of demoLots) expect(ingredients[ingredientId]).toBeDefined();
  });
});
