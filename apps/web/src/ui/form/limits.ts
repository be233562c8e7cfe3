import type { ShownKind } from '@north-leaf/core';
import type { Voice } from '@north-leaf/words';

/** What is wrong with a value outside its limits, told in the baker's units; nothing within them. Values and limits in the core's unit. */
export const outside = (value: number, low: number, high: number, kind: ShownKind, voice: Voice): string | undefined =>
  value < low || value > high ? `must be from ${voice.range(low, high, kind)}` : undefined;
