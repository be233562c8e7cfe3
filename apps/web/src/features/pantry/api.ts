import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import {
  confusedWith,
  coreVersion,
  findIngredients,
  type Ingredient,
  type IngredientChange,
  type Lot,
  type OwnIngredient,
  type Pantry,
  type Preparation,
  publishedIngredients,
} from '@north-leaf/core';
import type { BatchBody, Stored } from '@north-leaf/contracts';
import { ApiError, request, sendBytes } from '../../platform/http';
import type { SearchOption } from '../../ui/form/search-field';
import { t } from '../../platform/words';

/** The faces of the pantry; blends are a feature of their own and stand among them. */
export const pantryTabs = [
  { to: '/pantry/lots', name: t('pantry.lots') },
  { to: '/pantry/ingredients', name: t('pantry.ingredients') },
  { to: '/pantry/preparations', name: t('pantry.preparations') },
  { to: '/pantry/blends', name: t('pantry.blends') },
  { to: '/pantry/guests', name: t('common.guests') },
] as const;

export const pantryKeys = { all: ['pantry'] as const };
export const pantryQuery = queryOptions({
  queryKey: pantryKeys.all,
  // The published table comes with the pages; the kitchen's own comes from the server.
  queryFn: async () => {
    const book = await request('GET /pantry', { have: coreVersion });
    return { ...book, ingredients: { ...publishedIngredients(), ...book.ingredients } };
  },
  staleTime: 60_000,
});

/** One change of the pantry. `revision` is the one that was read. */
export type PantryChange =
  | { readonly kind: 'lot'; readonly lot: Lot; readonly revision: number; readonly recounted: boolean }
  | { readonly kind: 'removeLot'; readonly id: string }
  | { readonly kind: 'correct'; readonly id: string; readonly change: IngredientChange; readonly revision: number }
  | { readonly kind: 'own'; readonly id: string; readonly ingredient: OwnIngredient; readonly revision: number }
  | { readonly kind: 'removeIngredient'; readonly id: string }
  | { readonly kind: 'preparation'; readonly preparation: Preparation; readonly revision: number }
  | { readonly kind: 'removePreparation'; readonly id: string }
  | { readonly kind: 'batch'; readonly id: string; readonly preparationId: string; readonly body: BatchBody }
  | { readonly kind: 'unmakeBatch'; readonly id: string; readonly preparationId: string }
  | ({ readonly kind: 'paper' | 'removePaper'; readonly id: string; /** So that it can come back. */ readonly picture: Blob } & PaperOwner);

/** Whose paper it is. */
export type PaperOwner = { readonly of: 'ingredients' | 'lots'; readonly ownerId: string };
export const paperAddress = ({ of, ownerId }: PaperOwner, id: string) => `/pantry/${of}/${encodeURIComponent(ownerId)}/papers/${id}`;
export const papersQuery = ({ of, ownerId }: PaperOwner) =>
  queryOptions({
    queryKey: [...pantryKeys.all, 'papers', of, ownerId],
    queryFn: () => request('GET /pantry/:kind/:id/papers', { kind: of, id: ownerId }),
  });

async function send(change: PantryChange): Promise<Stored | undefined> {
  switch (change.kind) {
    case 'lot': {
      const { lot, revision, recounted } = change;
      return request('PUT /pantry/lots/:id', { id: lot.id }, { lot, revision, recounted });
    }
    case 'removeLot':
      return request('DELETE /pantry/lots/:id', { id: change.id });
    case 'correct':
      return request('PUT /pantry/ingredients/:id/change', { id: change.id }, { revision: change.revision, change: change.change });
    case 'own':
      return request('PUT /pantry/ingredients/:id/own', { id: change.id }, { revision: change.revision, ingredient: change.ingredient });
    case 'removeIngredient':
      return request('DELETE /pantry/ingredients/:id', { id: change.id });
    case 'preparation':
      return request(
        'PUT /pantry/preparations/:id',
        { id: change.preparation.id },
        {
          revision: change.revision,
          preparation: change.preparation,
        },
      );
    case 'removePreparation':
      return request('DELETE /pantry/preparations/:id', { id: change.id });
    case 'batch':
      return request('PUT /pantry/preparations/:id/batches/:lotId', { id: change.preparationId, lotId: change.id }, change.body);
    case 'paper':
      await sendBytes(paperAddress(change, change.id), change.picture);
      return undefined;
    case 'removePaper':
      return request('DELETE /pantry/:kind/:id/papers/:paperId', { kind: change.of, id: change.ownerId, paperId: change.id });
    case 'unmakeBatch':
      return request('DELETE /pantry/preparations/:id/batches/:lotId', { id: change.preparationId, lotId: change.id });
  }
}

/** Sent again until the server answers: the same revision twice is stored once. */
export function usePantryChange() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: send,
    retry: (count, error) => error instanceof ApiError && error.mayRecover && count < 20,
    retryDelay: 1500,
    onSuccess: () => client.invalidateQueries({ queryKey: pantryKeys.all }),
  });
}

/** Ingredients of a pantry as a search field asks for them; what is easily confused asks. */
export const ingredientOptions =
  (ingredients: Pantry['ingredients'], allow: (one: Ingredient) => boolean) =>
  (typed: string): SearchOption[] => {
    const option = (
      one: Ingredient,
      beside: string | undefined,
      { asks, why }: { readonly asks: boolean; readonly why: string },
      meant?: readonly string[],
    ): SearchOption => {
      const alike = confusedWith(one.id);
      const among = [...new Set([one.id, ...(meant ?? alike?.ids ?? [])])]
        .map((id) => ingredients[id])
        .filter((other): other is Ingredient => other !== undefined && allow(other));
      return {
        id: one.id,
        name: one.name,
        ...(beside ? { beside } : {}),
        ...(asks && among.length > 1 ? { asks: { why: why || alike?.ask || t('pantry.thisNameIsUsedForMoreThan'), among } } : {}),
      };
    };
    if (typed.trim() === '') {
      return Object.values(ingredients)
        .filter(allow)
        .map((one) => {
          const alike = confusedWith(one.id);
          return option(one, undefined, { asks: alike !== undefined, why: alike?.ask ?? '' });
        });
    }
    return findIngredients(ingredients, typed).flatMap(({ id, as, locale, asks, why, among }) => {
      const one = ingredients[id];
      return one && allow(one) ? [option(one, as && (locale ? `${as} (${locale})` : as), { asks, why }, among)] : [];
    });
  };
