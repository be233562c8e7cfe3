import { liftHappened, type BakeEvent, type Happened } from '@north-leaf/core';
import type { Bake } from '@north-leaf/contracts';
import type { KitchenScope } from '../platform/kitchen-scope.js';
import type { BakeEntity } from './bake.entity.js';

/** An event as it is read by a statement of our own. */
export type EventRow = {
  readonly id: string;
  readonly bakeId: string;
  readonly at: Date;
  readonly stepKey: string | null;
  readonly corrects: string | null;
  readonly what: Happened;
};

/** A header and its events, as they are told. */
export function bakeOf(
  { id, number, formulaId, version, factor, roomC, humidityShare, startedAt }: Omit<BakeEntity, 'kitchenId' | 'steps' | 'begins'>,
  events: readonly BakeEvent[],
): Bake {
  return { id, number, formulaId, version, factor, roomC, humidityShare, startedAt: startedAt.toISOString(), events };
}

/** Of each bake its events, in the order of the rows. */
export function byBake(rows: readonly EventRow[]): (bakeId: string) => readonly BakeEvent[] {
  const of = new Map<string, BakeEvent[]>();
  for (const row of rows) {
    const held = of.get(row.bakeId);
    if (held) held.push(eventOf(row));
    else of.set(row.bakeId, [eventOf(row)]);
  }
  return (bakeId) => of.get(bakeId) ?? [];
}

const eventOf = ({ id, at, stepKey, corrects, what }: EventRow): BakeEvent => ({
  id,
  at: at.toISOString(),
  ...(stepKey === null ? {} : { stepKey }),
  ...(corrects === null ? {} : { corrects }),
  what: liftHappened(what),
});

/** All that happened in these bakes, each in the order it happened. */
export async function eventsOf(scope: KitchenScope, bakeIds: readonly string[]): Promise<(bakeId: string) => readonly BakeEvent[]> {
  if (bakeIds.length === 0) return () => [];
  const rows = await scope.query<EventRow>(
    `SELECT "id", "bakeId", "at", "stepKey", "corrects", "what" FROM "bake_events" WHERE "kitchenId" = $1 AND "bakeId" = ANY($2::uuid[])
     ORDER BY "bakeId", "at", "id"`,
    [await scope.id(), bakeIds],
  );
  return byBake(rows);
}

/** In the order they happened, as the database has it. */
export const inOrder = (events: readonly BakeEvent[]): BakeEvent[] =>
  [...events].sort((a, b) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1));
