import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { lastOf, outlookFromRating, type BakeEvent, type Happened, type MeasuredWhat } from '@north-leaf/core';
import type { Bake, BakeBody, StartBody } from '@north-leaf/contracts';
import { ApiError, request, sendBytes } from '../../platform/http';
import { isTold } from '../../platform/news';

export const bakeKeys = { all: ['bakes'] as const };

export type WhichBakes = {
  readonly formulaId?: string | undefined;
  /** Only those that took from it. */ readonly lotId?: string | undefined;
};
/** Bakes, newest first, part by part. */
export const bakesQuery = (which: WhichBakes = {}) =>
  infiniteQueryOptions({
    queryKey: [...bakeKeys.all, 'list', which] as const,
    queryFn: ({ pageParam }) => request('GET /bakes', { ...which, before: pageParam ?? undefined }),
    initialPageParam: null as string | null,
    getNextPageParam: ({ next }) => next,
  });
/** The parts that are here, as one list. */
export const together = <T>(data: { readonly pages: readonly { readonly items: readonly T[] }[] } | undefined): readonly T[] | undefined =>
  data?.pages.flatMap(({ items }) => items);

/** Runs under way; another device may have begun one. */
export const runningQuery = queryOptions({
  queryKey: [...bakeKeys.all, 'running'] as const,
  queryFn: () => request('GET /bakes/running', {}),
  refetchInterval: () => (isTold() ? 60_000 : 10_000),
  retry: false,
});

/** Begins a run; the same id again is the same run. */
export function useStartRun() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, body }: { id: string; body: StartBody }) => request('PUT /bakes/:id/run', { id }, body),
    retry: (_count, error) => error instanceof ApiError && error.mayRecover,
    retryDelay: 1500,
    onSuccess: () => client.invalidateQueries({ queryKey: bakeKeys.all }),
  });
}

export const runQuery = (id: string) =>
  queryOptions({ queryKey: [...bakeKeys.all, 'one', id] as const, queryFn: () => request('GET /bakes/:id', { id }) });

/** Adds to a record, or corrects it; sent again with the same ids until the server answers. */
export function useAddEvents(id: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (events: readonly BakeEvent[]) => request('POST /bakes/:id/events', { id }, events),
    retry: (_count, error) => error instanceof ApiError && error.mayRecover,
    retryDelay: 1500,
    onSuccess: () =>
      Promise.all([
        client.invalidateQueries({ queryKey: bakeKeys.all }),
        client.invalidateQueries({ queryKey: ['kitchen'] }),
        client.invalidateQueries({ queryKey: ['pantry'] }),
      ]),
  });
}

/** A picture of a bake, as its bytes. */
export function useAddPhoto(id: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ photoId, file }: { photoId: string; file: File }) => sendBytes(`/bakes/${id}/photos/${photoId}`, file),
    onSuccess: () => client.invalidateQueries({ queryKey: bakeKeys.all }),
  });
}

/** Sent again with the same id until the server answers. */
export function useRecordBake() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, body }: { id: string; body: BakeBody }) => request('PUT /bakes/:id', { id }, body),
    retry: (_count, error) => error instanceof ApiError && error.mayRecover,
    retryDelay: 1500,
    onSuccess: async () => {
      await Promise.all([
        client.invalidateQueries({ queryKey: bakeKeys.all }),
        client.invalidateQueries({ queryKey: ['formulas', 'list'] }),
        // A hand's word may have taught the kitchen something.
        client.invalidateQueries({ queryKey: ['kitchen'] }),
      ]);
    },
  });
}

/** The last measurement of a kind, corrections counted. */
export function measured(bake: Bake, what: MeasuredWhat): number | undefined {
  return last(bake, (one) => (one.kind === 'measured' && one.what === what ? one.value : undefined));
}

/** The last thing of a kind that was said of a bake. */
export const last = <T>({ events }: Bake, of: (what: Happened) => T | undefined): T | undefined => lastOf(events, of);

/** Fresh ratings as points on the Outlook. */
export function bakedPoints(bakes: readonly Bake[]): { number: number; version: number; crisp: number; tender: number }[] {
  return bakes.flatMap((bake) => {
    const rated = last(bake, (one) =>
      one.kind === 'rated' && one.after === 'fresh' && one.crisp !== undefined && one.tender !== undefined
        ? { crisp: one.crisp, tender: one.tender }
        : undefined,
    );
    if (!rated) return [];
    return [
      {
        number: bake.number,
        version: bake.version,
        crisp: outlookFromRating('crisp', rated.crisp),
        tender: outlookFromRating('tender', rated.tender),
      },
    ];
  });
}
