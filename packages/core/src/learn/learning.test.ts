import { coreVersion } from '../core-version.js';
import { isOutdated } from '../document/kitchen.js';
import { demoCrackerV2, demoKitchen, demoLots } from '../demo/seeded-crackers.js';
import { bakeCaseFor, evaluate } from '../evaluate.js';
import { publishedIngredients } from '../ingredient/published.js';
import { directions, independent, sdsOf, updated, updatedRobustly } from '../math/belief.js';
import { goodsFromBakes, ovenFromBakes } from './from-bakes.js';
import { learnedFactor, learnedLayerFloor, learnedPack } from './goods.js';
import { learnedOven } from './oven.js';
import { learnedTexture } from './texture.js';
import { learnedThirst } from './thirst.js';
import { learningDoubts } from './true-bakes.js';
import type { BakeEvent, Happened, RunStep } from '../document/bake.js';
import type { Kitchen, Learned } from '../document/kitchen.js';
import type { RecordedBake } from './from-bakes.js';

const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
const formula = demoCrackerV2;
const theCase = bakeCaseFor(formula, demoKitchen, pantry)!;
const taught = (learned: Learned): Kitchen => ({ ...demoKitchen, learned: [learned] });
const done = (kitchen: Kitchen) => {
  const { bake } = evaluate(formula, kitchen, pantry);
  if (bake.state === 'waiting') throw new Error('the demo is worked out');
  return bake.result;
};

describe('linear belief', () => {
  // One number known to one, one reading of it as good: half way, half the variance (textbook).
  it('goes half way to a reading as good as the prior', () => {
    const after = updated(independent([0], [1]), [[1]], [2], [[1]]);
    expect(after.mean[0]).toBeCloseTo(1, 12);
    expect(after.covariance[0]![0]).toBeCloseTo(0.5, 12);
  });
  it('two readings one after the other or at once are the same, in any order', () => {
    const prior = independent([0, 0], [1, 2]);
    const [a, b] = [[1, 0.5], [0.2, -1]] as const; // prettier-ignore
    const at = (x: readonly number[], y: number) => (of: ReturnType<typeof independent>) => updated(of, [x], [y], [[0.3]]);
    const once = updated(prior, [a, b], [1, 2], [[0.3, 0], [0, 0.3]]); // prettier-ignore
    for (const after of [at(b, 2)(at(a, 1)(prior)), at(a, 1)(at(b, 2)(prior))]) {
      after.mean.forEach((one, i) => expect(one).toBeCloseTo(once.mean[i]!, 10));
      after.covariance.flat().forEach((one, i) => expect(one).toBeCloseTo(once.covariance.flat()[i]!, 10));
    }
  });
  it('nothing read changes nothing, and a reading never widens', () => {
    const prior = independent([1, 2], [3, 4]);
    expect(updated(prior, [], [], [])).toBe(prior);
    const after = updated(prior, [[1, 1]], [0], [[5]]);
    sdsOf(after).forEach((sd, i) => expect(sd).toBeLessThan(sdsOf(prior)[i]!));
  });
  it('directions multiply to the covariance', () => {
    const L = directions([[4, 1], [1, 3]]); // prettier-ignore
    expect(L[0]![0]! ** 2).toBeCloseTo(4, 12);
    expect(L[1]![0]! ** 2 + L[1]![1]! ** 2).toBeCloseTo(3, 12);
    expect(L[0]![1]).toBe(0);
  });
});

