import fc from 'fast-check';
import { demoCrackerV2, demoKitchen, demoLots } from '../demo/seeded-crackers.js';
import { evaluate } from '../evaluate.js';
import { publishedIngredients } from '../ingredient/published.js';
import { mixedShares } from '../dough/mix.js';
import { runSteps } from '../run/plan/steps.js';
import { takenAsMade } from './as-made.js';
import type { BakeEvent, Happened, RunStep } from '../document/bake.js';

const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
const formula = demoCrackerV2;
const steps: readonly RunStep[] = runSteps({ formula, kitchen: demoKitchen, pantry }, evaluate(formula, demoKitchen, pantry));
const weighs = steps.filter(({ kind }) => kind === 'weigh');
let n = 0;
const event = (what: Happened, stepKey?: string): BakeEvent => ({
  id: `e${++n}`,
  at: new Date(Date.UTC(2026, 10, 30, 6, 0, n)).toISOString(),
  what,
  ...(stepKey === undefined ? {} : { stepKey }),
});
const weighed = ({ key, rowKey }: RunStep, addedG: number) => event({ kind: 'weighed', rowKey: rowKey!, addedG }, key);
const taken = (events: readonly BakeEvent[], factor = 1, into = formula) =>
  takenAsMade(into, { formula, factor, events, steps }, pantry, { scaleStepG: 0.1, newKey: () => `new${++n}` });
const all = (factor: number, but: readonly string[] = []) =>
  weighs.filter(({ rowKey }) => !but.includes(rowKey!)).map((step) => weighed(step, (step.amountG! + (step.heldG ?? 0)) * factor));
const water = formula.rows.find(({ ingredientId }) => ingredientId === 'water')!;

describe('what was done otherwise, taken into the next version', () => {
  it('weighed as planned, or within what a scale is off, nothing changes, whatever the size', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.25, max: 8, noNaN: true }), fc.double({ min: -0.09, max: 0.09, noNaN: true }), (factor, offG) => {
        const events = all(factor).map((one) => (one.what.kind === 'weighed' ? { ...one, what: { ...one.what, addedG: one.what.addedG + offG } } : one)); // prettier-ignore
        expect(taken(events, factor)).toEqual(formula);
      }),
      { numRuns: 30, seed: 3 },
    );
    expect(taken([])).toEqual(formula);
  });

  it('more water, at the size of the formula; made so again it is as planned', () => {
    const more = [...all(2), event({ kind: 'weighed', rowKey: water.key, addedG: 24 }, 'feel')];
    const next = taken(more, 2);
    expect(next.rows.find(({ key }) => key === water.key)!.amountG).toBeCloseTo(water.amountG + 12, 1);
    expect({ ...next, rows: formula.rows }).toEqual(formula);
  });

  it('what was added is a row and has its place in the mixing; what was left out is at 0 g; a swap changes its row', () => {
    const [out, swapped] = formula.rows.filter(({ use, key }) => use === 'dough' && key !== water.key);
    const skips = weighs.filter(({ rowKey }) => rowKey === out!.key).map(({ key }) => event({ kind: 'skipped', reason: 'none here' }, key));
    const events = [
      ...all(1, [out!.key]),
      ...skips,
      event({ kind: 'added', ingredientId: 'honey', amountG: 12.04 }),
      event({ kind: 'swapped', rowKey: swapped!.key, ingredientId: 'butter_unsalted', amountG: swapped!.amountG }),
    ];
    const next = taken(events);
    const honey = next.rows.at(-1)!;
    expect([honey.ingredientId, honey.amountG, honey.use]).toEqual(['honey', 12, 'dough']);
    expect(mixedShares(next).get(honey.key)).toBe(1);
    expect(next.rows.find(({ key }) => key === out!.key)!.amountG).toBe(0);
    expect(next.rows.find(({ key }) => key === swapped!.key)!.ingredientId).toBe('butter_unsalted');
    expect(evaluate(next, demoKitchen, pantry).dough.state).not.toBe('waiting');
  });

  it('more of one flour changes the blend and its grams; the shares are one', () => {
    const [first] = formula.blend.rows;
    const events = [...all(1), event({ kind: 'weighed', rowKey: first!.key, addedG: 20 }, 'feel')];
    const next = taken(events);
    expect(next.blendG).toBeCloseTo(formula.blendG + 20, 1);
    expect(next.blend.rows.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    expect(next.blend.rows[0]!.share).toBeGreaterThan(first!.share);
  });

  it('a row that the next formula has no more stays out, one that it has besides stays in', () => {
    const into = { ...formula, rows: [...formula.rows.filter(({ key }) => key !== water.key), { key: 'later', ingredientId: 'honey', amountG: 5, use: 'dough' as const }] }; // prettier-ignore
    const next = taken([event({ kind: 'weighed', rowKey: water.key, addedG: 200 })], 1, into);
    expect(next).toEqual(into);
  });
});
