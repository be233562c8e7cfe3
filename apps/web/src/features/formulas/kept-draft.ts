import { del, get, set } from 'idb-keyval';
import { liftFormula } from '@north-leaf/core';
import type { DraftState } from './draft-store';

/** What this browser keeps of a draft: enough to go on without a server, undo steps too. */
export type KeptDraft = Pick<DraftState, 'basedOn' | 'formula' | 'typed' | 'undo' | 'redo' | 'revision'> & {
  /** Changes that have not reached the server. */ readonly waiting: boolean;
};

const keyOf = (formulaId: string) => `draft:${formulaId}`;

// A browser that refuses to keep anything still works; the server has the draft within a second.
export const keptDraft = (formulaId: string): Promise<KeptDraft | undefined> =>
  get<KeptDraft>(keyOf(formulaId))
    .then((kept) => kept && { ...kept, formula: liftFormula(kept.formula) })
    .catch(() => undefined);
export const keepDraft = (formulaId: string, kept: KeptDraft): Promise<void> => set(keyOf(formulaId), kept).catch(() => undefined);

/** After a save: nothing of the draft is left here. */
export const forgetDraft = (formulaId: string): Promise<void> => del(keyOf(formulaId)).catch(() => undefined);
