import { publishedIngredients } from '../ingredient/published.js';
import { solidFatPercent } from '../matter/solid-fat.js';
import { thermalProperties, vapourPressurePa } from '../matter/thermal.js';
import { families } from './families.js';
import { ingredientRows } from './ingredient-table.js';

const water = { water: 1, fat: 0, starch: 0, protein: 0, sugar: 0, fibre: 0, gum: 0, salt: 0, ash: 0 };

describe('facts', () => {
  it.each<[number, number]>([
    [20, 2339],
    [60, 19946],
    [100, 101418],
    [150, 476160],
  ])('vapour pressure of water at %p C is within 1.2 %% of the steam tables (IAPWS-95 saturation, from memory)', (atC, pascal) => {
    expect(Math.abs(vapourPressurePa(atC) / pascal - 1)).toBeLessThan(0.012);
  });

  it.each<[number, number, number]>([
    [20, 998.2, 0.5984],
    [60, 983.2, 0.6543],
  ])('water at %p C has handbook density and conductivity within 1.5 %% (steam tables, from memory)', (atC, density, conductivity) => {
    const found = thermalProperties(water, atC);
    expect(Math.abs(found.density / density - 1)).toBeLessThan(0.015);
    expect(Math.abs(found.conductivity / conductivity - 1)).toBeLessThan(0.015);
  });

  it('every ingredient’s parts sum to 100 g, within 0.35 g', () => {
    for (const [id, , , parts] of ingredientRows) {
      const [waterG, protein, fat, , sugars, starch, fibre, ash, other] = parts;
      expect({ id, sum: waterG + protein + fat + sugars + starch + fibre + ash + other }).toEqual({ id, sum: expect.closeTo(100, -0.2) });
      expect(Math.abs(waterG + protein + fat + sugars + starch + fibre + ash + other - 100)).toBeLessThanOrEqual(0.351);
    }
  });

  it('no id stands twice, every row names its source, and wheat is never free', () => {
    expect(new Set(ingredientRows.map(([id]) => id)).size).toBe(ingredientRows.length);
    expect(ingredientRows.every((row) => row[row.length - 1] !== '')).toBe(true);
    expect(publishedIngredients()['wheat_ap']!.gluten).toBe('contains');
    expect(ingredientRows.filter(([id]) => /wheat|barley|rye/.test(id)).every((row) => row[14] !== 'free')).toBe(true);
  });

  it('at-risk crops need proof (J Am Diet Assoc 2010, 110:937 found soy, millet, sorghum and buckwheat over 20 mg/kg)', () => {
    const table = publishedIngredients();
    for (const id of ['soy_flour', 'millet', 'sorghum', 'buckwheat', 'oat_flour']) expect(table[id]!.gluten).toBe('needsProof');
  });

  it('butter bends for laminating between 12 and 18 C (common practice, no source)', () => {
    expect(solidFatPercent('butter', 12)).toBeGreaterThan(40);
    expect(solidFatPercent('butter', 18)).toBeLessThan(30);
  });

  it('every window runs low, target, high', () => {
    for (const family of Object.values(families)) {
      for (const value of Object.values(family)) {
        if (!Array.isArray(value)) continue;
        expect(value[0]).toBeLessThanOrEqual(value[1]);
        expect(value[1]).toBeLessThanOrEqual(value[2]);
      }
    }
  });
});
