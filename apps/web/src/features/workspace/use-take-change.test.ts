import { act, renderHook } from '@testing-library/react';
import {
  applyEdits,
  demoCrackerV2,
  demoKitchen,
  demoLots,
  evaluate,
  findingsOf,
  publishedIngredients,
  type Formula,
} from '@north-leaf/core';
import { showNoticesWith } from '../../platform/notices';
import { setValue, useDraft } from '../formulas/doors';
import { useTakeChange } from './use-take-change';

const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
const answerTo = (of: Formula) => ({ evaluation: evaluate(of, demoKitchen, pantry), of, stale: false, failed: false });
const dry = applyEdits(demoCrackerV2, [{ path: '/rows/0/amountG', from: 102, to: 86 }]);
const waterOf = () => useDraft.getState().formula.rows[0]!.amountG;
const edit = (path: string, to: number) => act(() => useDraft.getState().edit(`visit-${path}`, setValue(path, to)));

/** The page of a formula that is short of water; `answer` is the worker's word about the draft as it stands. */
function aPage() {
  const rest = { typed: {}, undo: [], redo: [], revision: 0, storing: 'clean', storedAt: null } as const;
  act(() => useDraft.getState().open({ formulaId: 'f', basedOn: 2, saved: demoCrackerV2, formula: dry, ...rest }));
  const page = renderHook((worked) => useTakeChange(worked, demoKitchen, pantry), { initialProps: answerTo(dry) });
  const shown = findingsOf(answerTo(dry).evaluation).find(({ change }) => change !== undefined)!;
  return {
    press: () => act(() => page.result.current(shown)),
    answer: () => page.rerender(answerTo(useDraft.getState().formula)),
  };
}

let said: string[];
beforeEach(() => {
  said = [];
  showNoticesWith((message) => said.push(message));
});

it('a change is taken as one undo step', () => {
  const { press } = aPage();
  press();
  expect(waterOf()).toBe(100);
  act(() => useDraft.getState().undoStep());
  expect(waterOf()).toBe(86);
});

it('pressed before the newest draft is worked out, it waits for the answer and is taken when it still says the same', () => {
  const { press, answer } = aPage();
  edit('/restMin', dry.restMin + 1);
  press();
  expect(waterOf()).toBe(86);
  answer();
  expect(waterOf()).toBe(100);
  // Once: an answer later takes nothing more.
  edit('/rows/0/amountG', 86);
  answer();
  expect(waterOf()).toBe(86);
  expect(said).toEqual([]);
});

it('what stood on the button and holds no more is not done, and said', () => {
  const { press, answer } = aPage();
  edit('/rows/0/amountG', 90);
  press();
  answer();
  expect(waterOf()).toBe(90);
  expect(said).toEqual([expect.stringMatching(/is another now/)]);
});
