import type { MeasuredWhat } from '@north-leaf/core';

/** Low and high of each measure, in its unit. */
export const measureLimits: Record<MeasuredWhat, readonly [number, number]> = {
  doughC: [-25, 60],
  coreC: [-25, 250],
  ovenC: [20, 350],
  roomC: [-10, 60],
  humidityShare: [0, 1],
  rawMm: [0.2, 60],
  bakedMm: [0.2, 120],
  acrossMm: [1, 1000],
  fatMm: [0.2, 60],
  rawG: [0.1, 100000],
  bakedG: [0.1, 100000],
  pieceG: [0.1, 10000],
  fillingG: [0.1, 100000],
  volumeRatio: [0.5, 10],
  pieces: [0, 100000],
  bakeMin: [0.5, 600],
  topTone: [1, 8],
  baseTone: [1, 8],
};
