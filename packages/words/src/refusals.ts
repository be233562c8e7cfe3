import type { Refusal, ShownKind } from '@north-leaf/core';
import type { Voice } from './voice.js';

/** What the units of the core's limits are units of. */
const kinds: Readonly<Record<string, ShownKind>> = { mm: 'length', g: 'mass', C: 'temperature', min: 'minutes' };

/**
 * Why a value cannot be worked with, its limits in the baker's units.
 *
 * Units    those of the voice, where the limit is a length, mass, temperature or time; anything else in the core's own words.
 * Throws   nothing.
 * Findings none.
 * Source   the refusal.
 */
export function refusalWords({ message, limit }: Refusal, { say, exact, range }: Voice): string {
  const kind = limit && kinds[limit.unit];
  if (!kind) return message;
  return say('refusal.limit', { range: range(limit.low, limit.high, kind), got: exact(limit.got, kind) });
}
