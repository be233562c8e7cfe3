import { v4, v5 } from 'uuid';
import type { BakeEvent, Happened } from '@north-leaf/core';

/**
 * The id of something that happens at a step. Two devices that end the same step, or note the same pour, make the same id, and the server
 * keeps it once. What belongs to no step is a thing of its own.
 */
export function eventId(bakeId: string, stepKey: string | undefined, what: Happened, events: readonly BakeEvent[]): string {
  if (stepKey === undefined) return v4();
  const like = events.filter((one) => one.stepKey === stepKey && one.what.kind === what.kind && rowOf(one.what) === rowOf(what)).length;
  return v5(`${stepKey}/${what.kind}/${rowOf(what)}/${like}`, bakeId);
}

const rowOf = (what: Happened): string => ('rowKey' in what ? what.rowKey : what.kind === 'measured' ? what.what : '');

/** The same id, but another weight: two hands did not agree. The database gives a text back in another order, so values are compared. */
export const differs = ({ what: mine }: BakeEvent, { what: theirs }: BakeEvent): boolean =>
  mine.kind === 'weighed' && (theirs.kind !== 'weighed' || Math.abs(mine.addedG - theirs.addedG) > 1e-6);
