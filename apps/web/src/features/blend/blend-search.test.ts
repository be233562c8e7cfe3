import { demoCrackerV2, families, demoKitchen, demoLots, evaluate, publishedIngredients } from '@north-leaf/core';
import type { FoundBlends } from '@north-leaf/contracts';
import { firstGoals } from './find-blends';
import { runSearch, useBlendSearch } from './blend-search';

const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
const evaluated = evaluate(demoCrackerV2, demoKitchen, pantry).blend;
if (evaluated.state === 'waiting') throw new Error('the demo blend is waiting');
const goals = firstGoals(evaluated.result, demoCrackerV2);
const found: FoundBlends = { answer: { status: 'gaveUp' }, leftOut: [] };
const state = () => useBlendSearch.getState();

beforeEach(() => {
  state().open(`formula ${Math.random()}`, goals);
});

describe('the wishes a board begins with', () => {
  it('stand near what the blend brings, and ask for a little more bend at no more money', () => {
    expect(goals.filter(({ on }) => on).map(({ key }) => key)).toEqual(['bend', 'cost']);
    const bend = goals.find(({ key }) => key === 'bend')!;
    expect(bend.value - evaluated.result.bendIndex).toBeCloseTo(0.2, 1);
    expect(goals.some(({ key }) => key === 'taste:sorghum')).toBe(true);
    expect(families[demoCrackerV2.family]).toBeDefined();
  });
  it('ask nothing of money where nothing has a price', () => {
    expect(firstGoals({ ...evaluated.result, costMinorPerKg: null }, demoCrackerV2).map(({ key }) => key)).not.toContain('cost');
  });
  it('are kept while the same formula is open, and made anew for another', () => {
    state().setGoal('bend', { value: 2.5 });
    state().open(state().formulaId, goals);
    expect(state().goals[0]!.value).toBe(2.5);
    state().open('another', goals);
    expect(state().goals[0]!.value).toBe(goals[0]!.value);
  });
});

describe('a search', () => {
  it('keeps its answer with the formula it was about', async () => {
    await runSearch(demoCrackerV2, 'found', () => Promise.resolve(found));
    expect(state()).toMatchObject({ running: null, failed: null, found: { answers: found, of: demoCrackerV2 } });
  });
  it('that fails says why and keeps the answer before', async () => {
    await runSearch(demoCrackerV2, 'found', () => Promise.resolve(found));
    await runSearch(demoCrackerV2, 'found', () => Promise.reject(new Error('The server does not answer.')));
    expect(state()).toMatchObject({ running: null, failed: 'The server does not answer.', found: { answers: found } });
  });
  it('that a newer one follows is ended, and its late answer is not shown', async () => {
    const late: FoundBlends = { ...found, leftOut: [{ id: 'teff', why: 'notHere' }] };
    let answer = (_: FoundBlends) => {};
    const first = runSearch(demoCrackerV2, 'found', (signal) => {
      signal.addEventListener('abort', () => answer(late));
      return new Promise((resolve) => (answer = resolve));
    });
    await runSearch(demoCrackerV2, 'found', () => Promise.resolve(found));
    await first;
    expect(state().found!.answers).toBe(found);
  });
  it('ends when another formula is opened', () => {
    let ended = false;
    void runSearch(demoCrackerV2, 'found', (signal) => {
      signal.addEventListener('abort', () => (ended = true));
      return new Promise(() => {});
    });
    state().open('elsewhere', goals);
    expect([ended, state().running]).toEqual([true, null]);
  });
});
