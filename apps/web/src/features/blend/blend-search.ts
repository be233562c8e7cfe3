import { create } from 'zustand';
import type { BlendGoal, Formula } from '@north-leaf/core';
import type { FoundBlends } from '@north-leaf/contracts';

/** A wish as it stands on the board: it may be put down without being forgotten. */
export type BoardGoal = BlendGoal & { readonly on: boolean };
export type BlendSearchState = {
  readonly formulaId: string;
  readonly goals: readonly BoardGoal[];
  readonly mostFlours: number;
  readonly reach: 'here' | 'all';
  readonly running: AbortController | null;
  readonly found: { readonly answers: FoundBlends; readonly of: Formula; readonly what: 'found' | 'imitated' } | null;
  readonly chosen: number;
  readonly failed: string | null;
};
type Actions = {
  readonly open: (formulaId: string, goals: readonly BoardGoal[]) => void;
  readonly set: (patch: Partial<BlendSearchState>) => void;
  readonly setGoal: (key: string, patch: Partial<BoardGoal>) => void;
};

const nothing: BlendSearchState = {
  formulaId: '',
  goals: [],
  mostFlours: 5,
  reach: 'here',
  running: null,
  found: null,
  chosen: 0,
  failed: null,
};

/** What is looked for on the Blend board, and what was found; kept while its formula is open, so that another board may be looked at. */
export const useBlendSearch = create<BlendSearchState & Actions>()((set, get) => ({
  ...nothing,
  open: (formulaId, goals) => {
    if (get().formulaId === formulaId) return;
    get().running?.abort();
    set({ ...nothing, formulaId, goals });
  },
  set,
  setGoal: (key, patch) => set(({ goals }) => ({ goals: goals.map((goal) => (goal.key === key ? { ...goal, ...patch } : goal)) })),
}));

/** Runs a search, one at a time; a new one, or Cancel, ends the one before. A search that was cancelled says nothing. */
export async function runSearch(
  of: Formula,
  what: 'found' | 'imitated',
  ask: (signal: AbortSignal) => Promise<FoundBlends>,
): Promise<void> {
  const { set, running: before } = useBlendSearch.getState();
  before?.abort();
  const running = new AbortController();
  set({ running, failed: null });
  try {
    const answers = await ask(running.signal);
    if (!running.signal.aborted) set({ found: { answers, of, what }, chosen: 0, running: null });
  } catch (error) {
    if (!running.signal.aborted) set({ failed: (error as Error).message, running: null });
  }
}
