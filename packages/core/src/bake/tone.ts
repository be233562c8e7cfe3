import { lightness, toneStep } from '../facts/oven.js';

/** Lightness L* of a browning index 0..1. */
export const lightnessOf = (browning: number): number =>
  lightness.values.burnt + (lightness.values.raw - lightness.values.burnt) * (1 - browning);

/** Tone 1 (raw) to 8 (burnt) of a lightness. */
export const toneOf = (l: number): number => Math.min(8, Math.max(1, 1 + (lightness.values.raw - l) / toneStep.value));

/** Browning index that shows as a tone. */
export const browningOfTone = (tone: number): number => ((tone - 1) * toneStep.value) / (lightness.values.raw - lightness.values.burnt);
