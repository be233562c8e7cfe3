import { markets } from '../facts/markets.js';
import { publishedIngredients } from './published.js';
import { glutenLimitOf, glutenProof } from './safety/gluten.js';
import type { Lot } from '../document/pantry.js';
import type { Market } from '../facts/markets.js';

const ingredients = publishedIngredients();
const ON = '2026-11-29';
const lot = (over: Partial<Lot>): Lot => ({ id: 'l', ingredientId: 'sorghum', code: '1', ...over });
const report = (mgPerKg: number, below = false, on = '2026-10-01') => ({ mgPerKg, below, method: 'R5', on });
const proof = (market: Market | undefined, over: Partial<Lot>, id = 'sorghum', own = 20, home = false) =>
  glutenProof(ingredients[id]!, lot(over), glutenLimitOf({ ...(market ? { market } : {}), home, glutenLimitMgPerKg: own }), ON);

/** Codex CXS 118-1979 and Reg. (EU) 828/2014: at most 20. 21 CFR 101.91 and Canada: below 20. FSANZ 1.2.7: none detectable. From memory. */
describe('gluten by market', () => {
  it.each<[Market, string, string, string]>([
    ['eu', 'proven', 'proven', 'over'],
    ['uk', 'proven', 'proven', 'over'],
    ['us', 'proven', 'over', 'over'],
    ['canada', 'proven', 'over', 'over'],
    ['auNz', 'over', 'over', 'over'],
    ['brazil', 'proven', 'proven', 'over'],
    ['other', 'proven', 'proven', 'over'],
  ])('%s: 19, 20 and 21 mg/kg', (market, at19, at20, at21) => {
    expect([19, 20, 21].map((mg) => proof(market, { report: report(mg) }))).toEqual([at19, at20, at21]);
  });
  it('a report marked below 20 passes below 20, and is not “none detectable”', () => {
    expect(proof('us', { report: report(20, true) })).toBe('proven');
    expect(proof('auNz', { report: report(20, true) })).toBe('over');
    expect(proof('auNz', { report: report(5, true) })).toBe('proven');
    expect(proof('auNz', { report: report(4) })).toBe('over');
  });
  it('the stricter of market and kitchen holds', () => {
    expect(proof('eu', { report: report(12) }, 'sorghum', 10)).toBe('over');
    expect(proof('us', { report: report(10) }, 'sorghum', 10)).toBe('proven');
  });
  it('before anybody said where it is sold the strictest rule holds', () => {
    expect(proof(undefined, { report: report(12) })).toBe('over');
    expect(glutenLimitOf({ glutenLimitMgPerKg: 20 }).unsaid).toBe(true);
  });
  it('oats and wheat starch have no place in Australia, whatever a report says; elsewhere they need one', () => {
    for (const id of ['oat_flour', 'wheat_starch_gf']) {
      expect(proof('auNz', { report: report(3, true) }, id)).toBe('notInMarket');
      expect(proof('eu', { report: report(3, true) }, id)).toBe('proven');
      expect(proof('eu', {}, id)).toBe('noReport');
    }
    for (const market of markets) expect(proof(market, { report: report(1, true) }, 'oats_ordinary')).toBe('contains');
  });
  it('a certificate stands in place of a report until its last day, and a report of tomorrow proves nothing', () => {
    const certificate = (until: string) => ({ certificate: { number: 'GF-1', by: 'the maker', until } });
    expect(proof('eu', certificate('2026-11-29'))).toBe('certified');
    expect(proof('eu', certificate('2026-11-28'))).toBe('noReport');
    expect(proof('eu', { ...certificate('2027-11-28'), report: report(30) })).toBe('over');
    expect(proof('eu', { report: report(1, true, '2026-12-24') })).toBe('noReport');
    expect(proof('eu', { report: report(1, true, '2025-01-01') })).toBe('old');
  });
  it('the mark on the bag counts at home, on record, and nowhere else', () => {
    const onBag = { acceptedOnBag: 'certified mark on the bag' };
    expect([proof('eu', onBag, 'sorghum', 20, true), proof('eu', onBag), proof('eu', {}, 'sorghum', 20, true)]).toEqual([
      'onBag',
      'noReport',
      'lookAtBag',
    ]);
  });
});
