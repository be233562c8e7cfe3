import { families } from '../facts/families.js';
import { aFilling, resultOf, withSet } from '../worked/a-formula.js';
import { middles } from './middles.js';
import { firstMinutes } from '../run/first-minutes.js';
import { referenceFeatures, referenceFormula, referenceMinutes, referencePantry } from '../solve/reference.js';
import { referenceKitchen } from '../solve/reference-kitchen.js';
import { evaluate } from '../evaluate.js';
import type { Formula } from '../document/formula.js';

// It takes tens of evaluations, so each is made once.
const firsts = new Map(Object.values(families).map((family) => [family.id, referenceFormula(family)]));
const worked = (formula: Formula) => evaluate(formula, referenceKitchen, referencePantry);
const each = Object.values(families).map((family) => [family.name, family] as const);

describe('the middle of a family', () => {
  it.each(each)('%s: the table is what the core works out today (npm run middles)', (_name, family) => {
    const now = referenceFeatures(firsts.get(family.id)!);
    for (const [name, value] of Object.entries(middles[family.id]!))
      expect({ [name]: value }).toEqual({ [name]: expect.closeTo(now[name as keyof typeof now], 3) });
  });
  it.each(each)('%s: what it asks of hands and the clock is what its run asks today (npm run middles)', (_name, family) => {
    const asks = firstMinutes[family.id]!;
    expect(asks).toEqual(referenceMinutes(firsts.get(family.id)!));
    expect(asks.handsMin).toBeGreaterThan(0);
    expect(asks.outMin).toBeGreaterThan(0.8 * asks.handsMin);
  });
  it.each(each)(
    '%s: its first formula, with the water its family is meant to end with, stands in the middle of its zone',
    (_name, family) => {
      const [low, target, high] = family.finalMoisturePercent;
      const evaluation = worked(firsts.get(family.id)!);
      const { crisp, tender, zone } = evaluation.outlook!;
      const off = Math.max(Math.abs(crisp.value - zone.crisp), Math.abs(tender.value - zone.tender));
      const moisture = 100 * resultOf(evaluation, 'keep').curve.moistureShare[0]!;
      // Nearer to its water than a quarter of the window it is in the zone; whoever ends elsewhere is told so.
      if (Math.abs(moisture - target) < 0.25 * Math.min(target - low, high - target)) expect(off).toBeLessThan(zone.halfWidth);
    },
  );
  it.each(each)('%s: taken out raw, it is not right', (_name, family) => {
    const first = firsts.get(family.id)!;
    const steps = first.bake.steps.map((step) => ({ ...step, min: 0.35 * step.min }));
    const { crisp, tender, zone } = worked({ ...first, bake: { ...first.bake, steps } }).outlook!;
    const off = Math.max(Math.abs(crisp.value - zone.crisp), Math.abs(tender.value - zone.tender));
    // A nut tart is fat and egg: a third of its time dries it nearly as far as the whole.
    if (family.id !== 'nut_tart') expect(off).toBeGreaterThan(zone.halfWidth);
  });
});

// Directions: common practice, no source.
describe('a difference from the middle', () => {
  const flaky = firsts.get('pie_flaky')!;
  const outlook = (set: Parameters<typeof withSet>[1]) => worked(withSet(flaky, set)).outlook!;
  const water = flaky.rows.findIndex(({ ingredientId }) => ingredientId === 'water');
  it('more water than the blend wants makes a crust tougher', () => {
    const more = outlook({ [`/rows/${water}/amountG`]: flaky.rows[water]!.amountG + 25 });
    expect(more.tender.value).toBeLessThan(outlook({}).tender.value - 0.3);
  });
  it('a thirstier blend that gets its due is not a wetter dough', () => {
    const grain = flaky.blend.rows.findIndex(({ ingredientId }) => ingredientId === 'rice_brown');
    const thirsty = { [`/blend/rows/${grain}/ingredientId`]: 'lupin' };
    const { wantsG, getsG, percents } = resultOf(worked(withSet(flaky, thirsty)), 'dough');
    const due = { ...thirsty, [`/rows/${water}/amountG`]: flaky.rows[water]!.amountG + wantsG - getsG };
    const given = worked(withSet(flaky, due));
    expect(resultOf(given, 'dough').percents.water).toBeGreaterThan(percents.water + 3);
    expect(given.outlook!.terms.find(({ name }) => name === 'water')?.tender ?? 0).toBeCloseTo(0, 1);
  });
  it('a filling is not the crust: what is bitten through is the dough', () => {
    const filled = withSet(flaky, { [`/rows/${flaky.rows.length}`]: aFilling('apple', 500, 'apple') });
    const [bare, under] = [worked(flaky), worked(filled)].map((one) => resultOf(one, 'bake').end);
    expect(under!.thicknessMm).toBeGreaterThan(bare!.thicknessMm + 7);
    expect(under!.doughMm).toBeCloseTo(bare!.doughMm, 0);
    expect(under!.poresShare).toBeLessThan(0.5);
    expect([flaky, filled, firsts.get('tartlet')!].map((one) => worked(one).outlook!.underFilling)).toEqual([false, true, false]);
    expect(worked(filled).outlook!.terms.find(({ name }) => name === 'thickness')?.tender ?? 0).toBeCloseTo(0, 0);
  });
  it.each(['galette', 'pie_flaky', 'shortbread'])('the days a %s stays crisp do not jump within 3 %% of its bake', (id) => {
    const first = firsts.get(id)!;
    const days = [0.8, 0.83, 0.86, 0.89, 0.92, 0.95, 0.98, 1.01].map((times) => {
      const steps = first.bake.steps.map((step) => ({ ...step, min: step.min * times }));
      return resultOf(worked({ ...first, bake: { ...first.bake, steps } }), 'keep').crispDays.value;
    });
    days.slice(1).forEach((now, i) => expect(Math.abs(now - days[i]!)).toBeLessThan(12));
  });
  it('a crust taken out pale and damp is softer', () => {
    const steps = flaky.bake.steps.length - 1;
    const pale = outlook({ [`/bake/steps/${steps}/min`]: flaky.bake.steps[steps]!.min - 2 });
    expect(pale.crisp.value).toBeLessThan(outlook({}).crisp.value);
  });
});
