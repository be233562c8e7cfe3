import { families } from '../facts/families.js';
import { judgements, judged } from '../facts/judgements.js';
import { bakeCaseFor } from '../evaluate.js';
import { aFormula, kitchen, pantry, resultOf, worked } from '../worked/a-formula.js';
import { meanSpread, spreadRatio } from './spreading.js';
import type { DoughResult } from '../dough/dough.js';

const cookie = families['cookie_scooped']!;
const base = resultOf(worked(aFormula()), 'dough');
const dough = (over: Partial<DoughResult['percents']> = {}, binderRatio = 0): DoughResult => ({
  ...base,
  percents: { ...base.percents, fat: cookie.fatPercent[1], sugar: cookie.sugarPercent[1], ...over },
  binderRatio,
  needsBinder: false,
});
const usual = spreadRatio(cookie, dough(), 12);

describe('a cookie spreads', () => {
  it.each<[string, number, 'more' | 'less']>([
    ['warm dough', spreadRatio(cookie, dough(), 22), 'more'],
    ['cold dough', spreadRatio(cookie, dough(), 2), 'less'],
    ['more fat', spreadRatio(cookie, dough({ fat: 75 }), 12), 'more'],
    ['less sugar', spreadRatio(cookie, dough({ sugar: 50 }), 12), 'less'],
    ['gum', spreadRatio(cookie, dough({}, 1), 12), 'less'],
  ])('%s: %d (direction common practice, no source)', (_claim, ratio, way) => {
    expect(way === 'more' ? ratio > usual : ratio < usual).toBe(true);
  });
  it('the target formula grows by about two fifths, nothing grows past twice, nothing shrinks', () => {
    expect(usual).toBeCloseTo(1.4, 1);
    expect(spreadRatio(cookie, dough({ fat: 500, sugar: 900 }), 40)).toBe(2);
    expect(spreadRatio(cookie, dough({ fat: 0, sugar: 0 }, 30), -20)).toBeGreaterThanOrEqual(1);
    expect(meanSpread(1)).toBe(1);
  });
  it('what is rolled, and what is no cookie, stays as it is cut', () => {
    expect(spreadRatio(families['cracker_sweet']!, dough(), 30)).toBe(1);
    expect(spreadRatio(families['cookie_rolled']!, dough(), 30)).toBe(1);
  });
});

describe('judgements of a kitchen', () => {
  it('each lies inside its own limits, with a source and a unit', () => {
    for (const [name, one] of Object.entries(judgements)) {
      expect([name, one.value >= one.low && one.value <= one.high, one.source.length > 0, one.unit.length > 0]).toEqual([
        name,
        true,
        true,
        true,
      ]);
    }
  });
  it('ours stands until the kitchen sets its own', () => {
    expect(judged(undefined, 'bareTray')).toBe(judgements.bareTray.value);
    expect(judged({ bareTray: 0.2 }, 'bareTray')).toBe(0.2);
    expect(judged({ bareTray: 0.2 }, 'edgeShare')).toBe(judgements.edgeShare.value);
  });
  it('held as ours they change nothing, held otherwise the bake and the pack follow', () => {
    const bake = (held: Record<string, number>) => resultOf(worked(aFormula(), { ...kitchen, judgements: held }), 'bake');
    const doneMin = (held: Record<string, number>) => bake(held).doneMin!;
    const ours = Object.fromEntries(Object.entries(judgements).map(([name, { value }]) => [name, value]));
    expect(doneMin(ours)).toBeCloseTo(doneMin({}), 6);
    expect(doneMin({ browningRate: 1.5 })).toBeLessThan(doneMin({}));
    // Damp air dries later; what stays moist colours sooner, so nothing is asked of when it is done.
    expect(bake({ ovenSteam: 20 }).dryMin!).toBeGreaterThan(bake({}).dryMin!);
    const days = (held: Record<string, number>) => resultOf(worked(aFormula(), { ...kitchen, judgements: held }), 'keep').crispDays.value;
    expect(days({ tightTin: 40 })).toBeLessThan(days({}));
    expect(bakeCaseFor(aFormula(), { ...kitchen, judgements: { lookDrop: 40 } }, pantry)!.problem.lookDropC).toBe(40);
  });
  it('a place that takes heat faster cools a dough sooner', () => {
    const end = (wPerM2K?: number) =>
      resultOf(
        worked(aFormula(), {
          ...kitchen,
          places: kitchen.places.map((place) => (place.id === 'fridge' && wPerM2K ? { ...place, wPerM2K } : place)),
        }),
        'chill',
      ).endMiddleC;
    expect(end(20)).toBeLessThan(end());
  });
});
