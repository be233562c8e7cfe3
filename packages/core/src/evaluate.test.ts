import { problemsOf } from './evaluate.js';
import { stageNames } from './findings/finding.js';
import { aFormula, kitchen, pantry, resultOf, WATER, worked } from './worked/a-formula.js';
import type { Json } from './document/edits.js';

describe('evaluate', () => {
  it('works the demo cracker out all the way, and survives JSON', () => {
    const evaluation = worked(aFormula());
    expect(problemsOf(evaluation)).toEqual([]);
    expect(evaluation.outlook).not.toBeNull();
    expect(JSON.parse(JSON.stringify(evaluation))).toEqual(evaluation);
  });

  it.each<[claim: string, set: Record<string, Json>, stage: string, path: string, message: RegExp]>([
    ['negative water', { [WATER]: -5 }, 'dough', 'rows[0].amountG', /from 0 to/],
    ['10 000 % fat', { '/rows/1/amountG': 24000 }, 'dough', 'rows[1].amountG', /at most 20 times/],
    ['an empty blend', { '/blend/rows': [] }, 'blend', 'blend.rows', /empty/],
    ['shares that do not sum', { '/blend/rows/0/share': 0.9 }, 'blend', 'blend.rows', /sum to 100 %/],
    ['a 60 mm cracker', { '/sheet/parts/0/thicknessMm': 60 }, 'sheet', 'sheet.parts[0].thicknessMm', /from 0.3 to 40 mm/],
    ['an unknown ingredient', { '/rows/2/ingredientId': 'moon_dust' }, 'dough', 'rows[2].ingredientId', /not in the pantry/],
    ['an unknown place', { '/chill/waits/0/placeId': 'cellar' }, 'chill', 'chill.waits[0].placeId', /not a place/],
    ['an unknown oven', { '/bake/ovenId': 'kiln' }, 'bake', 'bake.ovenId', /not an oven/],
    ['no bake step', { '/bake/steps': [] }, 'bake', 'bake.steps', /at least one/],
    ['a bake at 900 C', { '/bake/steps/0/wantC': 900 }, 'bake', 'bake.steps[0].wantC', /from 60 to 300/],
    ['an unknown family', { '/family': 'bagel' }, 'blend', 'family', /not a family/],
    ['half a sheet', { '/sheet/lots': 1.5 }, 'sheet', 'sheet.lots', /whole number/],
  ])('says where and what for %s; that stage and later ones wait, earlier ones stand', (_claim, set, stage, path, message) => {
    const evaluation = worked(aFormula(set));
    expect(problemsOf(evaluation)).toMatchObject([{ path, message: expect.stringMatching(message) }]);
    const at = stageNames.indexOf(stage as (typeof stageNames)[number]);
    stageNames.forEach((name, i) => expect(evaluation[name].state === 'waiting').toBe(i >= at));
    expect(evaluation.outlook).toBeNull();
  });

  it('feeds each stage with the one before: thinner bakes sooner, drier keeps crisper', () => {
    const thin = worked(aFormula({ '/sheet/parts/0/thicknessMm': 1.8 }));
    const thick = worked(aFormula({ '/sheet/parts/0/thicknessMm': 3 }));
    expect(resultOf(thin, 'bake').doneMin!).toBeLessThan(resultOf(thick, 'bake').doneMin!);
    const dry = worked(aFormula({ '/bake/steps/1/min': 5 }));
    const wet = worked(aFormula({ '/bake/steps/1/min': 0.5 }));
    expect(resultOf(dry, 'keep').waterActivity).toBeLessThan(resultOf(wet, 'keep').waterActivity);
  });

  it('a measured oven knows the dial, and spreads less than one never measured', () => {
    const measured = resultOf(worked(aFormula()), 'bake');
    expect(measured.steps[0]!.dialC).toBeCloseTo(174.2, 1);
    const same = { ...kitchen, ovens: kitchen.ovens.map((oven) => (oven.id === 'oven-a' ? { ...oven, readings: [] } : oven)) };
    expect(resultOf(worked(aFormula(), same), 'bake').done!.sd).toBeGreaterThan(measured.done!.sd);
  });

  it('takes what the kitchen learned about a blend’s thirst', () => {
    const thirsty = { ...kitchen, learned: [{ what: 'thirstFactor' as const, about: 'Sorghum crisp', value: 1.1, sd: 0.03, bakeIds: [] }] };
    expect(resultOf(worked(aFormula(), thirsty), 'dough').wantsG).toBeGreaterThan(resultOf(worked(aFormula()), 'dough').wantsG * 1.08);
  });

  it('counts a damp lot as water already there', () => {
    const damp = { ...pantry, lots: { ...pantry.lots, 'lot-sorghum-8': { ...pantry.lots['lot-sorghum-8']!, moistureShare: 0.14 } } };
    const dough = resultOf(worked(aFormula(), kitchen, damp), 'dough');
    // 240 g blend, 56 % sorghum: 134.4 g x (0.14 - 0.12) = 2.7 g less wanted (rule d3, hand sum).
    // The other bags stand open in a room of 61 %, where flour is at 12.03 % and potato starch, sold at 18 %, at half as much again: 0.02 g more.
    expect(dough.wants.moistureG).toBeCloseTo(-2.707, 3);
  });
});
