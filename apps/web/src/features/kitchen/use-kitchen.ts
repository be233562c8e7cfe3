import { useCallback } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import type { Kitchen, KitchenList } from '@north-leaf/core';
import { stepBook } from '../../platform/step-book';
import { kitchenQuery, useKitchenChange, type KitchenChange, type KitchenThing } from './api';

/** What was done to the kitchen, to be taken back. */
const kitchenSteps = stepBook<KitchenChange>();

/** The change that takes another back, from the kitchen as it was before; null where there is none. */
export function kitchenInverseOf(change: KitchenChange, before: Kitchen): KitchenChange | null {
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
    (name, change) =>
      kitchenSteps.act(name, async () => {
        const before = client.getQueryData(kitchenQuery.queryKey) as Kitchen;
        await mutateAsync(change);
        return kitchenInverseOf(change, before);
      }),
    [client, mutateAsync],
  );
}

/** Takes the last change of the kitchen back; by Ctrl Z while no field has the focus. */
export function useKitchenUndoKey(): ReturnType<typeof kitchenSteps.useUndo> {
  const { mutateAsync } = useKitchenChange();
  return kitchenSteps.useUndo(mutateAsync);
}