describe('an oven that bakes teach', () => {
  const load = (min: number, more: object = {}) => ({ bakeId: `b${min}`, theCase, min, byEye: true, ...more });
  const expected = done(demoKitchen).done!.value;

  it('nothing read teaches nothing', () => {
    expect(learnedOven('oven-a', [])).toBeNull();
    expect(learnedOven('oven-a', [{ ...load(15), byEye: false }])).toBeNull();
  });

  it('done sooner than forecast: hotter or better at giving heat, and the forecast follows', () => {
    const hot = learnedOven('oven-a', [load(expected - 2), load(expected - 2.1), load(expected - 1.9)])!;
    expect(hot.value).toBeGreaterThan(0);
    expect(hot.joint!.mean[1]).toBeGreaterThan(0);
    const after = done(taught(hot));
    expect(after.done!.value).toBeLessThan(expected - 1);
    expect(after.done!.value).toBeGreaterThan(expected - 2.4);
    expect(after.done!.sd).toBeLessThan(done(demoKitchen).done!.sd);
  });

  it('what went as forecast only makes it surer, and more bakes surer still', () => {
    const sds = [1, 3, 8].map(
      (n) =>
        learnedOven(
          'oven-a',
          Array.from({ length: n }, () => load(expected)),
        )!.sd,
    );
    expect(sds[0]).toBeLessThan(2.5);
    expect(sds[1]).toBeLessThan(sds[0]!);
    expect(sds[2]).toBeLessThan(sds[1]!);
  });

  it('a pale top is laid to browning when the loss and the time were right', () => {
    const { bake } = evaluate(formula, demoKitchen, pantry);
    if (bake.state === 'waiting') throw new Error('the demo is worked out');
    const lost = (min: number) => {
      const { curve } = bake.result;
      const at = curve.min.findIndex((one) => one >= min);
      const x = (share: number) => share / (1 - share);
      return (x(curve.moistureShare[0]!) - x(curve.moistureShare[at]!)) / (1 + x(curve.moistureShare[0]!));
    };
    const pale = learnedOven(
      'oven-a',
      [1, 2, 3].map((n) => ({ ...load(15), bakeId: `p${n}`, byEye: false, lostShare: lost(15), topTone: 2 })),
    )!;
    const [, heat, browning] = pale.joint!.mean as [number, number, number];
    expect(browning).toBeLessThan(-0.05);
    expect(Math.abs(heat)).toBeLessThan(Math.abs(browning));
  });

  it('one bad bake in five does not carry the rest away (in a simulated kitchen of our own: weak)', () => {
    const good = [-1.9, -2, -2.1, -2].map((off, i) => ({ ...load(expected + off), bakeId: `g${i}` }));
    const tapped = { ...load(1), bakeId: 'tapped', lostShare: 0.01, topTone: 4 };
    const [without, among] = [learnedOven('oven-a', good)!, learnedOven('oven-a', [good[0]!, tapped, ...good.slice(1)])!];
    const minutes = (learned: Learned) => done(taught(learned)).done!.value;
    expect(minutes(without)).toBeLessThan(expected - 1.3);
    expect(Math.abs(minutes(among) - minutes(without))).toBeLessThan(0.8);
  });

  it('set aside it is kept and not used', () => {
    const hot = learnedOven('oven-a', [load(expected - 2)])!;
    expect(done({ ...demoKitchen, learned: [{ ...hot, setAside: true }] }).done!.value).toBeCloseTo(expected, 9);
  });

  it('wide readings of the same oven are no surer than their noise', () => {
    const { sd, priorSd } = learnedOven('oven-a', [load(expected)])!;
    expect(sd).toBeGreaterThan(0.5);
    expect(priorSd).toBe(2.5);
  });
});

describe('texture that dots teach', () => {
  it('is the mean of a normal with a normal prior: worked by hand', () => {
    // Prior 1; noise sqrt(1 + 2.5^2 / 12) = 1.2332; one bake rated 10 where 8 was forecast: 2 / 1.5208 / (1 + 0.6575) = 0.7934.
    const learned = learnedTexture('crisp', 'x', [{ bakeId: 'a', forecast: 8, dots: 5 }])!;
    expect(learned.value).toBeCloseTo(0.7934, 3);
    expect(learned.sd).toBeCloseTo(1 / Math.sqrt(1 + 0.6575), 3);
  });
  it('what was learned with another model of the oven is kept and not used', () => {
    const old: Learned = { what: 'tender', about: 'cracker_savoury', value: -0.8, sd: 0.3, bakeIds: ['a'] };
    const under = (one: Learned) => evaluate(formula, taught(one), pantry).outlook!.taught.tender;
    expect(
      [old, { ...old, coreVersion: '1.9.2' }, { ...old, coreVersion: '1.11.0' }, { ...old, coreVersion: '1.12.0' }].map(under),
    ).toEqual([0, 0, -0.8, -0.8]);
    // A thirst is the blend's: no oven stands in it.
    expect(isOutdated({ ...old, what: 'thirstFactor' })).toBe(false);
  });
  it('moves the Outlook of the family by what it learned, and says so', () => {
    const before = evaluate(formula, demoKitchen, pantry).outlook!;
    const learned: Learned = { what: 'tender', about: 'cracker_savoury', value: -0.8, sd: 0.3, bakeIds: ['a'], coreVersion };
    const { tender, taught: added, crisp } = evaluate(formula, taught(learned), pantry).outlook!;
    expect(tender.value).toBeCloseTo(before.tender.value - 0.8, 6);
    expect(tender.basis).toBe('learned');
    expect(tender.sd).toBeLessThan(before.tender.sd);
    expect(added).toEqual({ crisp: 0, tender: -0.8 });
    expect(crisp).toEqual(before.crisp);
  });
});

