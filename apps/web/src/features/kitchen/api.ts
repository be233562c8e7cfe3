import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type { Currency, Guest, Kitchen, Market, KitchenList, KitchenThings } from '@north-leaf/core';
import type { JudgementsBody, LearnedBody, OvenHeatBody } from '@north-leaf/contracts';
import { request } from '../../platform/http';

export const kitchenQuery = queryOptions({ queryKey: ['kitchen'], queryFn: () => request('GET /kitchen', {}), staleTime: 60_000 });

/** One thing of one list, with its list. */
export type KitchenThing = { [K in KitchenList]: { readonly list: K; readonly thing: KitchenThings[K] } }[KitchenList];

export type KitchenChange =
  | { readonly kind: 'glutenLimit'; readonly mgPerKg: number }
  | { readonly kind: 'market'; readonly market: Market; readonly home: boolean }
  | { readonly kind: 'about'; readonly name: string; readonly currency: Currency }
  | { readonly kind: 'name'; readonly name: string; readonly ingredientId: string }
  | { readonly kind: 'forgetName'; readonly name: string }
  | { readonly kind: 'air'; readonly humidityShare: number; readonly roomC: number; readonly altitudeM?: number }
  | { readonly kind: 'mat'; readonly mat: Kitchen['mat'] | null }
  | { readonly kind: 'guest'; readonly guest: Guest }
  | { readonly kind: 'removeGuest'; readonly id: string }
  | { readonly kind: 'measure'; readonly name: string; readonly value: number }
  | ({ readonly kind: 'thing' } & KitchenThing)
  | { readonly kind: 'removeThing'; readonly list: KitchenList; readonly id: string }
  | { readonly kind: 'judgements'; readonly judgements: JudgementsBody }
  | { readonly kind: 'learned'; readonly learned: LearnedBody }
  | { readonly kind: 'ovenHeat'; readonly ovenId: string; readonly heat: OvenHeatBody | null };

export function useKitchenChange() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: send,
    // One after the other, and no older reading lands on top: an answer that comes late must not put back what a later change replaced.
    scope: { id: 'kitchen' },
    onMutate: () => client.cancelQueries({ queryKey: kitchenQuery.queryKey }),
    onSuccess: (kitchen) => client.setQueryData(kitchenQuery.queryKey, kitchen),
  });
}

function send(change: KitchenChange): Promise<Kitchen> {
  switch (change.kind) {
    case 'glutenLimit':
      return request('PUT /kitchen/gluten-limit', {}, { mgPerKg: change.mgPerKg });
    case 'market':
      return request('PUT /kitchen/market', {}, { market: change.market, home: change.home });
    case 'about':
      return request('PUT /kitchen/about', {}, { name: change.name, currency: change.currency });
    case 'name':
      return request('PUT /kitchen/names/:name', { name: change.name }, { ingredientId: change.ingredientId });
    case 'forgetName':
      return request('DELETE /kitchen/names/:name', { name: change.name });
    case 'air':
      return request(
        'PUT /kitchen/air',
        {},
        {
          humidityShare: change.humidityShare,
          roomC: change.roomC,
          ...(change.altitudeM === undefined ? {} : { altitudeM: change.altitudeM }),
        },
      );
    case 'mat':
      return change.mat ? request('PUT /kitchen/mat', {}, change.mat) : request('DELETE /kitchen/mat', {});
    case 'guest':
      return request('PUT /kitchen/guests/:id', { id: change.guest.id }, change.guest);
    case 'removeGuest':
      return request('DELETE /kitchen/guests/:id', { id: change.id });
    case 'measure':
      return request('PUT /kitchen/measures/:name', { name: change.name }, { value: change.value });
    case 'thing':
      return request(`PUT /kitchen/${change.list}/:id`, { id: change.thing.id }, change.thing);
    case 'removeThing':
      return request('DELETE /kitchen/:list/:id', { list: change.list, id: change.id });
    case 'judgements':
      return request('PUT /kitchen/judgements', {}, change.judgements);
    case 'learned':
      return request('PUT /kitchen/learned', {}, change.learned);
    case 'ovenHeat':
      return change.heat
        ? request('PUT /kitchen/ovens/:id/heat', { id: change.ovenId }, change.heat)
        : request('DELETE /kitchen/ovens/:id/heat', { id: change.ovenId });
  }
}
