import { families } from '../../facts/families.js';
import { findingsOf } from '../../evaluate.js';
import { aFormula, kitchen, pantry, resultOf, worked } from '../../worked/a-formula.js';
import { anEngine } from '../../worked/an-engine.js';
import { blendSpecFor, outAndIn, rowsOfAnswer } from './goals.js';
import { findBlends } from './find-blend.js';
import { imitationOf } from '../../label/imitate.js';
import { readIngredientList } from '../../label/box.js';
import { isGum } from '../../ingredient/roles.js';
import type { LinearEngine } from '../../math/linear-model.js';
import type { BlendGoal, BlendSearch } from './goals.js';

const cracker = families['cracker_savoury']!;
let engine: LinearEngine;
beforeAll(async () => {
  engine = await anEngine();
});
const must = (key: BlendGoal['key'], way: BlendGoal['way'], value: number): BlendGoal => ({ key, way, value, strength: 'must' });
const search = (goals: BlendGoal[], over: Partial<BlendSearch> = {}): BlendSearch => ({ goals, mostFlours: 5, reach: 'all', ...over });
const find = (wanted: BlendSearch, formula = aFormula(), most = 3) => {
  const { spec, leftOut } = blendSpecFor({ formula, family: cracker, kitchen, pantry }, wanted);
  return { spec, leftOut, answer: findBlends(spec, engine, { most, batch: { batchG: 240, stepG: 0.1 } }) };
};

describe('a blend found for a baker', () => {
  it('keeps what it must, in whole steps, and evaluates to what it promised', () => {
    const { answer } = find(search([must('bend', 'atLeast', 1.95), must('flavour', 'atMost', 0.7)]));
    if (answer.status !== 'found') throw new Error(answer.status);
    for (const { shares, grams, brings, brokenBySteps } of answer.answers) {
      expect(brokenBySteps).toEqual([]);
      expect(Object.values(grams!).reduce((sum, g) => sum + g, 0)).toBeCloseTo(240, 6);
      let n = 0;
      const rows = rowsOfAnswer(aFormula().blend, shares, () => `n${n++}`);
      const formula = { ...aFormula(), blend: { ...aFormula().blend, rows } };
      const blend = resultOf(worked(formula), 'blend');
      expect(blend.bendIndex).toBeCloseTo(brings['bend']!, 6);
      expect(blend.flavourIndex).toBeCloseTo(brings['flavour']!, 6);
      // Rounding to the scale never breaks a limit where another step can keep it.
      expect(blend.bendIndex).toBeGreaterThanOrEqual(1.95 - 1e-9);
      expect(blend.flavourIndex).toBeLessThanOrEqual(0.7 + 1e-9);
      expect(findingsOf(worked(formula)).map(({ code }) => code)).not.toContain('dough.binderLow');
    }
  });

  it('says so where the scale is too coarse to keep a limit', () => {
    const { spec } = find(search([must('bend', 'atLeast', 2.05), must('bend', 'atMost', 2.051)]));
    const answer = findBlends(spec, engine, { batch: { batchG: 240, stepG: 5 } });
    if (answer.status !== 'found') throw new Error(answer.status);
    expect(answer.answers[0]!.brokenBySteps).toContain('bend');
    expect(Object.values(answer.answers[0]!.grams!).every((g) => g % 5 === 0)).toBe(true);
  });

  it('gives answers that are genuinely different: each leaves out a main flour of every earlier one', () => {
    const { answer } = find(search([must('bend', 'atLeast', 1.5)]));
    if (answer.status !== 'found') throw new Error(answer.status);
    expect(answer.answers).toHaveLength(3);
    answer.answers.forEach(({ shares }, i) => {
      for (const earlier of answer.answers.slice(0, i)) {
        const main = Object.entries(earlier.shares).filter(([, share]) => share >= 0.05);
        expect(main.some(([id]) => (shares[id] ?? 0) === 0)).toBe(true);
      }
      // The closer ones come first.
      if (i > 0) expect(answer.answers[i - 1]!.missed).toBeLessThanOrEqual(answer.answers[i]!.missed + 0.2);
    });
  });

  it('asked for nothing new it stays with what there is', () => {
    const { answer } = find(search([]), aFormula(), 1);
    if (answer.status !== 'found') throw new Error(answer.status);
    const { out } = outAndIn(aFormula().blend, answer.answers[0]!.shares);
    expect(out.reduce((sum, { byShare }) => sum + byShare, 0)).toBeLessThan(0.06);
  });

  it('keeps to what the formula must suit, whatever the wish', () => {
    const { spec, leftOut } = find(search([must('protein', 'atLeast', 9)]), aFormula({ '/mustSuit': ['noNuts', 'noSoy', 'noOats'] }));
    const ids = spec.items.map(({ id }) => id);
    for (const id of ['almond_blanched', 'hazelnut', 'soy_flour', 'oat_flour', 'cashew']) expect(ids).not.toContain(id);
    expect(leftOut).toEqual(expect.arrayContaining([{ id: 'soy_flour', why: 'doesNotSuit' }]));
    expect(ids.some((id) => ['wheat_ap', 'wheat_other', 'rye', 'barley_malt', 'oats_ordinary'].includes(id))).toBe(false);
  });

  it('leaves out a lot over the kitchen’s limit, and from here takes only what is here and proven', () => {
    expect(find(search([])).leftOut).toContainEqual({ id: 'millet', why: 'overLimit' });
    const { spec, leftOut } = find(search([], { reach: 'here' }));
    expect(spec.items.map(({ id }) => id).sort()).toEqual(
      [
        'buckwheat',
        'corn_starch',
        'potato_starch',
        'psyllium_husk',
        'rice_brown',
        'rice_white_fine',
        'sorghum',
        'tapioca_starch',
        'xanthan',
      ].sort(),
    );
    expect(leftOut).toContainEqual({ id: 'teff', why: 'notHere' });
  });

  it('from here uses no more of a flour than the shelf holds', () => {
    const lots = Object.fromEntries(
      Object.entries(pantry.lots).map(([id, lot]) => [id, id === 'lot-sorghum-8' ? { ...lot, onHandG: 60 } : lot]),
    );
    const { spec } = blendSpecFor(
      { formula: aFormula(), family: cracker, kitchen, pantry: { ...pantry, lots } },
      search([], { reach: 'here' }),
    );
    expect(spec.items.find(({ id }) => id === 'sorghum')!.hi).toBeCloseTo(60 / 240, 9);
    const answer = findBlends(spec, engine);
    if (answer.status !== 'found') throw new Error(answer.status);
    expect(answer.answers[0]!.shares['sorghum'] ?? 0).toBeLessThanOrEqual(0.25 + 1e-6);
  });

  it('keeps pins, limits and the number of flours', () => {
    const formula = aFormula({ '/blend/rows/0/pinned': true, '/blend/rows/2/maxShare': 0.1 });
    const { answer } = find(search([must('grit', 'atMost', 0.8)], { mostFlours: 3 }), formula, 2);
    if (answer.status !== 'found') throw new Error(answer.status);
    for (const { shares } of answer.answers) {
      expect(shares['sorghum']).toBeCloseTo(0.56, 3);
      expect(shares['tapioca_starch'] ?? 0).toBeLessThan(0.1 + 0.001);
      expect(Object.keys(shares).filter((id) => !isGum(pantry.ingredients[id]!)).length).toBeLessThanOrEqual(3);
    }
  });

  it('an impossible wish comes back with what clashes and how far each alone would have to give', () => {
    const { answer } = find(search([must('protein', 'atLeast', 14), must('flavour', 'atMost', 0.3)], { reach: 'here' }));
    if (answer.status !== 'impossible') throw new Error(answer.status);
    const { clash, alone } = answer.conflict;
    expect(clash.map(({ name }) => name)).toContain('protein.lo');
    const protein = alone.find(({ name }) => name === 'protein.lo')!;
    expect(protein.needed).toBeLessThan(14);
    // Giving exactly that much makes it possible; a hair less does not.
    const again = (value: number) =>
      find(search([must('protein', 'atLeast', value), must('flavour', 'atMost', 0.3)], { reach: 'here' }), aFormula(), 1);
    expect(again(protein.needed - 1e-6).answer.status).toBe('found');
    expect(again(protein.needed + 0.01).answer.status).toBe('impossible');
  });

  it.each<[string, BlendSearch, RegExp]>([
    ['a wish nobody offers', search([must('shine' as never, 'atLeast', 1)]), /not something a blend can be asked/],
    ['a wish without a number', search([must('bend', 'atLeast', NaN)]), /must be a number/],
    ['no flour at all', search([], { mostFlours: 0 }), /from 1 to 12/],
  ])('refuses %s', (_claim, wanted, message) => {
    expect(() => blendSpecFor({ formula: aFormula(), family: cracker, kitchen, pantry }, wanted)).toThrow(message);
  });

  it('says what is pinned and may not be used', () => {
    const formula = aFormula({ '/blend/rows/0/pinned': true, '/blend/rows/0/ingredientId': 'almond_blanched', '/mustSuit': ['noNuts'] });
    expect(() => blendSpecFor({ formula, family: cracker, kitchen, pantry }, search([]))).toThrow(/pinned and may not be used/);
  });
});

