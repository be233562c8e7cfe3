import { v4, v5 } from 'uuid';
import { standingEvents, type BakeEvent, type Happened } from '@north-leaf/core';

/** What is so or is not: while it stands, saying it again is the same event, however often a key is pressed on a slow device. */
const once = new Set<Happened['kind']>(['ended', 'leftOver']);

/**
 * The id of something that happens at a step. Two devices that end the same step, or note the same pour, make the same id, and the server
 * keeps it once. What belongs to no step is a thing of its own. What stands already and can be so only once keeps the id it has.
 */
export function eventId(bakeId: string, stepKey: string | undefined, what: Happened, events: readonly BakeEvent[]): string {
  const isLike = (one: BakeEvent) => one.stepKey === stepKey && one.what.kind === what.kind && rowOf(one.what) === rowOf(what);
  const stands = once.has(what.kind) ? standingEvents(events).find(isLike) : undefined;
  if (stands) return stands.id;
  if (stepKey === undefined && !once.has(what.kind)) return v4();
  return v5(`${stepKey ?? ''}/${what.kind}/${rowOf(what)}/${events.filter(isLike).length}`, bakeId);
}

const rowOf = (what: Happened): string =>
  'rowKey' in what ? what.rowKey : what.kind === 'measured' ? what.what : what.kind === 'leftOver' ? what.lotId : '';
/** The same id, but another weight: two hands did not agree. The database gives a text back in another order, so values are compared. */
export const differs = ({ what: mine }: BakeEvent, { what: theirs }: BakeEvent): boolean =>
  mine.kind === 'weighed' && (theirs.kind !== 'weighed' || Math.abs(mine.addedG - theirs.addedG) > 1e-6);