describe('one bad bake in five does not carry the rest away (readings of our own: weak)', () => {
  const good = [0, 1, 2, 3];
  const rated = (dots: number) => (n: number) => ({ bakeId: `${n}`, forecast: 7, dots });
  const ruled = (off: number) => (n: number) => ({ bakeId: `${n}`, slope: 2.5, off, sd: 0.3 });
  const kept = (seen: number) => (n: number) => ({ bakeId: `${n}`, seen, forecast: (leak: number) => -3 * leak });
  const layers = (apart: boolean) => (n: number) => ({ bakeId: `${n}`, doughUm: 45, apart });
  const felt = (word: 'rollsClean' | 'sticks') => () => ({ getsOverWants: 1, word });
  it.each([
    ['dots', (bad: boolean) => learnedTexture('crisp', 'x', [...good.map(rated(4)), ...(bad ? [rated(1)(4)] : [])])!],
    ['lift', (bad: boolean) => learnedFactor('lift', 'x', [...good.map(ruled(0.2)), ...(bad ? [ruled(-3)(4)] : [])])!],
    ['spread', (bad: boolean) => learnedFactor('spread', 'x', [...good.map(ruled(0.2)), ...(bad ? [ruled(5)(4)] : [])])!],
    ['pack', (bad: boolean) => learnedPack('x', [...good.map(kept(-3)), ...(bad ? [kept(-10)(4)] : [])])!],
    ['layers', (bad: boolean) => learnedLayerFloor('x', [...good.map(layers(true)), ...(bad ? [layers(false)(4)] : [])])!],
    ['thirst', (bad: boolean) => learnedThirst([...good.map(felt('rollsClean')), ...(bad ? [felt('sticks')()] : [])])],
  ] as const)('%s', (_what, learned) => {
    const [without, among] = [learned(false), learned(true)];
    expect(Math.abs(among.value - without.value)).toBeLessThan(without.sd);
  });

  it('its weight falls the farther off it is; what is as expected is counted whole', () => {
    const mean = (last: number) => updatedRobustly(independent([0], [1]), [[1], [1], [1], [1], [1]], [0.2, 0.2, 0.2, 0.2, last], [1, 1, 1, 1, 1], 4).mean[0]!; // prettier-ignore
    expect(mean(0.2)).toBeCloseTo(1 / 6, 9);
    expect(mean(30)).toBeLessThan(mean(4));
    expect(mean(30)).toBeLessThan(0.25);
  });
});

describe('what nothing is learned from', () => {
  const event = (n: number, what: Happened, stepKey?: string): BakeEvent => ({
    id: `e${n}`,
    at: new Date(Date.UTC(2026, 10, 26, 5, n)).toISOString(),
    what,
    ...(stepKey ? { stepKey } : {}),
  });
  const baked = (min: number) => event(50, { kind: 'measured', what: 'bakeMin', value: min }, 'out:1');
  const wait = { key: 'rest', stage: 'dough', kind: 'wait', what: 'rest', handsMin: 0, min: 20 } as unknown as RunStep;
  const codes = (events: readonly BakeEvent[], steps: readonly RunStep[] = []) =>
    learningDoubts(formula, events, steps).map(({ code }) => code);

  it('minutes in which nothing bakes, or in which it would be coal', () => {
    expect(codes([baked(15)])).toEqual([]);
    expect(codes([baked(12)])).toEqual([]);
    expect(codes([baked(1)])).toEqual(['minutes']);
    expect(codes([baked(90)])).toEqual(['minutes']);
    expect(codes([])).toEqual([]);
  });
  it('a wait that was skipped or cut by more than half; not one that was written down afterwards', () => {
    const began = event(1, { kind: 'stepBegan' }, 'rest');
    expect(codes([began, event(22, { kind: 'stepEnded' }, 'rest')], [wait])).toEqual([]);
    expect(codes([began, event(4, { kind: 'stepEnded' }, 'rest')], [wait])).toEqual(['waitCut']);
    expect(codes([event(4, { kind: 'skipped', reason: 'no time' }, 'rest')], [wait])).toEqual(['waitCut']);
    expect(codes([event(4, { kind: 'stepEnded' }, 'rest')], [wait])).toEqual([]);
  });
  it('until its baker says that it was so', () => {
    expect(codes([baked(1), event(60, { kind: 'confirmed', code: 'learn.minutes', reason: 'a hot stone' })])).toEqual([]);
  });
});

