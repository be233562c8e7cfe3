import type { ShownKind } from '@north-leaf/core';
import type { Voice } from '@north-leaf/words';
import { t } from '../../platform/words';

/** What is wrong with a value outside its limits, told in the baker's units; nothing within them. Values and limits in the core's unit. */
export const outside = (value: number, low: number, high: number, kind: ShownKind, voice: Voice): string | undefined =>
  value < low || value > high ? t('common.mustBeFromLow', { low: voice.range(low, high, kind) }) : undefined;
