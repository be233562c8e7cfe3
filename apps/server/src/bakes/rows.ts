import { In, type EntityManager } from 'typeorm';
import { BakeEventEntity } from './bake-event.entity.js';
import type { BakeEvent } from '@north-leaf/core';
import type { Bake } from '@north-leaf/contracts';
import type { KitchenScope } from '../platform/kitchen-scope.js';
import type { BakeEntity } from './bake.entity.js';

/** Events of these bakes, in the order they happened. */
export async function eventRows(scope: KitchenScope, bakeIds: readonly string[], manager?: EntityManager): Promise<BakeEventEntity[]> {
  if (bakeIds.length === 0) return [];
  return (await scope.table(BakeEventEntity, manager)).find({ where: { bakeId: In([...bakeIds]) }, order: { at: 'ASC', id: 'ASC' } });
}

/** A header and its events, as they are told. */
export function bakeOf(
  { id, number, formulaId, version, factor, roomC, humidityShare, startedAt }: BakeEntity,
  events: readonly BakeEventEntity[],
): Bake {
  return {
    id,
    number,
    formulaId,
    version,
    factor,
    roomC,
    humidityShare,
    startedAt: startedAt.toISOString(),
    events: eventsIn(events, id),
  };
}

/** Of many rows those of one bake. */
export function eventsIn(events: readonly BakeEventEntity[], ofBake: string): BakeEvent[] {
  return events
    .filter(({ bakeId }) => bakeId === ofBake)
    .map(({ id, at, stepKey, corrects, what }) => ({
      id,
      at: at.toISOString(),
      ...(stepKey === null ? {} : { stepKey }),
      ...(corrects === null ? {} : { corrects }),
      what,
    }));
}
