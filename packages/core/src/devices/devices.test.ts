import { demoKitchen } from '../demo/seeded-crackers.js';
import { seeded } from '../math/seeded.js';
import { hiddenKitchen, probeReading, readTemperatureMeasurement } from './probe.js';
import {
  emptyPan,
  panAfter,
  readPan,
  readScaleLine,
  readWeightMeasurement,
  restAfter,
  restReading,
  restarted,
  tared,
  usualScale,
  type Rest,
} from './scale.js';

const bytes = (...of: number[]) => new DataView(new Uint8Array(of).buffer);

describe('a stand-in scale', () => {
  const next = () => seeded(3);
  it('moves, comes to rest, and shows what lies on it', () => {
    const poured = panAfter(emptyPan, 0.05, 200);
    expect(readPan(poured, next()).steady).toBe(false);
    const rested = panAfter(poured, 3);
    expect(readPan(rested, next())).toMatchObject({ steady: true, over: false });
    expect(readPan(rested, next()).grams).toBeCloseTo(200, 0);
  });
  it('reads the same for one long step of time as for many short ones', () => {
    let short = emptyPan;
    for (let i = 0; i < 100; i++) short = panAfter(short, 0.02, i === 0 ? 50 : 0);
    expect(short.shownG).toBeCloseTo(panAfter(panAfter(emptyPan, 0.02, 50), 1.98).shownG, 9);
  });
  it('is tared, drifts under load, and starts from zero when its plug was out', () => {
    const bowl = panAfter(panAfter(emptyPan, 0, 412), 5);
    expect(readPan(tared(bowl), next()).grams).toBeCloseTo(0, 0);
    expect(panAfter(bowl, 600).creepG).toBeCloseTo(0.5, 1);
    expect(readPan(restarted(panAfter(bowl, 60)), next()).grams).toBeCloseTo(0, 0);
  });
  it('is over above its most, and never holds less than nothing', () => {
    expect(readPan(panAfter(emptyPan, 5, 6000), next())).toEqual({ grams: usualScale.mostG, steady: false, over: true });
    expect(panAfter(emptyPan, 1, -50).loadG).toBe(0);
  });
  it('shows whole steps', () => {
    const chance = seeded(9);
    for (let i = 0; i < 50; i++) {
      const { grams } = readPan(panAfter(emptyPan, 9, 77.77), chance);
      expect(Math.abs(grams * 10 - Math.round(grams * 10))).toBeLessThan(1e-6);
    }
  });
});

describe('a rest of the pan', () => {
  const steady = (grams: number) => ({ grams, steady: true, over: false });
  const of = (...grams: number[]) => grams.reduce<Rest>((rest, g, i) => restAfter(rest, steady(g), i * 100), []);
  const weighs = (rest: Rest) => restReading(rest, steady(NaN)).grams;

  it('weighs the mean of what stood still, over the last 0.8 s', () => {
    expect(weighs(of(12, 12.2, 12.1))).toBeCloseTo(12.1, 9);
    expect(of(...Array.from({ length: 40 }, () => 12))).toHaveLength(9);
  });
  it('begins anew with what is put on, moves or is too heavy', () => {
    expect(weighs(of(12, 12.1, 13))).toBe(13);
    expect(restAfter(of(12, 12.1), { grams: 12.1, steady: false, over: false }, 300)).toHaveLength(1);
    expect(restAfter(restAfter([], { grams: 12, steady: false, over: false }, 0), steady(12), 100)).toHaveLength(1);
    expect(restReading(restAfter(of(12), { grams: 5000, steady: false, over: true }, 100), steady(0)).over).toBe(true);
  });
  it('with the stand-in’s noise a pour of 12 g stands within 0.2 g for two seconds, 99 times in a hundred', () => {
    const chance = seeded(4);
    let off = 0;
    for (let pour = 0; pour < 400; pour++) {
      const after = (pan: typeof emptyPan, count: number, rest: Rest = []) =>
        Array.from({ length: count }).reduce<Rest>((now, _, i) => restAfter(now, readPan(pan, chance), i * 100), rest);
      const zero = weighs(after(panAfter(emptyPan, 5, 400), 9));
      const pan = panAfter(panAfter(emptyPan, 5, 400), 5, 12.05);
      let rest = after(pan, 9);
      let worst = 0;
      for (let i = 9; i < 29; i++) {
        rest = restAfter(rest, readPan(pan, chance), i * 100);
        worst = Math.max(worst, Math.abs(weighs(rest) - zero - 12));
      }
      if (worst > 0.2) off++;
    }
    expect(off).toBeLessThan(4);
  });
});

