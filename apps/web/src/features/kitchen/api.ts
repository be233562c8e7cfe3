import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type { Guest, Kitchen } from '@north-leaf/core';
import { request } from '../../platform/http';

export const kitchenQuery = queryOptions({ queryKey: ['kitchen'], queryFn: () => request<Kitchen>('GET', '/kitchen'), staleTime: 60_000 });

export type KitchenChange =
  | { readonly kind: 'glutenLimit'; readonly mgPerKg: number }
  | { readonly kind: 'air'; readonly humidityShare: number; readonly roomC: number }
  | { readonly kind: 'guest'; readonly guest: Guest }
  | { readonly kind: 'removeGuest'; readonly id: string }
  | { readonly kind: 'measure'; readonly name: string; readonly value: number };

export function useKitchenChange() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (change: KitchenChange) =>
      change.kind === 'glutenLimit'
        ? request<Kitchen>('PUT', '/kitchen/gluten-limit', { mgPerKg: change.mgPerKg })
        : change.kind === 'air'
          ? request<Kitchen>('PUT', '/kitchen/air', { humidityShare: change.humidityShare, roomC: change.roomC })
          : change.kind === 'guest'
            ? request<Kitchen>('PUT', `/kitchen/guests/${change.guest.id}`, change.guest)
            : change.kind === 'measure'
              ? request<Kitchen>('PUT', `/kitchen/measures/${change.name}`, { value: change.value })
              : request<Kitchen>('DELETE', `/kitchen/guests/${change.id}`),
    onSuccess: (kitchen) => client.setQueryData(kitchenQuery.queryKey, kitchen),
  });
}
