import { resultOf, aFormula, worked } from '../worked/a-formula.js';
import { dialFor } from './oven.js';
import { browningOfTone, lightnessOf, toneOf } from './tone.js';
import type { Json } from '../document/edits.js';

const bake = (set: Record<string, Json> = {}) => resultOf(worked(aFormula(set)), 'bake');

describe('bake stage', () => {
  it('dries a 3 mm leavened cracker to gold in 15 to 22 minutes at 177 C (common practice 15-18, no source)', () => {
    const { doneMin } = bake({
      '/sheet/parts/0/thicknessMm': 3,
      '/bake/trayId': 'bright-tray',
      '/bake/steps': [{ name: 'Bake', wantC: 177, min: 18 }],
    });
    expect(doneMin).toBeGreaterThan(15);
    expect(doneMin).toBeLessThan(22);
  });

  it.each<[string, Record<string, Json>, 'sooner' | 'later']>([
    ['a fan', { '/bake/ovenId': 'oven-b' }, 'sooner'],
    ['a bright tray', { '/bake/trayId': 'bright-tray' }, 'later'],
    ['two trays at once', { '/bake/traysAtOnce': 2 }, 'later'],
    ['a hotter oven', { '/bake/steps/0/wantC': 200 }, 'sooner'],
    ['more water', { '/rows/0/amountG': 125 }, 'later'],
  ])('is done %s: %s (physical direction, common practice)', (_claim, set, way) => {
    const change = bake(set).doneMin! - bake().doneMin!;
    expect(way === 'sooner' ? change < 0 : change > 0).toBe(true);
  });

  it('loses only water: what is gone from the piece is what is gone from its moisture', () => {
    const { curve, end } = bake();
    const startShare = curve.moistureShare[0]!;
    // (1 - start) dry matter stays: mass left = (1 - start) / (1 - end).
    expect(1 - end.lossShare).toBeCloseTo((1 - startShare) / (1 - end.moistureShare), 3);
  });

  it('says its times in order and its spread above nothing', () => {
    const { dryMin, goldenMin, doneMin, darkMin, done, spreadFrom } = bake();
    expect(doneMin).toBe(Math.max(dryMin!, goldenMin!));
    expect(darkMin).toBeGreaterThan(goldenMin!);
    expect(done!.sd).toBeGreaterThan(0.3);
    expect(spreadFrom.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
  });
});

describe('dial and tone', () => {
  it('reads the dial between readings and holds the offset beyond them', () => {
    const oven = {
      readings: [
        { dialC: 150, trueC: 155, at: '' },
        { dialC: 210, trueC: 217, at: '' },
      ],
    };
    expect(dialFor(oven, 155)).toBe(150);
    expect(dialFor(oven, 186)).toBeCloseTo(180, 9);
    expect(dialFor(oven, 250)).toBe(243);
    expect(dialFor({ readings: [] }, 180)).toBe(180);
  });
  it('tone 1 is raw, 8 the darkest, six L* a tone', () => {
    expect(toneOf(82)).toBe(1);
    expect(toneOf(64)).toBe(4);
    expect(toneOf(10)).toBe(8);
    expect(toneOf(lightnessOf(browningOfTone(3.5)))).toBeCloseTo(3.5, 9);
  });
});
