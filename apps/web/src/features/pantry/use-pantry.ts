import { useCallback } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import type { PantryBook } from '@north-leaf/contracts';
import { pantryQuery, usePantryChange, type PantryChange } from './api';
import { pantryInverseOf, pantrySteps, withRevision } from './pantry-undo';

/** Does a change of the pantry and remembers what takes it back. Rejects with the ApiError, so that a form can show it at its fields. */
export function useDoInPantry(): (name: string, change: PantryChange) => Promise<void> {
  const client = useQueryClient();
  const { mutateAsync } = usePantryChange();
  return useCallback(
    (name, change) =>
      pantrySteps.act(name, async () => {
        const before = client.getQueryData(pantryQuery.queryKey) as PantryBook;
        await mutateAsync(change);
        return pantryInverseOf(change, before);
      }),
    [client, mutateAsync],
  );
}

/** Takes the last change of the pantry back; by Ctrl Z while no field has the focus. */
export function usePantryUndoKey(): ReturnType<typeof pantrySteps.useUndo> {
  const client = useQueryClient();
  const { mutateAsync } = usePantryChange();
  const send = useCallback(
    (change: PantryChange) => mutateAsync(withRevision(change, client.getQueryData(pantryQuery.queryKey) as PantryBook)),
    [client, mutateAsync],
  );
  return pantrySteps.useUndo(send);
}
