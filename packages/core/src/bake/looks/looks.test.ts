import fc from 'fast-check';
import { bakeCaseFor } from '../../evaluate.js';
import { normalFrom, seeded } from '../../math/seeded.js';
import { normalQuantile } from '../../math/normal.js';
import { radicalInverse } from '../../math/halton.js';
import { quantile } from '../../math/quantile.js';
import { aFormula, kitchen, pantry } from '../../worked/a-formula.js';
import { caughtShare, doneBand, planLooks, withLooks } from './looks.js';
import { bakeReadings } from '../../facts/oven.js';
import { bakesNotDone, looksAfter, looksLeft, toneSeen } from './looks-after.js';
import { looksStudy } from './looks-study.js';
import { BakeMarch } from '../slab/march.js';
import { bakeSample, nudgeAt } from '../slab/samples.js';
import { bakeUntilOver } from '../doneness.js';
import { lightnessOf, toneOf } from '../tone.js';
import { onCurve } from '../../math/interpolate.js';
import { pairMap, windowShare } from '../pair-map.js';
import type { BakeSample } from '../slab/samples.js';

const cracker = bakeCaseFor(aFormula(), kitchen, pantry)!;
const study = (() => {
  const run = looksStudy(cracker);
  for (;;) {
    const { done, value } = run.next();
    if (done) return value;
  }
})();

describe('the numbers chance is made of', () => {
  it('normal quantiles (NIST/SEMATECH e-Handbook 1.3.6.7.1, table of the normal distribution, from memory)', () => {
    expect(normalQuantile(0.5)).toBeCloseTo(0, 9);
    expect(normalQuantile(0.9)).toBeCloseTo(1.281552, 5);
    expect(normalQuantile(0.975)).toBeCloseTo(1.959964, 5);
    expect(normalQuantile(0.001)).toBeCloseTo(-3.090232, 5);
  });
  it('mirrored digits (Halton 1960: base 2 gives 1/2, 1/4, 3/4, 1/8, 5/8; base 3 gives 1/3, 2/3, 1/9)', () => {
    expect([1, 2, 3, 4, 5].map((i) => radicalInverse(i, 2))).toEqual([0.5, 0.25, 0.75, 0.125, 0.625]);
    expect([1, 2, 3].map((i) => radicalInverse(i, 3))).toEqual([1 / 3, 2 / 3, 1 / 9]);
  });
  it('quantiles between order statistics (Hyndman & Fan 1996, type 7)', () => {
    expect(quantile([10, 20, 30], 0.25)).toBe(15);
    expect(quantile([5], 0.9)).toBe(5);
  });
});

describe('looks', () => {
  it('P10 to P90 holds about 80 of 100 bakes that were not planned with', () => {
    const next = seeded(41);
    const march = new BakeMarch(24);
    const fresh: BakeSample[] = Array.from({ length: 300 }, () =>
      bakeSample(
        march,
        { problem: cracker.problem, rule: cracker.rule, unknowns: cracker.unknowns },
        [0, 1, 2, 3, 4, 5].map(() => normalFrom(next)),
      ),
    );
    const { p10, p90 } = study.done!;
    const inside = fresh.filter(({ doneMin }) => doneMin >= p10 && doneMin <= p90).length / fresh.length;
    expect(inside).toBeGreaterThan(0.73);
    expect(inside).toBeLessThan(0.87);
    expect(
      caughtShare(
        study.looks.map(({ atMin }) => atMin),
        fresh,
      ),
    ).toBeGreaterThan(0.85);
  });

  it('few, rising, on half minutes, each with what to expect', () => {
    const at = study.looks.map(({ atMin }) => atMin);
    expect(at.length).toBeLessThanOrEqual(5);
    expect(study.looks.filter(({ asSet }) => asSet).map(({ atMin }) => atMin)).toEqual([cracker.totalMin]);
    expect(at).toEqual([...at].sort((a, b) => a - b));
    expect(at.every((min) => Number.isInteger(min * 2))).toBe(true);
    const tones = study.looks.map(({ topTone }) => topTone);
    expect(tones).toEqual([...tones].sort((a, b) => a - b));
    expect(study.looks[study.looks.length - 1]!.doneShare).toBeGreaterThan(0.9);
  });

  it('a look cools the oven: what is looked at is done later, by less than a minute (physical direction)', () => {
    expect(study.looksCostMin).toBeGreaterThan(0);
    expect(study.looksCostMin).toBeLessThan(1);
    const { settings } = withLooks(cracker.problem, [4, 8]);
    const seconds = (list: readonly { seconds: number }[]) => list.reduce((sum, one) => sum + one.seconds, 0);
    expect(seconds(settings)).toBeCloseTo(seconds(cracker.problem.settings), 6);
  });

  it('"not yet" plans the rest from there', () => {
    const [first] = study.looks;
    const rest = planLooks(study.samples, { afterMin: first!.atMin });
    expect(rest.atMin[0]).toBeGreaterThan(first!.atMin);
    expect(doneBand(study.samples, first!.atMin)!.p50).toBeGreaterThan(first!.atMin);
  });

  it('whatever the bakes: looks come in order, after the last setting, with the minutes that were set; they catch from none to all', () => {
    const bake = fc
      .tuple(fc.double({ min: 1, max: 60, noNaN: true }), fc.double({ min: -3, max: 20, noNaN: true }))
      .map(([doneMin, window]) => ({ doneMin, overMin: doneMin + window }));
    fc.assert(
      fc.property(
        fc.array(bake, { maxLength: 80 }),
        fc.integer({ min: 0, max: 30 }),
        fc.integer({ min: 1, max: 90 }),
        (samples, fromMin, last) => {
          // prettier-ignore
          const setMin = fromMin + last / 2;
          const plan = planLooks(samples, { fromMin, setMin });
          expect(plan.atMin.every((at, i) => at > fromMin && (i === 0 || at > plan.atMin[i - 1]!))).toBe(true);
          expect(plan.atMin).toContain(setMin);
          expect(plan.caughtShare).toBeGreaterThanOrEqual(0);
          expect(plan.caughtShare).toBeLessThanOrEqual(1);
        },
      ),
      { numRuns: 100, seed: 5 },
    );
    expect(planLooks([])).toEqual({ atMin: [], caughtShare: 0 });
  });
});

