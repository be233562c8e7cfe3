import { families } from '../facts/families.js';
import { acrylamideClassOf, acrylamideOf } from './acrylamide.js';
import { aFormula, resultOf, worked } from '../worked/a-formula.js';

const gold = { moistureShare: 0.03, faceBrowning: 0.2, meanBrowning: 0.2 };
const plain = { asparagineMgPerKgDry: 100, ammoniaPercent: 0, reducingShare: 0, rawLightness: 82 };
const biscuit = families['cookie_rolled']!;
const of = (colours: Partial<typeof plain> = {}, piece: Partial<typeof gold> = {}) =>
  acrylamideOf(biscuit, { ...plain, ...colours }, { ...gold, ...piece }).value;

// Directions are published (from memory); sizes are judgement, so only orders of magnitude are asked.
describe('acrylamide', () => {
  it('rises with colour, with what it is made of and with ammonia, and falls with the water left', () => {
    expect(of({}, { faceBrowning: 0.3, meanBrowning: 0.3 })).toBeGreaterThan(of());
    expect(of({ asparagineMgPerKgDry: 200 })).toBeGreaterThan(of());
    expect(of({ reducingShare: 0.1 })).toBeGreaterThan(of());
    expect(of({}, { moistureShare: 0.08 })).toBeLessThan(0.6 * of());
    expect(of({}, { faceBrowning: 0, meanBrowning: 0 })).toBe(0);
  });
  it('one percent of ammonium bicarbonate multiplies it three to five times (published, from memory)', () => {
    expect(of({ ammoniaPercent: 1 }) / of()).toBeGreaterThanOrEqual(3);
    expect(of({ ammoniaPercent: 1 }) / of()).toBeLessThanOrEqual(5);
  });
  it('an enzyme that was put in takes half to nine tenths (published, from memory)', () => {
    const without = acrylamideOf(biscuit, plain, gold).value;
    const share = acrylamideOf(biscuit, plain, gold, ['enzyme', 'pale']).value / without;
    expect(share).toBeGreaterThanOrEqual(0.1);
    expect(share).toBeLessThanOrEqual(0.5);
  });
  it('a golden biscuit of grain and sugar lies where surveys find biscuits, 50 to 500 ug/kg (from memory)', () => {
    expect(of()).toBeGreaterThan(50);
    expect(of()).toBeLessThan(500);
  });
  it.each([
    ['cookie_rolled', 'biscuit', 350],
    ['cracker_savoury', 'cracker', 400],
    ['oatcake_crispbread', 'crispbread', 350],
    ['gingerbread', 'gingerbread', 800],
    ['pie_flaky', 'alike', 300],
  ])('%s is held against the benchmark of %s', (family, kind, benchmark) => {
    expect(acrylamideClassOf(families[family]!)).toBe(kind);
    expect(acrylamideOf(families[family]!, plain, gold)).toMatchObject({ benchmark, kind });
  });
  it('is worked out of a formula’s own rows: honey and ammonia in it raise it', () => {
    const indexOf = (set: Parameters<typeof aFormula>[0]) => resultOf(worked(aFormula(set)), 'bake').acrylamide.value;
    const ammonia = { key: 'a', ingredientId: 'baking_ammonia', amountG: 2, use: 'dough' };
    const now = indexOf({});
    expect(indexOf({ '/rows/8': ammonia })).toBeGreaterThan(1.5 * now);
    expect(indexOf({ '/bake/measures': ['enzyme'] })).toBeLessThan(0.5 * now);
  });
});
