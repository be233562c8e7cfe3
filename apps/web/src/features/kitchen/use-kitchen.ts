import { useCallback } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { create } from 'zustand';
import type { Kitchen, KitchenList } from '@north-leaf/core';
import { notify } from '../../platform/notices';
import { useUndoKey } from '../../platform/undo-key';
import { kitchenQuery, useKitchenChange, type KitchenChange, type KitchenThing } from './api';

type Step = { readonly name: string; readonly change: KitchenChange };
type UndoState = { readonly steps: readonly Step[]; readonly set: (steps: readonly Step[]) => void };

/** The changes that would take back what was last done to the kitchen, newest last. */
const useKitchenUndo = create<UndoState>()((set) => ({ steps: [], set: (steps) => set({ steps: steps.slice(-50) }) }));

/** The change that takes another back, from the kitchen as it was before; null where there is none. */
export function inverseOf(change: KitchenChange, before: Kitchen): KitchenChange | null {
  const thingOf = (list: KitchenList, id: string): KitchenChange => {
    const thing = ((before[list] ?? []) as readonly { readonly id: string }[]).find((one) => one.id === id);
    return thing ? ({ kind: 'thing', list, thing } as { kind: 'thing' } & KitchenThing) : { kind: 'removeThing', list, id };
  };
  switch (change.kind) {
    case 'thing':
      return thingOf(change.list, change.thing.id);
    case 'removeThing':
      return thingOf(change.list, change.id);
    case 'air':
      return { kind: 'air', humidityShare: before.humidityShare, roomC: before.roomC, altitudeM: before.altitudeM ?? 0 };
    case 'mat':
      return { kind: 'mat', mat: before.mat ?? null };
    case 'judgements':
      return { kind: 'judgements', judgements: before.judgements ?? {} };
    case 'ovenHeat': {
      const held = before.learned.find(({ what, about }) => what === 'ovenHeatFactor' && about === change.ovenId);
      return {
        kind: 'ovenHeat',
        ovenId: change.ovenId,
        heat: held ? { value: held.value, sd: held.sd, from: held.from ?? '' } : null,
      };
    }
    // What was begun anew cannot be brought back: its bakes are still there, and count no more.
    case 'learned':
      return change.learned.do === 'reset'
        ? null
        : { kind: 'learned', learned: { ...change.learned, do: change.learned.do === 'use' ? 'setAside' : 'use' } };
    default:
      return null;
  }
}

/** Does a change of the kitchen and remembers what takes it back. Rejects with the ApiError, so that a form can show it. */
export function useDoInKitchen(): (name: string, change: KitchenChange) => Promise<void> {
  const client = useQueryClient();
  const { mutateAsync } = useKitchenChange();
  return useCallback(
    async (name, change) => {
      const before = client.getQueryData(kitchenQuery.queryKey) as Kitchen;
      await mutateAsync(change);
      const back = inverseOf(change, before);
      const { steps, set } = useKitchenUndo.getState();
      if (back) set([...steps, { name, change: back }]);
      notify(back ? `${name}. Ctrl Z takes it back.` : `${name}.`);
    },
    [client, mutateAsync],
  );
}

/** Takes the last change of the kitchen back; by Ctrl Z while no field has the focus. */
export function useKitchenUndoKey(): { readonly undo: () => void; readonly undoable: boolean } {
  const { mutateAsync } = useKitchenChange();
  const undoable = useKitchenUndo((state) => state.steps.length > 0);
  const undo = useCallback(() => {
    const { steps, set } = useKitchenUndo.getState();
    const step = steps[steps.length - 1];
    if (!step) return;
    set(steps.slice(0, -1));
    mutateAsync(step.change).then(
      () => notify(`Taken back: ${step.name}.`),
      (error: Error) => notify(`Not taken back: ${error.message}`, 'error'),
    );
  }, [mutateAsync]);
  useUndoKey(undo);
  return { undo, undoable };
}