describe('lines and bytes of other scales', () => {
  it.each([
    ['ST,GS,+  412.5 g', { grams: 412.5, steady: true, over: false }],
    ['US,NT,-   0.3g', { grams: -0.3, steady: false, over: false }],
    ['  1.250 kg', { grams: 1250, steady: true, over: false }],
    ['18.60 oz', { grams: 527.301, steady: true, over: false }],
    ['527,3', { grams: 527.3, steady: true, over: false }],
    ['OL', { grams: 0, steady: false, over: true }],
  ])('%p', (line, reading) => {
    const read = readScaleLine(line)!;
    expect(read.grams).toBeCloseTo(reading.grams, 2);
    expect([read.steady, read.over]).toEqual([reading.steady, reading.over]);
  });
  it('a line without a number is nothing', () => expect(readScaleLine('READY')).toBeNull());

  // Bluetooth SIG Weight Scale Service 1.0: units of 0.005 kg, little-endian, after a byte of flags (from memory).
  it('a weight measurement counts in 5 g', () => {
    expect(readWeightMeasurement(bytes(0x00, 0x64, 0x00))).toEqual({ grams: 500, steady: true, over: false });
    expect(readWeightMeasurement(bytes(0x01, 0x64, 0x00))!.grams).toBeCloseTo(453.592, 3);
    expect(readWeightMeasurement(bytes(0x00, 0xff, 0xff))!.over).toBe(true);
    expect(readWeightMeasurement(bytes(0))).toBeNull();
  });
  // IEEE 11073-20601, worked from its definition: 36.4 C is mantissa 364 (0x00016C), exponent -1 (0xFF).
  it('a temperature is a mantissa and an exponent of ten', () => {
    expect(readTemperatureMeasurement(bytes(0x00, 0x6c, 0x01, 0x00, 0xff))).toBeCloseTo(36.4, 9);
    expect(readTemperatureMeasurement(bytes(0x01, 0xd4, 0x00, 0x00, 0x00))).toBeCloseTo(100, 9);
    expect(readTemperatureMeasurement(bytes(0x00, 0xf4, 0xff, 0xff, 0x00))).toBe(-12);
    expect(readTemperatureMeasurement(bytes(0x00, 0xff, 0xff, 0x7f, 0x00))).toBeNull();
    expect(readTemperatureMeasurement(bytes(0))).toBeNull();
  });
});

describe('a stand-in probe in a kitchen that is not what it seems', () => {
  it('comes from the room to where it is', () => {
    const course = { min: [0, 10], atC: [22, 12] };
    expect(probeReading(course, { atMin: 10, inS: 0.1 }, 23, seeded(1))).toBeGreaterThan(20);
    expect(Math.abs(probeReading(course, { atMin: 10, inS: 40 }, 23, seeded(1)) - 12)).toBeLessThan(0.6);
  });
  it('the same seed hides the same truth, another another', () => {
    const hidden = (seed: number) => hiddenKitchen(demoKitchen, 'Sorghum crisp', seed);
    expect(hidden(5)).toEqual(hidden(5));
    expect(hidden(5).thirst).not.toBe(hidden(6).thirst);
    expect(hidden(5).kitchen.ovens[0]!.readings[0]!.trueC).not.toBe(demoKitchen.ovens[0]!.readings[0]!.trueC);
    expect(hidden(5).kitchen.learned.filter(({ about }) => about === 'Sorghum crisp')).toHaveLength(1);
  });
});
