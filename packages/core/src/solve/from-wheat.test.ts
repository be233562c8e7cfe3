import { applyEdits, editsBetween } from '../document/edits.js';
import { families } from '../facts/families.js';
import { evaluate, findingsOf } from '../evaluate.js';
import { aFormula, kitchen, pantry, resultOf } from '../worked/a-formula.js';
import { isStillDoughOf, withDoughOf, withOwnDough } from './dough-of.js';
import { scaled } from './scale.js';
import { trialFromWheat, wheatStepCodes } from './from-wheat.js';
import type { WheatStepCode } from './from-wheat.js';

const shelf = { ...pantry, lots: {} };
let n = 0;
const newKey = () => `k${n++}`;
const line = (ingredientId: string, massG: number) => ({ ingredientId, massG, written: `${massG} g` });
/** A pie crust of the trade: 300 g flour, 200 g butter, 80 g water, 5 g salt (common practice, no source). */
const pie = [line('wheat_ap', 300), line('butter_unsalted', 200), line('water', 80), line('salt_fine', 5)];
const plan = (list = pie, family = 'pie_flaky', without: readonly WheatStepCode[] = []) =>
  trialFromWheat(
    list,
    { family: families[family]!, name: 'First trial' },
    { kitchen, pantry: shelf },
    { newKey, without: new Set(without) },
  );
const grams = (found: ReturnType<typeof plan>, id: string) =>
  found.formula.rows.filter(({ ingredientId }) => ingredientId === id).reduce((sum, { amountG }) => sum + amountG, 0);

describe('from wheat', () => {
  it('replaces wheat gram for gram, in cake-like goods by 93 %, and keeps none', () => {
    const whole = plan(pie, 'pie_flaky', ['trial']);
    expect(whole.formula.blendG).toBe(300);
    expect(plan(pie, 'muffin', ['trial']).formula.blendG).toBe(279);
    const ids = [...whole.formula.blend.rows, ...whole.formula.rows].map(({ ingredientId }) => ingredientId);
    expect(ids.filter((id) => id.startsWith('wheat'))).toEqual([]);
  });

  it('its quarter batch gives pieces to bake, in a kitchen full of pans too', () => {
    const trial = plan().formula;
    const { sheet, bake } = evaluate(trial, kitchen, shelf);
    expect(bake.state).not.toBe('waiting');
    expect((sheet as { result: { pieces: number } }).result.pieces).toBeGreaterThan(0);
  });

  it('counts starch beside the wheat as flour, and loses none of it', () => {
    expect(plan([...pie, line('corn_starch', 40)], 'pie_flaky', ['trial']).formula.blendG).toBe(340);
  });

  it('ends in a quarter batch that can be weighed', () => {
    const found = plan();
    expect(found.formula.blendG).toBe(75);
    expect(found.steps.map(({ code }) => code)).toEqual([...wheatStepCodes]);
    for (const { amountG } of found.formula.rows) expect(Math.abs(amountG * 10 - Math.round(amountG * 10))).toBeLessThan(1e-6);
  });

  it('the water is what the family’s rule and the gum want: 0.49 x hold, and 0.3 x dose x hold (rules of formulation, estimates)', () => {
    const whole = plan(pie, 'pie_flaky', ['trial', 'fat']);
    const gum = ['xanthan', 'psyllium_husk'];
    const sum = (of: (id: string) => number) =>
      whole.formula.blend.rows.reduce(
        (total, { ingredientId, share }) => total + share * 300 * pantry.ingredients[ingredientId]!.waterHoldGPerG! * of(ingredientId),
        0,
      );
    const wanted = sum((id) => (gum.includes(id) ? 0.3 : 0.49));
    // Butter brings 200 x 0.179 = 35.8 g of it.
    expect(Math.abs(grams(whole, 'water') + 35.8 - wanted)).toBeLessThan(1);
  });

  it('takes fat off a pastry over its target, a fifth more powder, a touch of salt', () => {
    const rich = plan([...pie, line('baking_powder', 5)], 'pie_flaky', ['trial']);
    expect(grams(rich, 'butter_unsalted')).toBeLessThan(200);
    expect(grams(rich, 'baking_powder')).toBeCloseTo(6, 6);
    expect(grams(rich, 'salt_fine')).toBeCloseTo(5.3, 6);
  });

  it('leaves out what the baker leaves out', () => {
    const found = plan(pie, 'pie_flaky', ['binder', 'fat', 'trial']);
    expect(found.formula.blend.rows.map(({ ingredientId }) => ingredientId)).not.toContain('xanthan');
    expect(grams(found, 'butter_unsalted')).toBe(200);
    expect(found.steps.find(({ code }) => code === 'binder')).toMatchObject({ skipped: true });
  });

  it('a trial can be worked out to its end, with nothing to fix in the dough', () => {
    const { formula } = plan();
    const worked = evaluate(formula, kitchen, shelf);
    expect(resultOf(worked, 'dough').doughG).toBeGreaterThan(100);
    expect(
      findingsOf(worked).filter(({ stage, level, code }) => stage === 'dough' && level === 'fix' && !code.startsWith('gluten')),
    ).toEqual([]);
  });

  it.each<[string, typeof pie, RegExp]>([
    ['no wheat', [line('rice_brown', 100), line('water', 50)], /no wheat/],
    ['only flour', [line('wheat_ap', 100)], /nothing but flour/],
  ])('refuses a list with %s', (_name, list, why) => expect(() => plan(list)).toThrow(why));
});

describe('one dough, several goods', () => {
  const source = plan().formula;
  const from = { formulaId: '3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11', version: 2 };

  it('takes blend, dough rows, mix and chill, keeps its own top, sheet, bake and keep', () => {
    const mine = aFormula();
    const taken = withDoughOf(mine, source, from);
    expect(taken).toMatchObject({
      doughOf: from,
      blend: source.blend,
      mix: source.mix,
      chill: source.chill,
      sheet: mine.sheet,
      bake: mine.bake,
      family: mine.family,
    });
    expect(taken.rows.filter(({ use }) => use === 'dust')).toHaveLength(1);
    expect(new Set(taken.rows.map(({ key }) => key)).size).toBe(taken.rows.length);
    expect(isStillDoughOf(taken, source)).toBe(true);
    expect(isStillDoughOf(scaled(taken, 3), source)).toBe(true);
    expect(isStillDoughOf({ ...taken, rows: taken.rows.slice(1) }, source)).toBe(false);
    expect(withOwnDough(taken).doughOf).toBeUndefined();
  });

  it('is one step to take, and one to undo', () => {
    const mine = aFormula();
    const taken = withDoughOf(mine, source, from);
    expect(applyEdits(mine, editsBetween(mine, taken))).toEqual(taken);
    expect(applyEdits(taken, editsBetween(taken, mine))).toEqual(mine);
  });
});

describe('from wheat, laminated', () => {
  it('the largest solid fat of the list is what is folded in, once', () => {
    const list = [line('wheat_ap', 300), line('butter_unsalted', 30), line('butter_82', 220), line('water', 150), line('salt_fine', 5)];
    const { formula } = plan(list, 'puff', ['trial', 'fat']);
    expect(formula.rows.filter(({ use }) => use === 'rollIn').map(({ ingredientId, amountG }) => [ingredientId, amountG])).toEqual([
      ['butter_82', 220],
    ]);
    expect(evaluate(formula, kitchen, shelf).sheet.state).not.toBe('waiting');
  });
});
