import { applyEdits, inverseOf, type Edit, type Formula } from '@north-leaf/core';
import type { Typed } from '@north-leaf/contracts';
import { create } from 'zustand';

/** One undo step: the edits of one visit of a field, one finding's button, one solver's answer. */
export type UndoStep = { readonly name: string; readonly edits: readonly Edit[] };
/** Where the draft is kept: nowhere yet needed, going out, on the server, only here, or refused by a later one. */
export type Storing = 'clean' | 'storing' | 'stored' | 'hereOnly' | 'clash';

export type DraftState = {
  readonly formulaId: string;
  /** The version the draft began from, and its formula. */ readonly basedOn: number;
  readonly saved: Formula;
  readonly formula: Formula;
  /** What is typed and cannot be read yet, by path. */ readonly typed: Typed;
  readonly undo: readonly UndoStep[];
  readonly redo: readonly UndoStep[];
  /** Of the server's copy that this draft was written on top of. */ readonly revision: number;
  readonly storing: Storing;
  readonly storedAt: string | null;
  /** Counts every change, so that a late answer knows whether it is about the latest. */ readonly change: number;
};

type DraftActions = {
  readonly open: (draft: Omit<DraftState, 'change'>) => void;
  /** Applies what `edits` makes of the formula; the same `step` again replaces its last edits instead of adding to them. */
  readonly edit: (step: string, edits: (formula: Formula) => readonly Edit[]) => void;
  readonly type: (path: string, text: string | null) => void;
  readonly undoStep: () => void;
  readonly redoStep: () => void;
  readonly setStoring: (patch: Partial<Pick<DraftState, 'storing' | 'storedAt' | 'revision'>>) => void;
};

const MOST_STEPS = 200;
const nothing = {} as Formula;

/** The one store of a draft and its undo steps. Server data lives in the query cache, what is looked at in the address. */
export const useDraft = create<DraftState & DraftActions>()((set) => ({
  formulaId: '',
  basedOn: 0,
  saved: nothing,
  formula: nothing,
  typed: {},
  undo: [],
  redo: [],
  revision: 0,
  storing: 'clean',
  storedAt: null,
  change: 0,
  open: (draft) => set((state) => ({ ...draft, change: state.change + 1 })),
  edit: (step, edits) => set((state) => edited(state, step, edits)),
  type: (path, text) =>
    set((state) => {
      if (text === null && !(path in state.typed)) return state;
      const { [path]: _cleared, ...rest } = state.typed;
      return { typed: text === null ? rest : { ...rest, [path]: text }, change: state.change + 1 };
    }),
  undoStep: () => set((state) => moved(state, 'undo', 'redo')),
  redoStep: () => set((state) => moved(state, 'redo', 'undo')),
  setStoring: (patch) => set(patch),
}));

/** Pure: the state after an edit. A step that goes on is worked out from where it began, not from its last keystroke. */
export function edited(state: DraftState, step: string, edits: (formula: Formula) => readonly Edit[]): Partial<DraftState> {
  const last = state.undo[state.undo.length - 1];
  const goesOn = last !== undefined && last.name === step;
  const from = goesOn ? applyEdits(state.formula, inverseOf(last.edits)) : state.formula;
  const made = edits(from).filter((edit) => JSON.stringify(edit.from) !== JSON.stringify(edit.to));
  const before = goesOn ? state.undo.slice(0, -1) : state.undo;
  if (made.length === 0 && !goesOn) return state;
  return {
    formula: applyEdits(from, made),
    undo: made.length === 0 ? before : [...before, { name: step, edits: made }].slice(-MOST_STEPS),
    redo: [],
    change: state.change + 1,
  };
}

/** Pure: the last step of one list taken back and put on the other. */
export function moved(state: DraftState, from: 'undo' | 'redo', to: 'undo' | 'redo'): Partial<DraftState> {
  const step = state[from][state[from].length - 1];
  if (!step) return state;
  const edits = from === 'undo' ? inverseOf(step.edits) : step.edits;
  return {
    formula: applyEdits(state.formula, edits),
    typed: {},
    [from]: state[from].slice(0, -1),
    [to]: [...state[to], step],
    change: state.change + 1,
  };
}

/** An edit of one value, at a path of the formula. */
export const setValue =
  (path: string, to: Edit['to']) =>
  (formula: Formula): readonly Edit[] => {
    const from = path
      .split('/')
      .slice(1)
      .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], formula);
    return [{ path, ...(from === undefined ? {} : { from: from as never }), ...(to === undefined ? {} : { to }) }];
  };
