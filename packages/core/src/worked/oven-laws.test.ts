import { bakeUntilOver } from '../bake/doneness.js';
import { doneBand } from '../bake/looks/looks.js';
import { bakeSamples } from '../bake/slab/samples.js';
import { coreVersion } from '../core-version.js';
import { bakeSpread } from '../facts/oven.js';
import { BakeMarch } from '../bake/slab/march.js';
import { browningFactorOf, nudged } from '../bake/slab/problem.js';
import { bakeCaseFor, evaluate } from '../evaluate.js';
import { families } from '../facts/families.js';
import { perDry } from '../matter/make-up.js';
import { bakedSolids, solidsOf, waterActivity } from '../matter/sorption.js';
import { referenceFormula, referencePantry } from '../solve/reference.js';
import { referenceKitchen } from '../solve/reference-kitchen.js';
import { aFilling, resultOf, withSet } from './a-formula.js';
import type { BakeNudge } from '../bake/slab/problem.js';
import type { Learned } from '../document/kitchen.js';

const march = new BakeMarch(24);
const each = Object.values(families).map((family) => {
  const first = referenceFormula(family);
  return [family.name, { family, first, baking: bakeCaseFor(first, referenceKitchen, referencePantry)! }] as const;
});

// Directions: physical, and common practice; no source.
describe('the oven over all families', () => {
  const timesOf = ({ baking: { problem, rule } }: (typeof each)[number][1], by: BakeNudge) =>
    bakeUntilOver(march, nudged(problem, by), rule, { longestMin: 90 }).times;
  const doneMin = (of: (typeof each)[number][1], by: BakeNudge) => timesOf(of, by).doneMin!;

  it.each(each)('%s: thicker is later, cooler is later, browning slower is never sooner', (_name, of) => {
    const now = doneMin(of, {});
    expect(doneMin(of, { thicknessShare: 0.08 })).toBeGreaterThan(now);
    expect(doneMin(of, { ovenC: -8 })).toBeGreaterThan(now);
    expect(doneMin(of, { browningLog: -0.1 })).toBeGreaterThanOrEqual(now);
  });
  it.each(each)('%s: wetter dries later', (_name, of) => {
    const { problem } = of.baking;
    const dryX = 0.5 * problem.layers[problem.main]!.startX;
    const dry = (by: BakeNudge) =>
      bakeUntilOver(march, nudged(problem, by), { golden: 0, dark: 0, dryX }, { longestMin: 180 }).times.dryMin!;
    expect(dry({ waterOfDough: 0.02 })).toBeGreaterThan(dry({}));
  });
  it.each(each)('%s: no jump over 3 %% for 1 %% more of its thickness or a kelvin', (_name, of) => {
    for (const step of [(i: number) => ({ thicknessShare: 0.01 * i }), (i: number) => ({ ovenC: i })]) {
      const course = [-3, -2, -1, 0, 1, 2, 3].map((i) => doneMin(of, step(i)));
      course.slice(1).forEach((min, i) => expect(Math.abs(min / course[i]! - 1)).toBeLessThan(0.03));
    }
  });
  it.each(each)('%s: what is forecast lies inside its own range', (_name, { baking: { problem, rule, unknowns } }) => {
    const band = doneBand([...bakeSamples(problem, rule, unknowns, 60)])!;
    const { doneMin } = bakeUntilOver(march, problem, rule, { longestMin: 90 }).times;
    expect(doneMin).toBeGreaterThan(band.p10);
    expect(doneMin).toBeLessThan(band.p90);
  });
  it('a kind that was never fitted is forecast with a wider spread, until this kitchen has baked it', () => {
    const [, { family, first, baking }] = each.find(([, one]) => one.family.id === 'cookie_piped')!;
    const heat = bakeSpread.values.heatTransferLog;
    expect(baking.unknowns.heatLog).toBeGreaterThan(2 * heat);
    const lift = { what: 'lift', about: family.id, value: 1.1, sd: 0.1, bakeIds: ['a'], coreVersion } as const;
    const baked = { ...referenceKitchen, learned: [lift as unknown as Learned] };
    expect(bakeCaseFor(first, baked, referencePantry)!.unknowns.heatLog).toBeCloseTo(heat, 9);
    expect(each.find(([, one]) => one.family.id === 'shortbread')![1].baking.unknowns.heatLog).toBeCloseTo(heat, 9);
  });
  it('whatever lies on it, pure fat or pure sugar, the oven’s clock goes on', () => {
    const { first } = each.find(([, { family }]) => family.id === 'tartlet')![1];
    const baking = (ingredientId: string) => {
      const rows = first.rows.map((row) => (row.use === 'filling' ? { ...row, ingredientId } : row));
      return bakeCaseFor({ ...first, rows }, referenceKitchen, referencePantry);
    };
    const slow = Object.values(referencePantry.ingredients)
      .filter(({ kind, gluten }) => kind !== 'excluded' && gluten !== 'contains')
      .flatMap(({ id }) => {
        const found = baking(id);
        if (!found) return [];
        const one = new BakeMarch(24);
        bakeUntilOver(one, found.problem, found.rule);
        return one.steps + one.rejected > 5000 ? [id] : [];
      });
    expect(slow).toEqual([]);
  });
  it('only what is as dark raw as gold starts dark, and where no colour is asked for nothing does', () => {
    const dark = each.filter(([, { first }]) => resultOf(evaluate(first, referenceKitchen, referencePantry), 'bake').startsDark);
    expect(dark.map(([, { family }]) => family.id).sort()).toEqual(['crumb_crust']);
    const pie = each.find(([, { family }]) => family.id === 'pie_flaky')![1].first;
    const filled = withSet(pie, { [`/rows/${pie.rows.length}`]: aFilling('apple', 500, 'apple') });
    expect(resultOf(evaluate(filled, referenceKitchen, referencePantry), 'bake')).toMatchObject({ startsDark: false, goldenFromTone: 1 });
  });
  it('more sugar, protein, reducing sugar or free soda is darker', () => {
    const { makeUp } = resultOf(evaluate(each[0]![1].first, referenceKitchen, referencePantry), 'sheet');
    const sweeter = { ...makeUp, sugar: makeUp.sugar + 0.05, starch: makeUp.starch - 0.05 };
    const richer = { ...makeUp, protein: makeUp.protein + 0.05, starch: makeUp.starch - 0.05 };
    const plain = browningFactorOf(makeUp, {});
    for (const more of [
      browningFactorOf(sweeter, {}),
      browningFactorOf(richer, {}),
      browningFactorOf(makeUp, { reducingShare: 0.05 }),
      browningFactorOf(makeUp, { soda: 0.5 }),
      browningFactorOf(makeUp, { wash: true }),
    ])
      expect(more).toBeGreaterThan(plain);
  });
  it.each(each)('%s: its window of water activity is that of its moisture, by the law that Keep reads', (_name, { family, first }) => {
    const { makeUp } = resultOf(evaluate(first, referenceKitchen, referencePantry), 'sheet');
    const solids = bakedSolids(solidsOf(perDry(makeUp)));
    family.finalMoisturePercent.forEach((percent, i) =>
      expect(Math.abs(waterActivity(solids, percent / (100 - percent)) - family.finalAw[i]!)).toBeLessThan(0.025),
    );
  });
});