describe('learning from bakes on record', () => {
  let n = 0;
  const recorded = (...whats: readonly (Happened | readonly [string, Happened])[]): RecordedBake => ({
    bakeId: `bake-${++n}`,
    formula,
    factor: 1,
    roomC: 22,
    humidityShare: 0.5,
    events: whats.map((one, i): BakeEvent => {
      const [stepKey, what] = Array.isArray(one) ? (one as [string, Happened]) : [undefined, one as Happened];
      return { id: `${n}-${i}`, at: new Date(Date.UTC(2026, 10, 20, 5, i)).toISOString(), ...(stepKey ? { stepKey } : {}), what };
    }),
  });
  const m = (what: 'bakeMin' | 'rawG' | 'bakedG' | 'topTone' | 'rawMm', value: number): Happened => ({ kind: 'measured', what, value });

  it('takes time, loss and tone of the first load, and whether an eye ended it', () => {
    const heavy = ovenFromBakes(
      'oven-a',
      [recorded(['out:1', m('bakeMin', 15)], ['load', m('rawG', 400)], ['out:1', m('bakedG', 281)])],
      demoKitchen,
      pantry,
    )!;
    expect(heavy.bakeIds).toHaveLength(1);
    const late = recorded(['look:1:0', { kind: 'looked', against: 'paler' }], ['out:1', m('bakeMin', 20)]);
    // Pulled out while it was still too pale, and nothing weighed: the time says nothing.
    expect(ovenFromBakes('oven-a', [late], demoKitchen, pantry)).toBeNull();
    const eyed = recorded(['look:1:0', { kind: 'looked', against: 'asShown' }], ['out:1', m('bakeMin', 20)], ['out:2', m('bakeMin', 9)]);
    expect(ovenFromBakes('oven-a', [eyed], demoKitchen, pantry)!.value).toBeLessThan(0);
  });
  it('a bake without minutes teaches an oven nothing', () => {
    expect(ovenFromBakes('oven-a', [recorded(m('topTone', 5))], demoKitchen, pantry)).toBeNull();
  });
  it('dots teach the family, forecast from what was really done', () => {
    const [crisp, tender] = goodsFromBakes(
      'cracker_savoury',
      [recorded(m('bakeMin', 15), { kind: 'rated', after: 'fresh', crisp: 3, tender: 5 })],
      demoKitchen,
      pantry,
    );
    expect(crisp).toMatchObject({ what: 'crisp', about: 'cracker_savoury' });
    expect(crisp!.value).toBeLessThan(0);
    expect(tender!.value).toBeGreaterThan(0);
    expect(goodsFromBakes('cracker_savoury', [recorded(m('bakeMin', 15))], demoKitchen, pantry)).toEqual([]);
  });
});

describe('goods that a ruler, dots and an eye teach', () => {
  it('a factor is the mean of a normal: worked by hand', () => {
    // Prior 0.25, slope 2, off 0.4 with noise 0.2: precision 16 + 100, so 1 + 20 / 116 x 0.2 = 1.1724.
    const learned = learnedFactor('lift', 'x', [{ bakeId: 'a', slope: 2, off: 0.4, sd: 0.2 }])!;
    expect(learned.value).toBeCloseTo(1 + 20 / 116, 9);
    expect(learned.sd).toBeCloseTo(1 / Math.sqrt(116), 9);
    expect(learnedFactor('lift', 'x', [])).toBeNull();
  });

  it('goods that stand higher than forecast lift more, and the next forecast does too', () => {
    const end = (kitchen: Kitchen) => done(kitchen).end.thicknessMm;
    const higher = learnedFactor(
      'lift',
      'cracker_savoury',
      [1, 2, 3].map((n) => ({ bakeId: `${n}`, slope: 2.5, off: 0.6, sd: 0.3 })),
    )!;
    expect(higher.value).toBeGreaterThan(1.1);
    expect(end(taught(higher))).toBeGreaterThan(end(demoKitchen) + 0.1);
  });

  it('softer after days than forecast: the pack leaks more, and keeps shorter', () => {
    const leaky = learnedPack(
      'tightTin cracker_savoury',
      [1, 2, 3].map((n) => ({ bakeId: `${n}`, seen: -5, forecast: (leak: number) => -2 * leak })),
    )!;
    expect(leaky.value).toBeGreaterThan(1.2);
    const days = (kitchen: Kitchen) => {
      const { keep } = evaluate(formula, kitchen, pantry);
      if (keep.state === 'waiting') throw new Error('the demo is worked out');
      return keep.result.crispDays;
    };
    expect(days(taught(leaky)).value).toBeCloseTo(days(demoKitchen).value / leaky.value, 0);
    expect(days(taught(leaky)).basis).toBe('learned');
  });

  it('layers that came out apart lower the floor, lost ones raise it', () => {
    const floor = (doughUm: number, apart: boolean) =>
      learnedLayerFloor(
        'puff',
        [1, 2, 3].map((n) => ({ bakeId: `${n}`, doughUm, apart })),
      )!.value;
    expect(floor(40, true)).toBeLessThan(45);
    expect(floor(90, false)).toBeGreaterThan(80);
    expect(learnedLayerFloor('puff', [])).toBeNull();
  });
});
