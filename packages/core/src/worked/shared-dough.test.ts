import { mixingSteps, runSteps } from '../run/plan/steps.js';
import { evaluate } from '../evaluate.js';
import { factorForGoods, stepsFrom } from '../run/left-over.js';
import { runState } from '../run/state.js';
import { referencePantry as pantry } from '../solve/reference.js';
import { referenceKitchen as kitchen } from '../solve/reference-kitchen.js';
import { scaled } from '../solve/scale.js';
import { goods } from './goods.js';
import type { Formula } from '../document/formula.js';
import type { GoodOfDough, RunStep } from '../document/bake.js';

const surroundings = { kitchen, pantry };
const evaluated = (formula: Formula) => evaluate(formula, kitchen, pantry);
const whole = (formula: Formula) => runSteps({ formula, ...surroundings }, evaluated(formula));
/** One mixing of a formula's dough for shares of so many grams. */
function mixing(formula: Formula, grams: readonly number[]) {
  const sharing = grams.map((doughG, i): GoodOfDough => ({ formulaId: 'f', version: i + 1, name: `Good ${i + 1}`, doughG }));
  const factor = factorForGoods(sharing, evaluated(formula))!;
  const batch = scaled(formula, factor);
  return { factor, steps: mixingSteps({ formula: batch, ...surroundings }, evaluated(batch), sharing) };
}
const doughG = (formula: Formula): number => {
  const { dough } = evaluated(formula);
  return dough.state === 'waiting' ? 0 : dough.result.doughG;
};
/** What is made again at each good's own start, or was there to be measured, is no act that is done twice. */
const again: readonly RunStep['what'][] = ['ovenOn', 'doughTemperature', 'divide'];
const names = (steps: readonly RunStep[]) => steps.filter(({ what }) => !again.includes(what)).map(({ key }) => key.replace(/\+$/, ''));
const cases = goods().filter(({ formula }) => doughG(formula) > 0);

describe('a dough that several goods share', () => {
  it.each(cases.map(({ name, formula }) => [name, formula] as const))(
    '%s: led as one mixing and a good from its share, every step is done once and none is lost',
    (_name, formula) => {
      const both = [...mixing(formula, [doughG(formula), 100]).steps, ...stepsFrom(whole(formula), 'dough')];
      expect([...names(both)].sort()).toEqual([...new Set(names(whole(formula)))].sort());
    },
  );

  it.each(cases.map(({ name, formula }) => [name, formula] as const))('%s: what is weighed is what the shares are', (_name, formula) => {
    const { factor, steps } = mixing(formula, [120, 340]);
    const inG = steps.filter(({ kind }) => kind === 'weigh').reduce((sum, { amountG, heldG }) => sum + amountG! + (heldG ?? 0), 0);
    // Components of a dough lose in the making what they lose there.
    const lostG = (formula.components ?? []).reduce((sum, { boiledOffG, drainedG }) => sum + (boiledOffG + drainedG) * factor, 0);
    expect(inG).toBeGreaterThanOrEqual(460 - 1e-6);
    expect(inG - 460).toBeLessThanOrEqual(lostG + 1e-6);
  });

  it('a batch made larger at the bench is cut into larger shares', () => {
    const { steps } = mixing(cases[0]!.formula, [120, 340]);
    const scaledUp = { id: '1', at: '2026-12-01T08:00:00Z', what: { kind: 'scaled', factor: 1.5 } } as const;
    const shares = runState(steps, [scaledUp], 0.1).steps.flatMap(({ step }) => (step.what === 'divide' ? [step.amountG] : []));
    expect(shares).toEqual([180, 510]);
  });
});
