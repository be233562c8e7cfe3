import fc from 'fast-check';
import { coldTable } from './cold-enthalpy.js';
import { freezing } from './freezing.js';
import { activityAt, tabulateIsotherm } from './isotherm.js';
import { perDry } from './make-up.js';
import { solidFatPercent } from './solid-fat.js';
import { bakedSolids, heldWater, rawDoughActivity, solidsOf, waterActivity } from './sorption.js';
import { thermalProperties, withPores } from './thermal.js';
import type { MakeUp } from './make-up.js';

const nothing: MakeUp = { water: 0, fat: 0, starch: 0, protein: 0, sugar: 0, fibre: 0, gum: 0, salt: 0, ash: 0 };
const cracker: MakeUp = { water: 0.27, fat: 0.16, starch: 0.4, protein: 0.07, sugar: 0.03, fibre: 0.04, gum: 0, salt: 0.015, ash: 0.015 };
const biscuit: MakeUp = {
  ...nothing,
  water: 0.38,
  fat: 0.14,
  starch: 0.35,
  protein: 0.06,
  sugar: 0.03,
  fibre: 0.015,
  salt: 0.01,
  ash: 0.015,
};

describe('sorption', () => {
  it('starch at half activity holds what GAB says: 0.088 x 20 x 0.73 x 0.5 / ((1 - 0.365)(1 - 0.365 + 7.3)) (hand sum)', () => {
    expect(heldWater(solidsOf({ ...nothing, starch: 1 }), 0.5)).toBeCloseTo(0.6424 / (0.635 * 7.935), 6);
  });

  it('brine of one molal salt stands near an activity of 0.965 (ideal ions: ln a = -2 x 0.018015)', () => {
    const salt = solidsOf({ ...nothing, salt: 0.05844 });
    expect(waterActivity(salt, 1)).toBeCloseTo(Math.exp(-2 * 0.0180153), 4);
  });

  it('saturated sucrose is near 0.85 (published, 25 C)', () => {
    expect(waterActivity(solidsOf({ ...nothing, sugar: 2 / 3 }), 1 / 3)).toBeGreaterThan(0.84);
    expect(waterActivity(solidsOf({ ...nothing, sugar: 2 / 3 }), 1 / 3)).toBeLessThan(0.865);
  });

  it('activity rises with water, and the table follows the exact law within 0.004', () => {
    const solids = solidsOf(perDry(cracker));
    const table = tabulateIsotherm(solids);
    fc.assert(
      fc.property(fc.double({ min: 0.005, max: 0.9, noNaN: true }), fc.double({ min: 0.001, max: 0.2, noNaN: true }), (x, more) => {
        expect(waterActivity(solids, x + more)).toBeGreaterThan(waterActivity(solids, x));
        expect(Math.abs(activityAt(table, x) - waterActivity(solids, x))).toBeLessThan(0.004);
      }),
      { seed: 3 },
    );
  });

  it('a baked piece is wetter in feel at the same moisture: its polymers hold less', () => {
    const solids = solidsOf(perDry(cracker));
    expect(waterActivity(bakedSolids(solids), 0.06)).toBeGreaterThan(waterActivity(solids, 0.06));
  });

  it('only sugar that fits into the water is dissolved', () => {
    expect(rawDoughActivity(cracker).dissolvedSugar).toBe(1);
    expect(rawDoughActivity({ ...nothing, water: 0.1, sugar: 0.4, starch: 0.5 }).dissolvedSugar).toBeCloseTo(0.5, 9);
  });

  it('no water has no activity', () => expect(waterActivity(solidsOf(cracker), 0)).toBe(0));
});

describe('heat and cold', () => {
  it('ice grows as it gets colder and is never more than the water', () => {
    const { firstIceC, iceShareAt } = freezing(biscuit);
    expect(firstIceC).toBeLessThan(0);
    expect(iceShareAt(firstIceC + 0.1)).toBe(0);
    expect(iceShareAt(-18)).toBeGreaterThan(iceShareAt(-10));
    expect(iceShareAt(-40)).toBeLessThan(biscuit.water);
  });

  it('heat content rises with temperature through freezing, and more of it than without ice', () => {
    const { enthalpyAt, heatCapacityAt } = coldTable(biscuit);
    const overFreezing = enthalpyAt(5) - enthalpyAt(-20);
    expect(overFreezing).toBeGreaterThan(25 * heatCapacityAt(20));
    fc.assert(fc.property(fc.double({ min: -40, max: 40, noNaN: true }), (t) => enthalpyAt(t + 0.5) > enthalpyAt(t)));
  });

  it('pores lower conductivity, down to the gas itself', () => {
    expect(withPores(0.4, 0.025, 0)).toBeCloseTo(0.4, 12);
    expect(withPores(0.4, 0.025, 1)).toBeCloseTo(0.025, 12);
    expect(thermalProperties(cracker, 20, 0.3).density).toBeCloseTo(0.7 * thermalProperties(cracker, 20).density, 9);
  });

  it('properties do not depend on the sum of the shares', () => {
    const doubled = Object.fromEntries(Object.entries(cracker).map(([name, share]) => [name, 2 * share])) as unknown as MakeUp;
    expect(thermalProperties(doubled, 30)).toEqual({
      density: expect.closeTo(thermalProperties(cracker, 30).density, 6),
      conductivity: expect.closeTo(thermalProperties(cracker, 30).conductivity, 9),
      heatCapacity: expect.closeTo(thermalProperties(cracker, 30).heatCapacity, 6),
    });
  });

  it('fat melts as it warms, oil holds none at the table', () => {
    expect(solidFatPercent('butter', 5)).toBeGreaterThan(solidFatPercent('butter', 20));
    expect(solidFatPercent('butter', 45)).toBe(0);
    expect(solidFatPercent('liquidOil', 20)).toBe(0);
  });
});
