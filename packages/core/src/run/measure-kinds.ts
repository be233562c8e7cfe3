import type { MeasuredWhat } from '../document/bake.js';
import type { ShownKind } from '../units/show.js';

/** How what is measured is written. */
export const measureKinds = {
  doughC: 'temperature',
  coreC: 'temperature',
  ovenC: 'temperature',
  roomC: 'temperature',
  humidityShare: 'share',
  rawMm: 'length',
  bakedMm: 'length',
  acrossMm: 'length',
  fatMm: 'length',
  rawG: 'mass',
  bakedG: 'mass',
  pieceG: 'mass',
  fillingG: 'mass',
  volumeRatio: 'times',
  pieces: 'count',
  bakeMin: 'minutes',
  topTone: 'tone',
  baseTone: 'tone',
} as const satisfies Record<MeasuredWhat, ShownKind>;
