import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type { Draft, DraftBody, FormulaDetail, NewFormulaBody, VersionBody } from '@north-leaf/contracts';
import { ApiError, request } from '../../platform/http';
import { forgetDraft } from './kept-draft';

export const formulaKeys = {
  all: ['formulas'] as const,
  list: () => [...formulaKeys.all, 'list'] as const,
  detail: (id: string) => [...formulaKeys.all, id] as const,
  version: (id: string, version: number) => [...formulaKeys.all, id, 'version', version] as const,
};

/** All formulas by name, part by part. */
export const formulasQuery = infiniteQueryOptions({
  queryKey: [...formulaKeys.list(), 'parts'] as const,
  queryFn: ({ pageParam }) => request('GET /formulas', { after: pageParam ?? undefined }),
  initialPageParam: null as string | null,
  getNextPageParam: ({ next }) => next,
});

/** Enough of every formula to choose one. */
export const formulaNamesQuery = queryOptions({
  queryKey: [...formulaKeys.list(), 'names'] as const,
  queryFn: () => request('GET /formulas/names', {}),
});

export const formulaQuery = (id: string) =>
  queryOptions({ queryKey: formulaKeys.detail(id), queryFn: () => request('GET /formulas/:id', { id }), staleTime: 0 });

/** The stored draft on top of the newest version; null where there is none. */
export const waitingDraft = ({ draft, versions }: FormulaDetail): Draft | null =>
  draft !== null && draft.basedOn === (versions.at(-1)?.version ?? 0) ? draft : null;

/** A version never changes: read once. */
export const versionQuery = (id: string, version: number) =>
  queryOptions({
    queryKey: formulaKeys.version(id, version),
    queryFn: () => request('GET /formulas/:id/versions/:version', { id, version }),
    staleTime: Infinity,
  });

export const storeDraft = (id: string, body: DraftBody) => request('PUT /formulas/:id/draft', { id }, body);

export type SaveVersion = { readonly formulaId: string; readonly versionId: string; readonly body: VersionBody };

/** Sent again with the same id until the server answers, so that a save cut short is neither lost nor doubled. */
export function useSaveVersion() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ formulaId, versionId, body }: SaveVersion) =>
      request('PUT /formulas/:id/versions/:versionId', { id: formulaId, versionId }, body),
    retry: (_count, error) => error instanceof ApiError && error.mayRecover,
    retryDelay: 1500,
    onSuccess: (_version, { formulaId }) => {
      void forgetDraft(formulaId);
      void client.invalidateQueries({ queryKey: formulaKeys.all });
    },
  });
}

export type SentFormula = { readonly id: string; readonly body: NewFormulaBody };
/** A new formula with its first version; the same ids again are the same formula. */
export function useCreateFormula() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, body }: SentFormula) => request('PUT /formulas/:id', { id }, body),
    retry: (_count, error) => error instanceof ApiError && error.mayRecover,
    retryDelay: 1500,
    onSuccess: () => void client.invalidateQueries({ queryKey: formulaKeys.all }),
  });
}
