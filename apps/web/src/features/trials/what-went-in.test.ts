import { demoCrackerV2, type BakeEvent, type Happened, type RunStep } from '@north-leaf/core';
import { whatWentIn } from './what-went-in';

const event = (id: string, what: Happened): BakeEvent => ({ id, at: '2026-11-30T08:00:00.000Z', what });
const flour = demoCrackerV2.blend.rows[0]!;
const plain = { formula: demoCrackerV2, events: [], steps: [], factor: 1 };

describe('what went into a chain of bakes', () => {
  it('names every flour of the blend and every row, with the grams that were weighed, at the size of the formula', () => {
    const weighed = event('e1', { kind: 'weighed', rowKey: flour.key, addedG: 99, lotId: 'lot-a' });
    const lines = whatWentIn([plain, { formula: demoCrackerV2, events: [weighed], steps: [], factor: 2 }]);
    expect(lines).toHaveLength(new Set([...demoCrackerV2.blend.rows.map(({ ingredientId }) => `blend ${ingredientId}`), ...demoCrackerV2.rows.map(({ ingredientId, use }) => `${use} ${ingredientId}`)]).size); // prettier-ignore
    const [line] = lines;
    expect([line!.part, line!.ingredientId, line!.amountsG[1]]).toEqual(['blend', flour.ingredientId, 49.5]);
    expect(line!.amountsG[0]).toBeCloseTo(flour.share * demoCrackerV2.blendG, 9);
  });

  it('another flour at the same share is a line of its own, a swap at the bench and what was added too', () => {
    const changed = { ...demoCrackerV2, blend: { ...demoCrackerV2.blend, rows: demoCrackerV2.blend.rows.map((row, i) => (i === 0 ? { ...row, ingredientId: 'millet_flour' } : row)) } }; // prettier-ignore
    const events = [
      event('e2', { kind: 'swapped', rowKey: demoCrackerV2.rows[0]!.key, ingredientId: 'milk_whole', amountG: 90 }),
      event('e3', { kind: 'added', ingredientId: 'honey', amountG: 12 }),
    ];
    const lines = whatWentIn([plain, { ...plain, formula: changed }, { ...plain, events }]);
    const of = (id: string) => lines.find(({ ingredientId }) => ingredientId === id)!.amountsG.map((g) => g !== undefined);
    expect(of('millet_flour')).toEqual([false, true, false]);
    expect(of('milk_whole')).toEqual([false, false, true]);
    expect(of('honey')).toEqual([false, false, true]);
    const [row] = demoCrackerV2.rows;
    const steps = [
      { key: 'weigh:x', kind: 'weigh', what: 'weigh', stage: 'dough', handsMin: 1, rowKey: row!.key, amountG: 1 },
    ] as unknown as RunStep[];
    const left = { ...event('e4', { kind: 'skipped', reason: 'none here' }), stepKey: 'weigh:x' };
    const without = whatWentIn([plain, { ...plain, events: [left], steps }]).find(
      ({ ingredientId }) => ingredientId === row!.ingredientId,
    )!;
    expect(without.amountsG).toEqual([row!.amountG, undefined]);
    expect(lines.find(({ ingredientId, part }) => part === 'blend' && ingredientId === flour.ingredientId)!.amountsG[1]).toBeUndefined();
  });
});
