import { demoCrackerV2, demoKitchen, demoLots } from '../demo/seeded-crackers.js';
import { publishedIngredients } from '../ingredient/published.js';
import { explainChange } from './explain.js';
import type { BakeEvent, Happened } from '../document/bake.js';
import type { Formula } from '../document/formula.js';
import type { RecordedBake } from '../learn/from-bakes.js';

const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
let n = 0;
const bake = (
  formula: Formula,
  dots: readonly [number, number] | null,
  whats: readonly Happened[] = [],
  over: Partial<RecordedBake> = {},
): RecordedBake => ({
  bakeId: `b${++n}`,
  formula,
  factor: 1,
  roomC: 22,
  humidityShare: 0.5,
  events: [...whats, ...(dots ? [{ kind: 'rated' as const, after: 'fresh' as const, crisp: dots[0], tender: dots[1] }] : [])].map(
    (what, i): BakeEvent => ({ id: `${n}-${i}`, at: new Date(Date.UTC(2026, 10, 20, 5, i)).toISOString(), what }),
  ),
  ...over,
});
const m = (what: 'rawMm' | 'bakeMin', value: number): Happened => ({ kind: 'measured', what, value });
const explain = (a: RecordedBake, b: RecordedBake) => explainChange(a, b, demoKitchen, pantry);
const keys = (of: ReturnType<typeof explain>) => of.changes.map(({ key }) => key);

describe('what made a bake different', () => {
  it('names what was really done, planned or not', () => {
    const thinner = { ...demoCrackerV2, sheet: { ...demoCrackerV2.sheet, parts: [{ ...demoCrackerV2.sheet.parts[0]!, thicknessMm: 2 }] } };
    expect(keys(explain(bake(demoCrackerV2, null), bake(thinner, null)))).toEqual(['thickness']);
    const by = explain(
      bake(demoCrackerV2, null),
      bake(demoCrackerV2, null, [m('rawMm', 3), m('bakeMin', 17), { kind: 'weighed', rowKey: 'r1', addedG: 110 }]),
    );
    expect(keys(by).sort()).toEqual(['bakeTime', 'row:r1', 'thickness']);
    expect(by.changes.find(({ key }) => key === 'thickness')).toMatchObject({ from: 2.4, to: 3 });
  });

  it('two bakes alike have no change, and the whole difference is not explained', () => {
    const { changes, notExplained, mixedUp, next } = explain(bake(demoCrackerV2, [3, 3]), bake(demoCrackerV2, [5, 3]));
    expect(changes).toEqual([]);
    expect(notExplained.crisp!.value).toBe(5);
    expect([mixedUp, next]).toEqual([[], null]);
  });

  it('effects and what is left over make up what was seen', () => {
    const { changes, seen, notExplained } = explain(
      bake(demoCrackerV2, [2, 4]),
      bake(demoCrackerV2, [5, 3], [m('rawMm', 2), m('bakeMin', 17)]),
    );
    for (const axis of ['crisp', 'tender'] as const)
      expect(changes.reduce((sum, change) => sum + change[axis].value, 0) + notExplained[axis]!.value).toBeCloseTo(seen[axis]!, 9);
  });

  it('dots move a forecast towards them, and make it surer', () => {
    const change = (crisp: number) =>
      explain(bake(demoCrackerV2, [2, 3]), bake(demoCrackerV2, [crisp, 3], [m('rawMm', 2)])).changes[0]!.crisp;
    expect(change(5).value).toBeGreaterThan(change(2).value);
    expect(change(5).sd).toBeLessThan(change(5).forecastSd);
    const unrated = explain(bake(demoCrackerV2, null), bake(demoCrackerV2, [5, 3], [m('rawMm', 2)]));
    expect(unrated.changes[0]!.crisp.value).toBe(unrated.changes[0]!.crisp.forecast);
    expect(unrated.notExplained.crisp).toBeNull();
  });

  it('the day’s air is a change like any other', () => {
    const damp = explain(bake(demoCrackerV2, null), bake(demoCrackerV2, null, [], { humidityShare: 0.8 }));
    expect(keys(damp)).toEqual(['air']);
  });

  it('one change is not mixed up with itself', () => {
    const { mixedUp, next } = explain(bake(demoCrackerV2, [2, 3]), bake(demoCrackerV2, [5, 3], [m('rawMm', 2)]));
    expect([mixedUp, next]).toEqual([[], null]);
  });

  it('two large changes at once may be mixed up; then one of them is named for the next bake', () => {
    const wide = {
      ...demoCrackerV2,
      rows: demoCrackerV2.rows.map((row) =>
        row.key === 'r2' ? { ...row, amountG: 60 } : row.key === 'r5' ? { ...row, amountG: 30 } : row,
      ),
    };
    const { changes, mixedUp, next } = explain(bake(demoCrackerV2, [2, 3]), bake(wide, [5, 5], [m('bakeMin', 12)]));
    expect(changes.length).toBeGreaterThanOrEqual(3);
    if (mixedUp.length > 0) expect(next).not.toBeNull();
    for (const [i, j] of mixedUp) expect(i).toBeLessThan(j);
  });
});
