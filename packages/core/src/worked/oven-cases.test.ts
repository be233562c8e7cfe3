import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { BakeMarch } from '../bake/slab/march.js';
import { browningFactorOf, compileBake } from '../bake/slab/problem.js';
import { onCurve } from '../math/interpolate.js';
import type { BakeSpec, Browners } from '../bake/slab/problem.js';

type Course = { min: number; X?: number; middleC: number; coldestC: number } & Record<
  'browningTop' | 'browningBase' | 'browningRim' | 'thicknessMm',
  number
>;
type OvenCase = {
  readonly id: string;
  readonly spec: Omit<BakeSpec, 'browningFactor'>;
  readonly browners: Browners;
  readonly browningFactor: number;
  readonly fin: number;
  readonly at: readonly Course[];
  readonly tolerance: { readonly lossRel?: number; readonly middleK: number; readonly coldestK: number; readonly browning: number };
};
const { cases, about } = JSON.parse(readFileSync(join(__dirname, 'oven-cases.json'), 'utf8')) as {
  about: string;
  cases: readonly OvenCase[];
};

// Source: an independent method of lines, as the file says; it shares the equations and proves the numerics.
describe('courses of the oven', () => {
  it('say what they were worked out with', () => expect(about).toContain('scipy BDF'));
  it.each(cases.map((one) => [one.id, one] as const))('%s', (_id, { spec, browners, browningFactor, fin, at, tolerance }) => {
    expect(browningFactorOf((spec.above?.[0] ?? spec).makeUp, browners)).toBeCloseTo(browningFactor, 5);
    // The reference knew no rim above a pan.
    const compiled = compileBake({ ...spec, browningFactor });
    const problem = spec.pitchMm === undefined ? { ...compiled, rimShare: 0 } : compiled;
    expect(problem.fin).toBeCloseTo(fin, 5);
    const { trajectory } = new BakeMarch(24).run(problem);
    const { startX } = problem.layers[problem.main]!;
    for (const wanted of at) {
      const is = (series: readonly number[]) => onCurve(trajectory.min, series, wanted.min);
      if (wanted.X !== undefined)
        expect(Math.abs(is(trajectory.moistureX) - wanted.X) / (startX - wanted.X)).toBeLessThan(tolerance.lossRel!);
      expect(Math.abs(is(trajectory.middleC) - wanted.middleC)).toBeLessThan(tolerance.middleK);
      expect(Math.abs(is(trajectory.coldestC) - wanted.coldestC)).toBeLessThan(tolerance.coldestK);
      for (const face of ['browningTop', 'browningBase', 'browningRim'] as const)
        expect(Math.abs(is(trajectory[face]) - wanted[face])).toBeLessThan(tolerance.browning);
      expect(is(trajectory.thicknessMm)).toBeCloseTo(wanted.thicknessMm, 0);
    }
  });
});
