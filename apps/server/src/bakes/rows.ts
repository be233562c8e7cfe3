import { liftHappened, type BakeEvent, type Happened } from '@north-leaf/core';
import type { Bake } from '@north-leaf/contracts';
import type { KitchenScope } from '../platform/kitchen-scope.js';
import type { BakeEntity } from './bake.entity.js';

/** A header and its events, as they are told. */
export function bakeOf(
  { id, number, formulaId, version, factor, roomC, humidityShare, startedAt }: Omit<BakeEntity, 'kitchenId' | 'steps' | 'begins'>,
  events: readonly BakeEvent[],
): Bake {
  return { id, number, formulaId, version, factor, roomC, humidityShare, startedAt: startedAt.toISOString(), events };
}

/** Of these bakes what happened, each in the order it happened; `but` names kinds that are left out, unless they take something back. */
export async function eventsOf(
  scope: KitchenScope,
  bakeIds: readonly string[],
  but: readonly Happened['kind'][] = [],
): Promise<(bakeId: string) => readonly BakeEvent[]> {
  if (bakeIds.length === 0) return () => [];
  const held = await heldEvents(scope, `"bakeId" = ANY($2::uuid[]) AND ("corrects" IS NOT NULL OR NOT ("what"->>'kind') = ANY($3))`, [
    bakeIds,
    but,
  ]);
  return (bakeId) => held.get(bakeId) ?? [];
}

/**
 * Events by the bake they are of. The database puts each bake's together as one text: read row by row, the events of a dozen runs
 * cost the server more than everything else it does.
 */
export async function heldEvents(
  scope: KitchenScope,
  where: string,
  parameters: readonly unknown[],
): Promise<ReadonlyMap<string, readonly BakeEvent[]>> {
  const rows = await scope.query<{ readonly bakeId: string; readonly events: readonly StoredEvent[] }>(
    `SELECT "bakeId", json_agg(json_build_object('id', "id", 'at', to_char("at" AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
       'stepKey', "stepKey", 'corrects', "corrects", 'what', "what") ORDER BY "at", "id") AS "events"
     FROM "bake_events" WHERE "kitchenId" = $1 AND ${where} GROUP BY "bakeId"`,
    [await scope.id(), ...parameters],
  );
  return new Map(rows.map(({ bakeId, events }) => [bakeId, events.map(eventOf)]));
}

type StoredEvent = Pick<BakeEvent, 'id' | 'at' | 'what'> & { readonly stepKey: string | null; readonly corrects: string | null };

const eventOf = ({ id, at, stepKey, corrects, what }: StoredEvent): BakeEvent => ({
  id,
  at,
  ...(stepKey === null ? {} : { stepKey }),
  ...(corrects === null ? {} : { corrects }),
  what: liftHappened(what),
});

/** In the order they happened, as the database has it. */
export const inOrder = (events: readonly BakeEvent[]): BakeEvent[] =>
  [...events].sort((a, b) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1));