describe('what is left after a look that found it not done', () => {
  const first = study.looks[0]!;
  const ended = <T>(run: Generator<number, T>): T => {
    for (;;) {
      const { done, value } = run.next();
      if (done) return value;
    }
  };
  const seen = { atMin: first.atMin, openedMin: [] };
  const notDone = ended(bakesNotDone(cracker, seen));
  const after = (topTone?: number) => looksLeft(cracker, topTone === undefined ? seen : { ...seen, topTone }, notDone);

  it('paler is done later, darker sooner (physical direction); every look is still to come', () => {
    const [paler, asShown, darker] = (['paler', 'asShown', 'darker'] as const).map((word) => after(toneSeen(word, first.topTone)));
    expect(paler!.done!.p50).toBeGreaterThan(asShown!.done!.p50);
    expect(asShown!.done!.p50).toBeGreaterThan(darker!.done!.p50);
    for (const { looks } of [paler!, asShown!, darker!]) {
      expect(looks[0]!.atMin).toBeGreaterThanOrEqual(first.atMin + 1);
      expect(looks[looks.length - 1]!.doneShare).toBeGreaterThan(0.9);
    }
    expect(toneSeen('paler', 4, 6)).toBe(6);
  });
  it('without a tone it is the plan of all that are not done', () => {
    const { looks, done } = after();
    const plain = planLooks(study.samples, { afterMin: first.atMin }).atMin;
    expect(Math.abs(looks[0]!.atMin - plain[0]!)).toBeLessThanOrEqual(0.5);
    expect(done!.p50).toBeCloseTo(doneBand(study.samples, first.atMin)!.p50, 0);
  });
  it('later than any bake that was thought of there is one more look', () => {
    const { looks, done } = ended(looksAfter(cracker, { atMin: 200, topTone: 3, openedMin: [12] }));
    expect([looks.length, looks[0]!.atMin, done]).toEqual([1, 203, null]);
  });
  it('a tone narrows it: bakes that were not planned with lie in P10 to P90 eight times in ten, and nearer its middle', () => {
    const next = seeded(7);
    const march = new BakeMarch(24);
    let [inside, told, untold, count] = [0, 0, 0, 0];
    const plain = after().done!;
    while (count < 100) {
      const z = Array.from({ length: 6 }, () => normalFrom(next));
      const made = nudgeAt(cracker.problem, cracker.unknowns, z);
      const { times, trajectory } = bakeUntilOver(march, made, cracker.rule, { atLeastMin: first.atMin });
      if (times.doneMin === null || times.doneMin <= first.atMin) continue;
      count++;
      const tone = toneOf(lightnessOf(onCurve(trajectory.min, trajectory.browningTop, first.atMin)));
      const { p10, p50, p90 } = after(tone + bakeReadings.values.tone * normalFrom(next)).done!;
      if (times.doneMin >= p10 && times.doneMin <= p90) inside++;
      told += Math.abs(times.doneMin - p50);
      untold += Math.abs(times.doneMin - plain.p50);
    }
    expect(inside).toBeGreaterThan(70);
    expect(inside).toBeLessThan(92);
    expect(told).toBeLessThan(0.92 * untold);
  });
});

describe('map of thickness and temperature', () => {
  const cells = [...pairMap(cracker, [2, 3, 4], [150, 180, 210])];

  it('thicker is later, hotter is sooner (physical direction)', () => {
    const done = (mm: number, c: number) => cells.find((cell) => cell.thicknessMm === mm && cell.wantC === c)!.doneMin!;
    expect(done(3, 180)).toBeGreaterThan(done(2, 180));
    expect(done(3, 210)).toBeLessThan(done(3, 180));
  });
  it('thin and cool dries before it colours, thick and hot colours before it dries', () => {
    const lead = (mm: number, c: number) => {
      const { goldenMin, dryMin } = cells.find((cell) => cell.thicknessMm === mm && cell.wantC === c)!;
      return goldenMin! - dryMin!;
    };
    expect(lead(2, 150)).toBeGreaterThan(0);
    expect(lead(4, 210)).toBeLessThan(lead(2, 150));
  });
  it('shared out in parts it is the same map', () => {
    const halves = [0, 1].flatMap((part) => [...pairMap(cracker, [2, 3, 4], [150, 180, 210], { part, parts: 2 })]);
    const order = (list: typeof cells) => [...list].sort((a, b) => a.thicknessMm - b.thicknessMm || a.wantC - b.wantC);
    expect(order(halves)).toEqual(order(cells));
  });
  it('the window is the share of the baking time that is left for taking it out', () => {
    expect(windowShare({ doneMin: 10, overMin: 13 })).toBeCloseTo(0.3, 12);
    expect(windowShare({ doneMin: null, overMin: 13 })).toBe(-1);
  });
});
