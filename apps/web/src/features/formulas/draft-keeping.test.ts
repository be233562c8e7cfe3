import { act, renderHook } from '@testing-library/react';
import { demoCrackerV2 } from '@north-leaf/core';
import type { FormulaDetail, FormulaVersion } from '@north-leaf/contracts';
import { holdDraft, openDraft, releaseDraft, settleClash, useDraftKeeping } from './draft-keeping';
import { setValue, useDraft } from './draft-store';
import type { KeptDraft } from './kept-draft';

// The browser's own database, as a map.
const kept = new Map<string, KeptDraft>();
jest.mock('./kept-draft', () => ({
  keptDraft: async (id: string) => kept.get(id),
  keepDraft: async (id: string, draft: KeptDraft) => void kept.set(id, structuredClone(draft)),
  forgetDraft: async (id: string) => void kept.delete(id),
}));

const WATER = '/rows/0/amountG';
const saved = { formulaId: 'f', version: 2, formula: demoCrackerV2 } as FormulaVersion;
const detailWith = (draft: FormulaDetail['draft']): FormulaDetail => ({ id: 'f', versions: [], draft });
const serverDraft = (grams: number, revision: number) => ({
  formulaId: 'f',
  basedOn: 2,
  revision,
  typed: {},
  storedAt: '2026-11-24T05:00:00Z',
  formula: { ...demoCrackerV2, rows: demoCrackerV2.rows.map((row, i) => (i === 0 ? { ...row, amountG: grams } : row)) },
});
const waterNow = () => useDraft.getState().formula.rows[0]!.amountG;
const pour = (grams: number) => act(() => useDraft.getState().edit(`visit-${grams}`, setValue(WATER, grams)));
const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));

type Sent = { revision: number; formula: typeof demoCrackerV2 };
let sent: Sent[];
let answer: 'stored' | 'dead' | 'conflict';

beforeEach(() => {
  jest.useFakeTimers();
  kept.clear();
  sent = [];
  answer = 'stored';
  globalThis.fetch = jest.fn(async (_url: string, init: RequestInit) => {
    if (answer === 'dead') throw new TypeError('connection refused');
    const body = JSON.parse(String(init.body)) as Sent;
    sent.push(body);
    if (answer === 'conflict') return new Response(JSON.stringify({ code: 'conflict', message: 'later', requestId: '1' }), { status: 409 });
    return new Response(JSON.stringify({ ...body, revision: body.revision + 1, storedAt: '2026-11-24T05:12:00Z' }), { status: 200 });
  }) as unknown as typeof fetch;
});
afterEach(() => jest.useRealTimers());

/** The server's next answer comes when the function given back is called. */
function slowly(): () => void {
  const usual = globalThis.fetch;
  let hear = () => {};
  globalThis.fetch = jest.fn(async (...asked: Parameters<typeof fetch>) => {
    const answered = await usual(...asked);
    globalThis.fetch = usual;
    await new Promise<void>((heard) => (hear = heard));
    return answered;
  }) as unknown as typeof fetch;
  return () => hear();
}

describe('opening a draft', () => {
  it('takes the version when there is no draft, the server’s draft when there is one', async () => {
    await openDraft(detailWith(null), saved);
    expect([waterNow(), useDraft.getState().storing]).toEqual([102, 'clean']);
    await openDraft(detailWith(serverDraft(95, 3)), saved);
    expect([waterNow(), useDraft.getState().storing, useDraft.getState().revision]).toEqual([95, 'stored', 3]);
  });

  it('takes what waits in this browser before the server’s, and says it waits', async () => {
    kept.set('f', { ...serverDraft(91, 3), undo: [{ name: 'a', edits: [] }], redo: [], waiting: true });
    await openDraft(detailWith(serverDraft(95, 3)), saved);
    expect([waterNow(), useDraft.getState().storing]).toEqual([91, 'hereOnly']);
    expect(useDraft.getState().undo).toHaveLength(1);
  });

  it('finds a clash when another device stored later meanwhile', async () => {
    kept.set('f', { ...serverDraft(91, 3), undo: [], redo: [], waiting: true });
    await openDraft(detailWith(serverDraft(95, 5)), saved);
    expect([waterNow(), useDraft.getState().storing]).toEqual([91, 'clash']);
  });

  it('what was stored before the page that sent it was left is no second draft, whatever order its words came back in', async () => {
    const { formula, ...rest } = serverDraft(91, 4);
    const turned = Object.fromEntries(Object.entries(formula).reverse()) as typeof formula;
    kept.set('f', { ...serverDraft(91, 3), undo: [], redo: [], waiting: true });
    await openDraft(detailWith({ ...rest, formula: turned }), saved);
    expect([waterNow(), useDraft.getState().storing, useDraft.getState().revision]).toEqual([91, 'stored', 4]);
  });

  it('an answer from the cache that knows of no draft does not hide what this browser stored since', async () => {
    kept.set('f', { ...serverDraft(91, 1), undo: [], redo: [], waiting: false });
    await openDraft(detailWith(null), saved);
    expect([waterNow(), useDraft.getState().storing]).toEqual([91, 'stored']);
  });

  it('keeps undo across a reload', async () => {
    kept.set('f', { ...serverDraft(95, 3), undo: [{ name: 'a', edits: [{ path: WATER, from: 102, to: 95 }] }], redo: [], waiting: false });
    await openDraft(detailWith(serverDraft(95, 3)), saved);
    useDraft.getState().undoStep();
    expect(waterNow()).toBe(102);
  });

  it('forgets a kept draft of an older version', async () => {
    kept.set('f', { ...serverDraft(91, 3), basedOn: 1, undo: [], redo: [], waiting: true });
    await openDraft(detailWith(null), saved);
    expect(waterNow()).toBe(102);
  });
});

