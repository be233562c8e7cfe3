import { coldTable } from '../matter/cold-enthalpy.js';
import { families } from '../facts/families.js';
import { aFormula, kitchen, resultOf, worked } from '../worked/a-formula.js';
import { conduct } from './conduction.js';
import { madeReady, madeReadyFor } from './made-ready.js';
import { evaluate } from '../evaluate.js';
import { referenceFormula, referencePantry } from '../solve/reference.js';
import { referenceKitchen } from '../solve/reference-kitchen.js';
import { chillWays } from './ways.js';
import type { Json } from '../document/edits.js';
import type { MakeUp } from '../matter/make-up.js';

const ways = (set: Record<string, Json> = {}, itsKitchen = kitchen) => {
  const formula = aFormula(set);
  return chillWays(formula, families[formula.family]!, itsKitchen, resultOf(worked(formula), 'dough'));
};
const minutes = ({ waits }: { waits: readonly { min: number }[] }) => waits.reduce((sum, { min }) => sum + min, 0);

describe('ways to get a dough cold', () => {
  it('the freezer takes half the fridge or less, and the quickest stands first (common practice: 30 min fridge or 15 freezer, no source)', () => {
    const found = ways().ways;
    const only = (id: string) => found.find(({ waits }) => waits.length === 1 && waits[0]!.placeId === id && waits[0]!.min < 700)!;
    expect(minutes(only('freezer'))).toBeLessThanOrEqual(0.6 * minutes(only('fridge')));
    expect(found.map(minutes)).toEqual(found.map(minutes).sort((a, b) => a - b));
  });
  it('a thick slab pressed thin is cold in less than half the time', () => {
    const found = ways({ '/chill/thicknessMm': 40 }).ways.filter(
      ({ waits }) => waits.length === 1 && waits[0]!.placeId === 'fridge' && waits[0]!.min < 700,
    );
    const [thin, thick] = [15, 40].map((mm) => found.find(({ thicknessMm }) => thicknessMm === mm)!);
    expect(minutes(thin!)).toBeLessThan(0.5 * minutes(thick!));
  });
  it('the way that is taken gets there: its minutes in the formula bring the middle to the target', () => {
    const way = ways().ways[0]!;
    const chill = resultOf(
      worked(aFormula({ '/restMin': 0, '/chill/waits': way.waits.map(({ placeId, min }) => ({ placeId, min })) })),
      'chill',
    );
    expect(chill.endMiddleC).toBeLessThanOrEqual(17.01);
    expect(chill.benchMin).toBeCloseTo(way.benchMin, 0);
  });
  it('freezes in hours, thaws slower in the fridge than on the table', () => {
    const { frozen } = ways({ '/chill/thicknessMm': 25 });
    expect(frozen!.frozenMin).toBeGreaterThan(20);
    expect(frozen!.fridgeMin!).toBeGreaterThan(frozen!.tableMin!);
  });
  it('a kitchen without a freezer offers no freezer', () => {
    const without = { ...kitchen, places: kitchen.places.filter(({ kind }) => kind !== 'freezer') };
    expect(ways({}, without).frozen).toBeNull();
    expect(ways({}, without).ways.every(({ waits }) => waits.every(({ placeId }) => placeId !== 'freezer'))).toBe(true);
  });
});

describe('made ready beforehand', () => {
  const dough = resultOf(worked(aFormula()), 'dough').makeUp;
  const ready = (thing: string) => madeReady(kitchen, dough).find((one) => one.thing === thing)!;
  it('cut butter hardens in the freezer in about ten minutes (common practice: 10 min, no source)', () => {
    expect(ready('cutButter').min).toBeGreaterThan(4);
    expect(ready('cutButter').min).toBeLessThan(25);
  });
  it('a block bends within the hour or two, slices cream within the hour or two (common practice: 30 to 60 min for pieces, no source)', () => {
    expect(ready('butterBends').min!).toBeGreaterThan(15);
    expect(ready('butterBends').min!).toBeLessThan(150);
    expect(ready('butterCreams').min!).toBeGreaterThan(20);
    expect(ready('butterCreams').min!).toBeLessThan(150);
  });
  it('a dough ball and a filled pie freeze over hours and thaw over a night in the fridge', () => {
    expect(ready('ballIn').min!).toBeGreaterThan(60);
    expect(ready('pieOut').min!).toBeGreaterThan(ready('ballIn').min! / 2);
    expect(ready('pieIn').min!).toBeLessThan(24 * 60);
  });
});

describe('made ready for a formula', () => {
  const of = (id: string) => {
    const formula = referenceFormula(families[id]!);
    const { makeUp } = resultOf(evaluate(formula, referenceKitchen, referencePantry), 'dough');
    const { before, also } = madeReadyFor({ formula, family: families[id]!, kitchen: referenceKitchen, pantry: referencePantry }, makeUp);
    return [before, also].map((list) => list.map(({ thing }) => thing));
  };
  it.each([
    ['pie_flaky', ['cutButter'], ['coldFlour', 'ballIn', 'ballOut']],
    ['short_sweet', ['butterCreams'], ['ballIn', 'ballOut']],
    ['puff', ['butterBends'], ['ballIn', 'ballOut']],
    // Oil is not cut, a batter is not frozen, a tart with its jam is frozen whole too.
    ['press_in_oil', [], ['ballIn', 'ballOut']],
    ['muffin', [], []],
    ['nut_tart', ['butterCreams'], ['ballIn', 'ballOut', 'pieIn', 'pieOut']],
  ])('%s: %p before it, %p besides', (id, before, also) => expect(of(id)).toEqual([before, also]));
});

describe('dough in the cold against bakers (common practice of the trade notes, no source)', () => {
  const cookie: MakeUp = { water: 0.14, fat: 0.21, starch: 0.27, protein: 0.05, sugar: 0.3, fibre: 0.02, gum: 0, salt: 0.005, ash: 0.005 };
  const cold = (sizeMm: number, form: 'slab' | 'sphere', startC: number, atC: number, h: number, min: number, melted = false) => {
    const course = conduct({
      form,
      sizeMm,
      material: coldTable(cookie),
      startC,
      exposures: [{ min, topWPerM2K: h, bottomWPerM2K: h, topC: atC, bottomC: atC }],
      fat: { name: 'butter', shareOfDough: cookie.fat, melted },
    });
    const last = course.min.length - 1;
    return { solid: course.solidFatPercent[last]!, middleC: course.middleC[last]! };
  };
  it('a 12.5 mm slab rolls after 30 min in the fridge and is hard after 60', () => {
    expect(cold(12.5, 'slab', 22, 4, 7.5, 30).solid).toBeGreaterThan(22);
    expect(cold(12.5, 'slab', 22, 4, 7.5, 30).solid).toBeLessThan(38);
    expect(cold(12.5, 'slab', 22, 4, 7.5, 60).solid).toBeGreaterThan(36);
  });
  it('cookie balls of 38 mm are just firm after 15 min in the freezer', () => {
    const { solid } = cold(38, 'sphere', 21, -18, 9, 15);
    expect(solid).toBeGreaterThan(20);
    expect(solid).toBeLessThan(38);
  });
  it('melted butter sets late: cold within the hour, workable only after one to one and a half', () => {
    expect(cold(25, 'slab', 26, 4, 7.5, 30, true).solid).toBeLessThan(16);
    expect(cold(25, 'slab', 26, 4, 7.5, 90, true).solid).toBeGreaterThan(22);
  });
});
