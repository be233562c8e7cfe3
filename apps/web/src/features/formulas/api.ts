import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type {
  Draft,
  DraftBody,
  FormulaDetail,
  FormulaName,
  FormulasPart,
  FormulaVersion,
  NewFormulaBody,
  SavedVersion,
  VersionBody,
} from '@north-leaf/contracts';
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
  queryFn: ({ pageParam }) => request<FormulasPart>('GET', pageParam === null ? '/formulas' : `/formulas?after=${pageParam}`),
  initialPageParam: null as string | null,
  getNextPageParam: ({ next }) => next,
});

/** Enough of every formula to choose one. */
export const formulaNamesQuery = queryOptions({
  queryKey: [...formulaKeys.list(), 'names'] as const,
  queryFn: () => request<FormulaName[]>('GET', '/formulas/names'),
});

export const formulaQuery = (id: string) =>
  queryOptions({ queryKey: formulaKeys.detail(id), queryFn: () => request<FormulaDetail>('GET', `/formulas/${id}`), staleTime: 0 });

/** The stored draft on top of the newest version; null where there is none. */
export const waitingDraft = ({ draft, versions }: FormulaDetail): Draft | null =>
  draft !== null && draft.basedOn === (versions.at(-1)?.version ?? 0) ? draft : null;

/** A version never changes: read once. */
export const versionQuery = (id: string, version: number) =>
  queryOptions({
    queryKey: formulaKeys.version(id, version),
    queryFn: () => request<FormulaVersion>('GET', `/formulas/${id}/versions/${version}`),
    staleTime: Infinity,
  });

export const storeDraft = (id: string, body: DraftBody) => request<Draft>('PUT', `/formulas/${id}/draft`, body);

export type SaveVersion = { readonly formulaId: string; readonly versionId: string; readonly body: VersionBody };

/** Sent again with the same id until the server answers, so that a save cut short is neither lost nor doubled. */
export function useSaveVersion() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ formulaId, versionId, body }: SaveVersion) =>
      request<SavedVersion>('PUT', `/formulas/${formulaId}/versions/${versionId}`, body),
    retry: (_count, error) => error instanceof ApiError && error.mayRecover,
    retryDelay: 1500,
    onSuccess: (_version, { formulaId }) => {
      void forgetDraft(formulaId);
      void client.invalidateQueries({ queryKey: formulaKeys.all });
    },
  });
}

export type NewFormula = { readonly id: string; readonly body: NewFormulaBody };
/** A new formula with its first version; the same ids again are the same formula. */
export function useCreateFormula() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, body }: NewFormula) => request<SavedVersion>('PUT', `/formulas/${id}`, body),
    retry: (_count, error) => error instanceof ApiError && error.mayRecover,
    retryDelay: 1500,
    onSuccess: () => void client.invalidateQueries({ queryKey: formulaKeys.all }),
  });
}
