import { coreVersion } from '../core-version.js';
import { bakeCaseFor } from '../evaluate.js';
import { aFormula, kitchen, pantry } from '../worked/a-formula.js';
import { onCurve } from '../math/interpolate.js';
import { BakeMarch } from './slab/march.js';
import { nudged } from './slab/problem.js';
import { heatFromWeighing } from './weighing.js';

const theCase = bakeCaseFor(aFormula(), kitchen, pantry)!;
const MIN = 8;
/** What a tray of 400 g weighs after some minutes in an oven that gives its heat so many times as fast. */
function afterG(factor: number): number {
  const { trajectory } = new BakeMarch(24).run(nudged(theCase.problem, { heatLog: Math.log(factor) }));
  const { startX } = theCase.problem.layers[theCase.problem.main]!;
  return 400 * (1 - (startX - onCurve(trajectory.min, trajectory.moistureX, MIN)) / (1 + startX));
}
const learned = (factor: number) => heatFromWeighing(theCase, { beforeG: 400, afterG: afterG(factor), min: MIN });

describe('one weighed tray', () => {
  it('finds an oven that is as its kind, and is surer of it than before', () => {
    const { value, sd } = learned(1);
    expect(value).toBeCloseTo(1, 1);
    expect(sd).toBeLessThan(0.1);
  });
  it('moves towards the hidden oven, and not past it: what ovens of its kind do is weighed in', () => {
    const strong = learned(1.25).value;
    const weak = learned(0.8).value;
    expect(strong).toBeGreaterThan(1.03);
    expect(strong).toBeLessThan(1.26);
    expect(weak).toBeLessThan(0.97);
    expect(weak).toBeGreaterThan(0.79);
  });
  it('what it learns brings the bake nearer to what was weighed', () => {
    const hidden = learned(1.25);
    const again = bakeCaseFor(
      aFormula(),
      { ...kitchen, learned: [{ what: 'ovenHeatFactor', about: 'oven-a', value: hidden.value, sd: hidden.sd, bakeIds: [], coreVersion }] },
      pantry,
    )!;
    const miss = (of: typeof theCase) => {
      const { lostShare, expectedShare } = heatFromWeighing(of, { beforeG: 400, afterG: afterG(1.25), min: MIN });
      return Math.abs(lostShare - expectedShare);
    };
    expect(miss(again)).toBeLessThan(miss(theCase));
    expect(again.unknowns.heatLog).toBeLessThan(theCase.unknowns.heatLog);
  });
  it('a second tray begins where the first ended: nearer still, and surer', () => {
    const first = learned(1.25);
    const knows = { what: 'ovenHeatFactor' as const, about: 'oven-a', value: first.value, sd: first.sd, bakeIds: [], coreVersion };
    const again = bakeCaseFor(aFormula(), { ...kitchen, learned: [knows] }, pantry)!;
    const second = heatFromWeighing(again, { beforeG: 400, afterG: afterG(1.25), min: MIN });
    expect(second.value).toBeGreaterThan(first.value);
    expect(second.value).toBeLessThan(1.27);
    expect(second.sd).toBeLessThan(first.sd);
  });
  it.each<[string, Parameters<typeof heatFromWeighing>[1], RegExp]>([
    ['heavier after than before', { beforeG: 400, afterG: 410, min: 10 }, /from 1 to 400 g/],
    ['nothing on the tray', { beforeG: 0, afterG: 0, min: 10 }, /from 1 to 100000 g/],
    ['no time', { beforeG: 400, afterG: 300, min: 0 }, /from 1 to 240 min/],
    ['letters', { beforeG: NaN, afterG: 300, min: 10 }, /must be a number/],
  ])('refuses %s', (_claim, weighing, message) => {
    expect(() => heatFromWeighing(theCase, weighing)).toThrow(message);
  });
});
