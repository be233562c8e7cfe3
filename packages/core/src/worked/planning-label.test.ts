import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { decodeLabel, decodeLabelLoosely } from '../label/decode-label.js';
import { printedValue, roundingInterval } from '../label/rounding.js';
import { anEngine } from './an-engine.js';
import type { Label, LabelItem } from '../label/decode-label.js';
import type { LabelNutrient, LabelRule } from '../label/rounding.js';
import type { LinearEngine } from '../math/linear-model.js';

type Case = { id: string; fn: string; input: never; expect: never; tol: { abs: number } };
const { cases } = JSON.parse(readFileSync(join(__dirname, 'planning-cases.json'), 'utf8')) as { cases: Case[] };
const of = (fn: string) => cases.filter((one) => one.fn === fn).map((one): [string, Case] => [one.id, one]);
const names: Record<string, LabelNutrient> = {
  energy: 'energyKcal',
  carbs: 'carbohydrate',
  protein: 'protein',
  fat: 'fat',
  fibre: 'fibre',
};

let engine: LinearEngine;
beforeAll(async () => {
  engine = await anEngine();
});

describe('a printed value stands for an interval', () => {
  // 21 CFR 101.9(c), from memory; expectations by scanning the forward rule.
  it.each(of('label.roundingInterval'))('%s', (_id, one) => {
    const { rule, nutrient, v } = one.input as { rule: LabelRule; nutrient: string; v: number };
    const found = roundingInterval(rule, names[nutrient]!, v);
    (one.expect as number[]).forEach((wanted, i) => expect(Math.abs(found[i]! - wanted)).toBeLessThan(one.tol.abs));
  });

  it('holds every true value that rounds to it, and no other by more than a hair', () => {
    for (const rule of ['us', 'eu'] as const) {
      for (let value = 0; value < 60; value += 0.037) {
        const [lo, hi] = roundingInterval(rule, 'fat', printedValue(rule, 'fat', value));
        expect(value).toBeGreaterThanOrEqual(lo - 1e-9);
        expect(value).toBeLessThanOrEqual(hi + 1e-9);
        expect(hi - lo).toBeLessThanOrEqual(1);
      }
    }
  });

  it('says so when a panel never prints it', () => {
    expect(() => roundingInterval('us', 'energyKcal', 112)).toThrow(/never prints 112/);
    expect(() => roundingInterval('us', 'salt', 1)).toThrow(/not on a US panel/);
    expect(() => roundingInterval('eu', 'fat', -1)).toThrow(/from 0/);
  });
});

describe('labels read', () => {
  it.each(of('label.ranges'))('%s has the ranges that scipy finds; the truth lies inside', (_id, one) => {
    const { items, caps, panel, rule, basis, rel, comp, truth } = one.input as {
      items: string[];
      caps: number[];
      panel: { nutrient: string; v: number }[];
      rule: LabelRule;
      basis: number;
      rel: number;
      comp: Record<string, Record<string, number>>;
      truth: number[];
    };
    const label: Label = {
      items: items.map((id, i): LabelItem => ({
        id,
        cap: caps[i]!,
        per100G: Object.fromEntries(Object.entries(comp[id]!).map(([nutrient, value]) => [names[nutrient]!, value])),
      })),
      panel: panel.map(({ nutrient, v }) => ({ nutrient: names[nutrient]!, printed: v })),
      rule,
      basisG: basis,
      tolerance: rel,
    };
    const reading = decodeLabel(label, engine);
    if (reading.status !== 'read') throw new Error(reading.status);
    (one.expect as { ranges: [number, number][] }).ranges.forEach((wanted, i) =>
      wanted.forEach((end, side) => expect(Math.abs(reading.ranges[i]![side]! - end)).toBeLessThan(one.tol.abs)),
    );
    truth.forEach((share, i) => {
      expect(share).toBeGreaterThanOrEqual(reading.ranges[i]![0] - 1e-9);
      expect(share).toBeLessThanOrEqual(reading.ranges[i]![1] + 1e-9);
    });
    // Drawn blends keep the printed order and sum to one; the estimate lies in the ranges.
    for (const draw of reading.samples.slice(0, 50)) {
      expect(draw.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
      draw.slice(1).forEach((share, i) => expect(draw[i]! - share).toBeGreaterThan(-1e-7));
    }
    expect(reading.estimate.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
  });

  const two = (over: Partial<Label> = {}): Label => ({
    items: [
      { id: 'rice', cap: 1, per100G: { protein: 6, fat: 1.4 } },
      { id: 'tapioca', cap: 1, per100G: { protein: 0.2, fat: 0 } },
    ],
    panel: [{ nutrient: 'protein', printed: 4.3 }],
    rule: 'eu',
    basisG: 100,
    tolerance: 0,
    ...over,
  });

  it('two ingredients and one exact panel row leave one answer (hand sum: 4.3 = 6 x + 0.2 (1 - x), x = 70.7 %)', () => {
    const reading = decodeLabel(two(), engine);
    if (reading.status !== 'read') throw new Error(reading.status);
    expect(reading.estimate[0]).toBeCloseTo(4.1 / 5.8, 2);
    expect(reading.ranges[0]![1] - reading.ranges[0]![0]).toBeCloseTo(0.1 / 5.8, 6);
  });

  it('what fits no blend comes back with the row that is off', () => {
    const reading = decodeLabelLoosely(two({ panel: [{ nutrient: 'protein', printed: 25 }] }), engine);
    if (reading.status !== 'doesNotFit') throw new Error(reading.status);
    expect(reading.off[0]!.nutrient).toBe('protein');
    expect(reading.off[0]!.per100G).toBeGreaterThan(15);
  });

  it('a table that is somewhat off is read at a wider tolerance, which it names', () => {
    const reading = decodeLabelLoosely(two({ panel: [{ nutrient: 'protein', printed: 7 }], tolerance: 0.15 }), engine);
    expect(reading).toMatchObject({ status: 'read', tolerance: 0.2 });
  });

  it('a declared percent and a tail of 2 % or less are kept', () => {
    const [rice, tapioca] = two().items;
    const gum: LabelItem = { id: 'gum', cap: 0.03, per100G: {}, inTail: true };
    const reading = decodeLabel(two({ items: [{ ...rice!, declaredShare: 0.6 }, tapioca!, gum], panel: [] }), engine);
    if (reading.status !== 'read') throw new Error(reading.status);
    expect(reading.ranges[0]!.map((end) => Number(end.toFixed(4)))).toEqual([0.595, 0.605]);
    expect(reading.ranges[2]![1]).toBeLessThanOrEqual(0.02 + 1e-9);
  });
});
