import {
  demoCrackerV2,
  demoKitchen,
  demoLots,
  evaluate,
  imperial,
  metric,
  publishedIngredients,
  scaleCautions,
  scaled,
  type Units,
} from '@north-leaf/core';
import { voiceOf } from '@north-leaf/words';
import { cautionWords, factorsOf, type AskedSize } from './batch-size';

const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
const evaluation = evaluate(demoCrackerV2, demoKitchen, pantry);
const around = { formula: demoCrackerV2, evaluation, kitchen: demoKitchen, pantry, units: metric };
const none: AskedSize = { way: 'times', text: '', pan: { from: '', to: '', wall: '' }, toPan: '' };
const asked = (way: AskedSize['way'], text = '', more: Partial<AskedSize> = {}, units: Units = metric) =>
  factorsOf({ ...none, way, text, ...more }, { ...around, units });
const factor = (...args: Parameters<typeof asked>) => {
  const got = asked(...args);
  return 'factor' in got ? got.factor : NaN;
};

describe('another size of batch', () => {
  it('takes times as bakers write them', () => {
    expect(factor('times', '2')).toBe(2);
    expect(factor('times', '1/2')).toBe(0.5);
    expect(factor('times', '1 1/2')).toBe(1.5);
  });

  it('takes a mass of dough in the baker’s unit or a named one', () => {
    const doughG = evaluation.dough.state === 'waiting' ? 0 : evaluation.dough.result.doughG;
    expect(factor('mass', `${2 * doughG}`)).toBeCloseTo(2, 6);
    expect(factor('mass', '1 kg')).toBeCloseTo(1000 / doughG, 6);
    // 1 lb = 453.59237 g, NIST SP 811.
    expect(factor('mass', '16', {}, imperial)).toBeCloseTo(453.59237 / doughG, 3);
  });

  it('takes pieces, and loads of the oven as pieces', () => {
    const sheet = evaluation.sheet.state === 'waiting' ? null : evaluation.sheet.result;
    const many = factor('pieces', '100');
    expect(many).toBeGreaterThan(1);
    expect(factor('pieces', '200')).toBeGreaterThan(many);
    expect(factor('loads', '2')).toBeCloseTo(factor('pieces', `${2 * sheet!.piecesPerTray * demoCrackerV2.bake.traysAtOnce}`), 9);
  });

  it('goes from pan to pan by area; the filling by volume at the same depth', () => {
    const got = asked('pan', '', { pan: { from: '200', to: '250', wall: '' } });
    expect(got).toEqual({ factor: expect.closeTo((250 / 200) ** 2, 6), filling: expect.closeTo(1.5625, 6) });
    // A wall adds dough, so a larger pan needs less more of it.
    expect(factor('pan', '', { pan: { from: '200', to: '250', wall: '40' } })).toBeLessThan(1.5625);
  });

  it('says nothing while a pan is not typed whole, and names the field that cannot be read', () => {
    expect(asked('pan', '', { pan: { from: '200', to: '', wall: '' } })).toEqual({ problem: '' });
    expect(asked('pan', '', { pan: { from: 'wide', to: '250', wall: '' } })).toMatchObject({ problem: expect.stringMatching(/from/i) });
    expect(asked('times', 'many')).toMatchObject({ problem: expect.stringMatching(/number/) });
  });

  it('refuses what no batch could be, with the limit', () => {
    expect(asked('times', '0')).toMatchObject({ problem: expect.stringMatching(/must be/) });
    expect(asked('times', '100000')).toMatchObject({ problem: expect.stringMatching(/must be/) });
  });

  it('asks for a pan where the goods stand in none', () => {
    expect(asked('ownPan')).toMatchObject({ problem: expect.stringMatching(/pan/) });
  });
});

describe('what to take care of in another size', () => {
  const voice = voiceOf();
  it('is said with the amount, for a scale too coarse, an egg to be halved, a mixer', () => {
    const small = scaled(demoCrackerV2, 0.05);
    const cautions = scaleCautions(small, 0.05, 1, pantry);
    expect(cautions.length).toBeGreaterThan(0);
    for (const caution of cautions) {
      expect(cautionWords(caution, voice)).toContain(caution.name);
      expect(cautionWords(caution, voice)).not.toMatch(/\{\{|undefined|NaN/);
    }
    expect(cautionWords({ kind: 'tooFine', name: 'Salt', amountG: 0.21 } as never, voice)).toMatch(/0\.21 g/);
  });
});
