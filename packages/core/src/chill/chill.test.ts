import { aFormula, resultOf, worked } from '../worked/a-formula.js';
import { coldTable } from '../matter/cold-enthalpy.js';
import { conduct } from './conduction.js';
import type { Json } from '../document/edits.js';

const chill = (set: Record<string, Json> = {}) => resultOf(worked(aFormula(set)), 'chill');
const butterDough = { water: 0.22, fat: 0.27, starch: 0.39, protein: 0.06, sugar: 0.015, fibre: 0.025, gum: 0, salt: 0.01, ash: 0.01 };

describe('chill stage', () => {
  it('is quicker in the freezer, thinner and barer', () => {
    const base = chill().toTargetMin!;
    expect(chill({ '/chill/waits/0/placeId': 'freezer' }).toTargetMin!).toBeLessThan(base);
    expect(chill({ '/chill/thicknessMm': 8 }).toTargetMin!).toBeLessThan(base);
    expect(chill({ '/chill/wrap': 'none' }).toTargetMin!).toBeLessThan(base);
  });

  it('goes through places in turn', () => {
    const both = chill({
      '/chill/waits': [
        { placeId: 'freezer', min: 6 },
        { placeId: 'fridge', min: 6 },
      ],
    });
    expect(both.waitMin).toBe(12);
    expect(both.endMiddleC).toBeGreaterThan(chill({ '/chill/waits': [{ placeId: 'freezer', min: 12 }] }).endMiddleC);
  });

  it('never says a target was reached that these waits do not reach', () => {
    expect(chill({ '/chill/waits/0/min': 2 }).toTargetMin).toBeNull();
  });

  it('bench minutes are the curves’ own crossings', () => {
    const { curve, outMin, benchMin, benchFromMin, rollHighC } = chill({ '/chill/targetC': 20, '/chill/waits/0/min': 8 });
    const warm = curve.min.findIndex((at, i) => at > outMin && Math.max(curve.middleC[i]!, curve.rimC[i]!) >= rollHighC);
    // The curve has a point at least every minute and a half: the first warm one comes at most that much later.
    const late = curve.min[warm]! - outMin - (benchFromMin + benchMin);
    expect(late).toBeGreaterThanOrEqual(0);
    expect(late).toBeLessThan(1.6);
  });
});

describe('conduction', () => {
  const still = { min: 30, topWPerM2K: 7.5, bottomWPerM2K: 7.5, topC: 4, bottomC: 4 };

  it('melted butter sets late: cold long before it is firm (common practice about an hour, no source)', () => {
    const melted = conduct({
      form: 'slab',
      sizeMm: 12.5,
      material: coldTable(butterDough),
      startC: 22,
      exposures: [still],
      fat: { name: 'butter', shareOfDough: 0.27, melted: true },
    });
    const solid = conduct({
      form: 'slab',
      sizeMm: 12.5,
      material: coldTable(butterDough),
      startC: 22,
      exposures: [still],
      fat: { name: 'butter', shareOfDough: 0.27, melted: false },
    });
    expect(melted.solidFatPercent.at(-1)!).toBeLessThan(solid.solidFatPercent.at(-1)! - 5);
  });

  it('a 12.5 mm butter slab is ready to roll after 30 min of fridge, 22 to 38 % of its fat solid (common practice, no source)', () => {
    const cooled = conduct({
      form: 'slab',
      sizeMm: 12.5,
      material: coldTable(butterDough),
      startC: 22,
      exposures: [still],
      fat: { name: 'butter', shareOfDough: 0.27, melted: false },
    });
    expect(cooled.solidFatPercent.at(-1)!).toBeGreaterThan(22);
    expect(cooled.solidFatPercent.at(-1)!).toBeLessThan(38);
  });

  it('three days in the freezer take no longer to work out than an afternoon, and end as cold', () => {
    const days = conduct({ form: 'slab', sizeMm: 4, material: coldTable(butterDough), startC: 22, exposures: [{ ...still, min: 4320 }] });
    expect(days.min.length).toBeLessThan(1600);
    expect(days.middleC.at(-1)!).toBeCloseTo(4, 2);
  });

  it('ends at the air’s temperature and never passes it', () => {
    const cooled = conduct({
      form: 'sphere',
      sizeMm: 30,
      material: coldTable(butterDough),
      startC: 22,
      exposures: [{ ...still, min: 600 }],
    });
    expect(cooled.middleC.at(-1)!).toBeCloseTo(4, 1);
    expect(Math.min(...cooled.rimC)).toBeGreaterThan(3.99);
  });
});
