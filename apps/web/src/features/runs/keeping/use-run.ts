import { useEffect, useMemo, useState } from 'react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { scaled, type BakeEvent, type Happened, type RunState } from '@north-leaf/core';
import type { Run } from '@north-leaf/contracts';
import { ApiError, request } from '../../../platform/http';
import { isTold, useNews } from '../../../platform/news';
import { versionQuery } from '../../formulas/doors';
import { kitchenQuery } from '../../kitchen/doors';
import { pantryQuery } from '../../pantry/doors';
import { runningQuery } from '../../bakes/doors';
import { eventsOfRun, recall, say, send, stateOfRun, told, useRuns } from './run-store';
import { forgetRun, type KeptRun } from './run-keeping';

export type RunInHand = KeptRun & {
  readonly state: RunState;
  readonly events: readonly BakeEvent[];
  /** Events the server has not been heard to store. */ readonly waitingEvents: number;
  readonly online: boolean;
  readonly say: (...said: { readonly what: Happened; readonly stepKey?: string }[]) => Promise<void>;
};

/** How often another device's doings are asked for where they are not told, and where they are. */
const ASK_MS = 3000;
const SELDOM_MS = 30_000;

/**
 * A run as this device has it, kept up with the server while there is one. Null while it is being fetched; an error only where neither
 * the server nor this browser knows it.
 */
export function useRun(id: string): { readonly run: RunInHand | null; readonly error: ApiError | null } {
  const client = useQueryClient();
  const kept = useRuns((state) => state.kept[id]);
  const waiting = useRuns((state) => state.waiting);
  const online = useRuns((state) => state.online);
  const [recalled, setRecalled] = useState(false);

  useEffect(() => {
    void recall(id).then(() => {
      setRecalled(true);
      void send();
    });
  }, [id]);

  useNews((news) => {
    if (news.what !== 'bake') return;
    void client.invalidateQueries({ queryKey: runningQuery.queryKey });
    if (news.id === id) void client.invalidateQueries({ queryKey: ['bakes', 'run', id] });
  });
  const fresh = useQuery({
    queryKey: ['bakes', 'run', id],
    queryFn: async () => {
      try {
        const run = await request('GET /bakes/:id', { id });
        useRuns.setState({ online: true });
        void send();
        if (useRuns.getState().kept[id]) told(run);
        else {
          const [version, kitchen, pantry] = await Promise.all([
            client.fetchQuery(versionQuery(run.formulaId, run.version)),
            client.fetchQuery(kitchenQuery),
            client.fetchQuery(pantryQuery),
          ]);
          told(run, { formula: scaled(version.formula, run.factor), kitchen, pantry });
        }
        return true;
      } catch (error) {
        if (error instanceof ApiError && error.mayRecover) useRuns.setState({ online: false });
        throw error;
      }
    },
    enabled: recalled,
    refetchInterval: () => (isTold() ? SELDOM_MS : ASK_MS),
    refetchIntervalInBackground: true,
    retry: false,
    staleTime: 0,
  });

  const run = useMemo((): RunInHand | null => {
    if (!kept) return null;
    return {
      ...kept,
      state: stateOfRun(kept, waiting),
      events: eventsOfRun(kept, waiting),
      waitingEvents: waiting.filter(({ bakeId }) => bakeId === id).length,
      online,
      say: (...said) => say(id, said),
    };
  }, [kept, waiting, online, id]);
  // What is over and stored needs no copy here.
  const over = run !== null && run.state.state === 'ended' && run.waitingEvents === 0;
  useEffect(() => {
    if (over) void forgetRun(id);
  }, [over, id]);
  const error = !kept && recalled && fresh.error instanceof ApiError ? fresh.error : null;
  return { run, error };
}

/** On the pages that are about runs: what another device does shows as it is done. */
export function useRunningNews(): void {
  const client = useQueryClient();
  useNews((news) => {
    if (news.what === 'bake') void client.invalidateQueries({ queryKey: runningQuery.queryKey });
  });
}

/** All runs under way that this device knows, each with its state; asked for again now and then. */
export function useRunning(): readonly { readonly run: Run; readonly state: RunState }[] {
  const { data } = useQuery(runningQuery);
  const { data: kitchen } = useQuery(kitchenQuery);
  const kept = useRuns((state) => state.kept);
  const waiting = useRuns((state) => state.waiting);
  return useMemo(() => {
    if (!kitchen) return [];
    const known = new Map<string, Run>((data ?? []).map((run) => [run.id, run]));
    for (const { run } of Object.values(kept)) if (!known.has(run.id)) known.set(run.id, run);
    return [...known.values()]
      .map((run) => {
        const of: KeptRun = { ...(kept[run.id] ?? ({} as KeptRun)), run: mergedEvents(run, kept[run.id]?.run), kitchen };
        return { run, state: stateOfRun(of, waiting) };
      })
      .filter(({ state }) => state.state !== 'ended')
      .sort((a, b) => a.run.number - b.run.number);
  }, [data, kept, waiting, kitchen]);
}

function mergedEvents(run: Run, other: Run | undefined): Run {
  if (!other) return run;
  const ids = new Set(run.events.map(({ id }) => id));
  return { ...run, events: [...run.events, ...other.events.filter(({ id }) => !ids.has(id))] };
}
