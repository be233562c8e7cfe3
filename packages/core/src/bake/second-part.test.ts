import { evaluate, findingsOf } from '../evaluate.js';
import { runSteps } from '../run/plan/steps.js';
import { referencePantry as pantry } from '../solve/reference.js';
import { referenceKitchen as kitchen } from '../solve/reference-kitchen.js';
import { goods } from '../worked/goods.js';
import { withSet } from '../worked/a-formula.js';
import type { Formula } from '../document/formula.js';

const sandwich = goods().find(({ name }) => name === 'filled sandwich with windows')!.formula;
const bakeOf = (formula: Formula) => {
  const { bake } = evaluate(formula, kitchen, pantry);
  if (bake.state === 'waiting') throw new Error(bake.problem?.message);
  return bake.result;
};
/** Its tops without their windows. */
const whole = (formula: Formula): Formula => ({
  ...formula,
  sheet: { ...formula.sheet, parts: formula.sheet.parts.map(({ window: _window, ...part }) => part) },
});
const thin = withSet(sandwich, { '/sheet/parts/1/thicknessMm': 1.6 });
const stepsOf = (formula: Formula) => runSteps({ formula, kitchen, pantry }, evaluate(formula, kitchen, pantry));

describe('tops and bottoms of a pair', () => {
  it('a top is a bake of its own: with a window it is drier at the same minutes, and done no later', () => {
    const { second, end, doneMin } = bakeOf(sandwich);
    expect(second!.key).toBe(sandwich.sheet.parts[1]!.key);
    expect(second!.end.moistureShare).toBeLessThan(end.moistureShare);
    expect(second!.doneMin!).toBeLessThanOrEqual(doneMin!);
  });

  it('parts that are alike, and what bakes closed over a filling, have no second bake', () => {
    expect(bakeOf(whole(sandwich)).second).toBeNull();
    expect(bakeOf(goods().find(({ name }) => name === 'two rounds closed over jam')!.formula).second).toBeNull();
    expect(bakeOf(goods().find(({ name }) => name === 'two-crust fruit pie')!.formula).second).toBeNull();
  });

  it('a top bakes as a cookie of its own thickness does that is cut alone', () => {
    const plain = withSet(whole(sandwich), { '/sheet/parts/1/thicknessMm': 1.6 });
    const alone = withSet(plain, { '/sheet/parts': [plain.sheet.parts[1]!] as never });
    expect(bakeOf(plain).second!.doneMin).toBeCloseTo(bakeOf(alone).doneMin!, 1);
  });

  it('thin tops come out first, before their bottoms, once a load; and it is said', () => {
    const { second, totalMin } = bakeOf(thin);
    expect(totalMin - second!.doneMin!).toBeGreaterThan(1.5);
    expect(findingsOf(evaluate(thin, kitchen, pantry)).map(({ code }) => code)).toContain('bake.pairApart');
    const steps = stepsOf(thin);
    const tops = steps.filter(({ what }) => what === 'partOut');
    expect(tops).toHaveLength(steps.find(({ what }) => what === 'out')!.loads!);
    expect(tops[0]!.min).toBeCloseTo(second!.doneMin!, 0);
    const at = (what: string) => steps.findIndex((step) => step.what === what);
    expect(at('partOut')).toBeLessThan(at('out'));
    expect(at('partOut')).toBeGreaterThan(at('putIn'));
    expect(stepsOf(whole(sandwich)).some(({ what }) => what === 'partOut')).toBe(false);
  });
});