describe('a box imitated', () => {
  it('behaves like it, made from other flours', () => {
    const { spec } = find(search([], { mostFlours: 6 }));
    const box = spec.items.filter(({ id }) => ['sorghum', 'potato_starch', 'tapioca_starch', 'xanthan'].includes(id));
    const shares = box.map(({ id }) => ({ sorghum: 0.5, potato_starch: 0.29, tapioca_starch: 0.2, xanthan: 0.01 })[id]!);
    const imitation = imitationOf({ ...spec, items: spec.items.filter(({ id }) => id !== 'sorghum') }, box, [shares]);
    const answer = findBlends(imitation, engine);
    if (answer.status !== 'found') throw new Error(answer.status);
    const wanted = (key: string) => box.reduce((sum, { brings }, i) => sum + shares[i]! * (brings[key] ?? 0), 0);
    for (const [key, within] of Object.entries({ protein: 1, water: 0.1, bend: 0.3, starch: 0.1 })) {
      expect(Math.abs(answer.answers[0]!.brings[key]! - wanted(key))).toBeLessThan(within);
    }
    expect(answer.answers[0]!.shares['sorghum']).toBeUndefined();
  });

  it('an ingredient list is read in its order, with its percents, its tail, and what nobody knows', () => {
    const list = readIngredientList(
      'Ingredients: White rice flour, potato starch (32%), tapioca flour, moonbeam powder, contains 2% or less of: xanthan gum, salt.',
      pantry.ingredients,
    );
    expect(list.map(({ id }) => id)).toEqual([
      'rice_white',
      'potato_starch',
      'tapioca_starch',
      null,
      'xanthan',
      expect.stringMatching(/^salt/),
    ]);
    expect(list[1]!.declaredShare).toBeCloseTo(0.32, 9);
    expect(list.map(({ inTail }) => inTail === true)).toEqual([false, false, false, false, true, true]);
  });
});
