import { useCallback } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import type { PantryBook } from '@north-leaf/contracts';
import { pantryQuery, usePantryChange, type PantryChange } from './api';
import { notify } from '../../platform/notices';
import { useUndoKey } from '../../platform/undo-key';
import { inverseOf, usePantryUndo, withRevision } from './pantry-undo';

/** Does a change of the pantry and remembers what takes it back. Rejects with the ApiError, so that a form can show it at its fields. */
export function useDoInPantry(): (name: string, change: PantryChange) => Promise<void> {
  const client = useQueryClient();
  const { mutateAsync } = usePantryChange();
  const { push } = usePantryUndo.getState();
  return useCallback(
    async (name, change) => {
      const before = client.getQueryData(pantryQuery.queryKey) as PantryBook;
      await mutateAsync(change);
      const back = inverseOf(change, before);
      if (back) push({ name, change: back });
      notify(back ? `${name}. Ctrl Z takes it back.` : `${name}.`);
    },
    [client, mutateAsync, push],
  );
}

/** Takes the last change of the pantry back; by Ctrl Z while no field has the focus. */
export function usePantryUndoKey(): { readonly undo: () => void; readonly undoable: boolean } {
  const client = useQueryClient();
  const { mutateAsync } = usePantryChange();
  const undoable = usePantryUndo((state) => state.steps.length > 0);
  const undo = useCallback(() => {
    const step = usePantryUndo.getState().pop();
    if (!step) return;
    const now = client.getQueryData(pantryQuery.queryKey) as PantryBook;
    mutateAsync(withRevision(step.change, now)).then(
      () => notify(`Taken back: ${step.name}.`),
      (error: Error) => notify(`Not taken back: ${error.message}`, 'error'),
    );
  }, [client, mutateAsync]);
  useUndoKey(undo);
  return { undo, undoable };
}
