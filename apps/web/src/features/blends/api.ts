import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type { Blend } from '@north-leaf/core';
import type { BoxLabel, FindBlendsBody, ImitateBody } from '@north-leaf/contracts';
import { request } from '../../platform/http';

export const blendKeys = { all: ['blends'] as const };
export const blendsQuery = queryOptions({ queryKey: blendKeys.all, queryFn: () => request('GET /blends', {}) });

export const findBlends = (body: FindBlendsBody, signal: AbortSignal) => request('POST /blends/find', {}, body, signal);
export const imitateBlend = (body: ImitateBody, signal: AbortSignal) => request('POST /blends/imitate', {}, body, signal);
export const readLabel = (body: BoxLabel, signal: AbortSignal) => request('POST /blends/read-label', {}, body, signal);

/** Into the library: the next version of that blend. */
export function useSaveBlend() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, blend }: { id: string; blend: Blend }) => request('PUT /blends/:id', { id }, { basedOn: null, blend }),
    onSuccess: () => client.invalidateQueries({ queryKey: blendKeys.all }),
  });
}

/** A ready blend in the pantry, weighed by one key. */
export function useReadyBlend() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, version, revision }: { id: string; version: number; revision: number }) =>
      request('PUT /blends/:id/versions/:version/as-ingredient', { id, version, revision }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['pantry'] }),
  });
}
