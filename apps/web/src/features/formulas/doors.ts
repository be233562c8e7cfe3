import { lazy } from 'react';

/** What other rooms may have of a formula: its data, the draft of it, what its changes are called, and two sheets they show where they stand. */
export {
  formulaKeys,
  formulaNamesQuery,
  formulaQuery,
  formulasQuery,
  useCreateFormula,
  useSaveVersion,
  versionQuery,
  waitingDraft,
} from './api';
export { countedChanges } from './counted-changes';
export { discardChanges, holdDraft, openDraft, releaseDraft, settleClash, useDraftKeeping } from './draft-keeping';
export { setValue, useDraft } from './draft-store';
export { FormulaSelect } from './formula-select';
export { newKey } from './new-key';
export const TakeAsMade = lazy(async () => ({ default: (await import('./take-as-made')).TakeAsMade }));
export const DraftWaits = lazy(async () => ({ default: (await import('./draft-waits')).DraftWaits }));
