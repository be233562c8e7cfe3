import { aFilling, aFormula, kitchen, pantry, resultOf, worked } from '../worked/a-formula.js';
import { evaluate } from '../evaluate.js';
import { goesOnOf, isInOven } from '../dough/piece/goes-on.js';
import { juiceOf } from '../dough/piece/filling-mix.js';
import type { Json } from '../document/edits.js';
import type { FillingMix } from '../dough/piece/filling-mix.js';

/** A round tart of the demo dough in a pan of 220 mm, four pieces of dough cut to fit. */
const tart = (more: Record<string, Json>) =>
  aFormula({
    '/sheet/parts/0/shape': { kind: 'rectangle', widthMm: 200, lengthMm: 200 },
    '/sheet/parts/0/thicknessMm': 3,
    '/bake/panId': 'ring-220',
    '/bake/steps': [{ name: 'Bake', wantC: 190, min: 45 }],
    ...more,
  });

describe('when it goes on', () => {
  it('each use has its usual moment, and what comes after the oven does not bake', () => {
    expect(goesOnOf({ use: 'dough' })).toBeNull();
    expect(goesOnOf({ use: 'dust' })).toEqual({ at: 'shaping' });
    expect(goesOnOf({ use: 'wash' })).toEqual({ at: 'bakeStep', n: 0 });
    expect(isInOven({ use: 'topping' })).toBe(true);
    expect(['hot', 'cooled', 'serving'].map((at) => isInOven({ use: 'topping', goesOn: { at: at as 'hot' } }))).toEqual([
      false,
      false,
      false,
    ]);
  });

  it('a topping at serving weighs nothing in the oven and counts in cost and allergens all the same', () => {
    const row = (goesOn?: Json): Json => ({ key: 't', ingredientId: 'sesame', amountG: 20, use: 'topping', ...(goesOn ? { goesOn } : {}) });
    const baked = worked(aFormula({ '/rows/8': row() }));
    const served = worked(aFormula({ '/rows/8': row({ at: 'serving' }) }));
    expect(resultOf(served, 'sheet').pieceG).toBeLessThan(resultOf(baked, 'sheet').pieceG);
    expect(resultOf(served, 'dough').lateG).toBe(20);
    expect(resultOf(served, 'dough').cost).toEqual(resultOf(baked, 'dough').cost);
    expect(resultOf(served, 'dough').allergens).toEqual(resultOf(baked, 'dough').allergens);
  });

  it.each<[Json, RegExp]>([
    [{ at: 'wait', n: 3 }, /names wait 4, and there are 0 waits after cutting/],
    [{ at: 'bakeStep', n: 5 }, /names step 6, and there are 2 steps in the oven/],
  ])('a moment that is not there is said where it stands: %j', (goesOn, message) => {
    const { dough } = evaluate(aFormula({ '/rows/7/goesOn': goesOn }), kitchen, pantry);
    expect(dough.state).toBe('waiting');
    expect((dough as { problem: { path: string; message: string } }).problem).toMatchObject({ path: 'rows[7].goesOn' });
    expect((dough as { problem: { message: string } }).problem.message).toMatch(message);
  });
});

describe('filling', () => {
  const mix: FillingMix = {
    massG: 700,
    makeUp: { water: 0.7, fat: 0, starch: 0, protein: 0, sugar: 0.25, fibre: 0.03, gum: 0, salt: 0, ash: 0.02 },
    fruitWaterG: 500,
    sugarG: 100,
    saltG: 0,
    starchG: 0,
    flourG: 0,
    gumG: 0,
    eggG: 0,
    unsetEggG: 0,
    dairy: false,
  };

  it('sugar draws juice within ten to thirty minutes (common practice: berries, no source), more with more sugar, never more than there is', () => {
    expect(juiceOf(mix, 10) / juiceOf(mix, 600)).toBeGreaterThan(0.35);
    expect(juiceOf(mix, 30) / juiceOf(mix, 600)).toBeGreaterThan(0.7);
    expect(juiceOf({ ...mix, sugarG: 200 }, 30)).toBeGreaterThan(juiceOf(mix, 30));
    expect(juiceOf({ ...mix, sugarG: 5000 }, Infinity)).toBeLessThan(500);
    expect(juiceOf({ ...mix, fruitWaterG: 0 }, 30)).toBe(0);
  });

  it('fruit tarts of 1400 g want 25 to 60 g of starch (common practice: 60-70 g of flour or half of starch, no source)', () => {
    const evaluation = worked(tart({ '/rows/8': aFilling('blueberries', 1200, 'f1'), '/rows/9': aFilling('sugar_white', 200, 'f2') }));
    const { pieces } = resultOf(evaluation, 'sheet');
    const { weepsG } = resultOf(evaluation, 'bake').filling!;
    const starchG = (weepsG * pieces) / 12;
    const { stoodG, juiceG } = resultOf(evaluation, 'bake').filling!;
    expect(stoodG).toBeGreaterThan(0);
    expect(stoodG).toBeLessThan(juiceG);
    expect(starchG).toBeGreaterThan(25);
    expect(starchG).toBeLessThan(60);
  });

  it('is a layer of its own: it is through later than the crust alone, later still when it is deep, and its juice boils away', () => {
    const at = (grams: number) =>
      resultOf(
        worked(tart({ '/rows/8': aFilling('blueberries', grams, 'f1'), '/rows/9': aFilling('sugar_white', grams / 6, 'f2') })),
        'bake',
      );
    const thin = at(500);
    const deep = at(900);
    expect(thin.coreC).toBe(85);
    expect(deep.throughMin!).toBeGreaterThan(thin.throughMin!);
    expect(thin.filling!.boiledG).toBeGreaterThan(0);
    expect(thin.filling!.heightMm).toBeGreaterThan(1);
  });

  it('runs over a pan that is too shallow, by as much as does not fit', () => {
    const over = (grams: number) => resultOf(worked(tart({ '/rows/8': aFilling('blueberries', grams, 'f1') })), 'bake').filling!.overG;
    expect(over(500)).toBe(0);
    expect(over(4000)).toBeGreaterThan(0);
    expect(over(4400) - over(4000)).toBeCloseTo(400 / resultOf(worked(tart({})), 'sheet').pieces, 0);
  });

  it('a pan that the kitchen does not have is said', () => {
    const { bake } = evaluate(aFormula({ '/bake/panId': 'nowhere' }), kitchen, pantry);
    expect(bake).toMatchObject({ state: 'waiting', problem: { path: 'bake.panId' } });
  });

  it('a wet filling softens a crisp crust in hours, jam later than fruit, and cream is asked into the cold', () => {
    const keep = (ingredientId: string) =>
      resultOf(worked(aFormula({ '/rows/8': aFilling(ingredientId, 150, 'f1', { at: 'cooled' }) })), 'keep');
    const fruit = keep('blueberries').crustSoft!.hours!;
    expect(fruit).toBeGreaterThan(0);
    expect(fruit).toBeLessThan(48);
    expect(keep('cream_cheese').needsCold).toBe(true);
    expect(keep('blueberries').needsCold).toBe(false);
    expect(resultOf(worked(aFormula()), 'keep').crustSoft).toBeNull();
  });
});
