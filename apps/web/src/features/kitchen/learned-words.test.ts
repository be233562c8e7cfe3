import { coreVersion, demoKitchen, imperial, metric, type Learned } from '@north-leaf/core';
import { voiceOf } from '@north-leaf/words';
import { learnedFrom, learnedName, learnedRows } from './learned-words';

const one = (over: Partial<Learned>): Learned =>
  ({
    what: 'thirstFactor',
    about: 'House blend',
    value: 1.06,
    sd: 0.03,
    priorValue: 1,
    priorSd: 0.1,
    bakeIds: ['a', 'b'],
    coreVersion,
    ...over,
  }) as Learned;
const kitchen = { ...demoKitchen, zone: 'UTC' };

describe('what bakes taught, in words', () => {
  it('names what it is learned of', () => {
    expect(learnedName(one({}), kitchen)).toBe('Thirst of house blend');
    expect(learnedName(one({ what: 'crisp', about: 'pie_flaky' }), kitchen)).toMatch(/^Crispness of /);
    expect(learnedName(one({ what: 'pack', about: 'tightTin cracker_thin' }), kitchen)).toMatch(/^Leak of the tight tin round /);
    const oven = kitchen.ovens[0]!;
    expect(learnedName(one({ what: 'ovenHeatFactor', about: oven.id }), kitchen)).toBe(`Heat of ${oven.name}`);
  });

  it('says what was believed before and what is now', () => {
    expect(learnedRows(one({}), voiceOf())).toEqual([{ of: 'Water it needs', before: '× 1.00 ± 0.10', now: '× 1.06 ± 0.03' }]);
    expect(learnedRows(one({ what: 'crisp', value: -0.4, sd: 0.2, priorSd: 0.8 }), voiceOf())[0]).toMatchObject({ now: '−0.4 ± 0.2' });
  });

  it('says an oven’s air in the baker’s degrees', () => {
    const joint = { mean: [3, 0, 0], covariance: [[1, 0, 0], [0, 0.01, 0], [0, 0, 0.01]] }; // prettier-ignore
    const oven = one({ what: 'oven', value: 3, sd: 1, joint } as Partial<Learned>);
    expect(learnedRows(oven, voiceOf(metric))[0]!.now).toBe('+3 ± 1 °C');
    // A difference of 3 K is 5.4 °F.
    expect(learnedRows(oven, voiceOf(imperial))[0]!.now).toBe('+5.4 ± 1.8 °F');
  });

  it('counts bakes and says their days', () => {
    expect(learnedFrom(one({ bakeIds: ['a'] }), kitchen)).toBe('From 1 bake.');
    const days = { firstAt: '2026-03-01T09:00:00Z', lastAt: '2026-03-04T09:00:00Z' };
    expect(learnedFrom(one(days), kitchen)).toBe('From 2 bakes, 1 Mar 2026 to 4 Mar 2026.');
    expect(learnedFrom(one({ ...days, lastAt: days.firstAt }), kitchen)).toBe('From 2 bakes, 1 Mar 2026.');
    expect(learnedFrom(one({ bakeIds: [] }), kitchen)).toMatch(/begun anew/i);
  });

  it('says that what was learned with another model of the oven is not used', () => {
    expect(learnedFrom(one({ what: 'ovenHeatFactor', coreVersion: '0.1.0' }), kitchen)).toMatch(/not used/);
  });
});