describe('keeping a draft', () => {
  const begin = async () => {
    await openDraft(detailWith(null), saved);
    return renderHook(() => useDraftKeeping('f'));
  };

  it('is here at once and on the server within a second', async () => {
    await begin();
    pour(98);
    await pass(200);
    expect(kept.get('f')).toMatchObject({ waiting: true, formula: { rows: [{ amountG: 98 }, {}, {}, {}, {}, {}, {}, {}] } });
    await pass(800);
    expect(sent).toHaveLength(1);
    expect(useDraft.getState()).toMatchObject({ storing: 'stored', revision: 1 });
    expect(kept.get('f')!.waiting).toBe(false);
  });

  it('sends a burst of typing once', async () => {
    await begin();
    for (const grams of [90, 91, 92, 93]) {
      pour(grams);
      await pass(100);
    }
    await pass(1000);
    expect(sent.map(({ formula }) => formula.rows[0]!.amountG)).toEqual([93]);
  });

  it('goes on trying while the server is dead, and stores what is newest when it is back', async () => {
    await begin();
    answer = 'dead';
    pour(98);
    await pass(1000);
    expect(useDraft.getState().storing).toBe('hereOnly');
    pour(97);
    await pass(3000);
    answer = 'stored';
    await pass(2500);
    expect(sent.at(-1)!.formula.rows[0]!.amountG).toBe(97);
    expect(useDraft.getState().storing).toBe('stored');
  });

  it('stops at a clash until the baker chooses: mine goes over, theirs is taken', async () => {
    await begin();
    answer = 'conflict';
    pour(98);
    await pass(1000);
    expect(useDraft.getState().storing).toBe('clash');
    const before = sent.length;
    await pass(5000);
    expect(sent).toHaveLength(before);
    answer = 'stored';
    await act(() => settleClash('mine', serverDraft(95, 7)));
    expect(sent.at(-1)).toMatchObject({ revision: 7 });
    expect([waterNow(), useDraft.getState().storing]).toEqual([98, 'stored']);
    await act(() => settleClash('theirs', serverDraft(95, 9)));
    expect([waterNow(), useDraft.getState().revision]).toEqual([95, 9]);
  });

  it('a page that is left sends what still waits', async () => {
    const { unmount } = await begin();
    pour(98);
    unmount();
    await pass(50);
    expect(sent.map(({ formula }) => formula.rows[0]!.amountG)).toEqual([98]);
    expect(kept.get('f')!.formula.rows[0]!.amountG).toBe(98);
  });

  it('sends what waits before a version is saved, and nothing after it until the next draft is open', async () => {
    await begin();
    pour(98);
    await act(() => holdDraft());
    expect(sent).toHaveLength(1);
    pour(97);
    await pass(3000);
    expect(sent).toHaveLength(1);
    releaseDraft();
    pour(96);
    await pass(1000);
    expect(sent).toHaveLength(2);
  });

  it('a save waits for the draft that is on its way, so that it names the server’s revision', async () => {
    await begin();
    const hear = slowly();
    pour(98);
    await pass(700);
    let saved = false;
    const holding = holdDraft().then(() => (saved = true));
    await pass(500);
    expect([saved, useDraft.getState().revision]).toEqual([false, 0]);
    await act(async () => {
      hear();
      await holding;
    });
    expect([saved, useDraft.getState().revision]).toEqual([true, 1]);
    releaseDraft();
  });

  it('a save does not wait for ever for a draft that nobody answers', async () => {
    await begin();
    const hear = slowly();
    pour(98);
    await pass(700);
    const holding = holdDraft();
    await pass(3000);
    await holding;
    hear();
    await pass(100);
    releaseDraft();
  });

  it('what was typed in another formula while the first was on its way follows it', async () => {
    await begin();
    const hear = slowly();
    pour(98);
    await pass(700);
    await act(() => openDraft({ id: 'g', versions: [], draft: null }, { ...saved, formulaId: 'g' }));
    const other = renderHook(() => useDraftKeeping('g'));
    pour(77);
    await pass(1000);
    expect(sent).toHaveLength(1);
    hear();
    await pass(100);
    expect(sent.map(({ formula }) => formula.rows[0]!.amountG)).toEqual([98, 77]);
    expect(useDraft.getState()).toMatchObject({ formulaId: 'g', storing: 'stored' });
    other.unmount();
  });

  it('a cached answer older than this browser’s own draft does not take its place', async () => {
    kept.set('f', { ...serverDraft(90, 6), undo: [], redo: [], waiting: false });
    await openDraft(detailWith(serverDraft(95, 3)), saved);
    expect([waterNow(), useDraft.getState().revision]).toEqual([90, 6]);
  });

  it('does not send what was only opened', async () => {
    await begin();
    await pass(3000);
    expect(sent).toHaveLength(0);
  });
});
