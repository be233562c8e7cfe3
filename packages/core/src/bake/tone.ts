import { leastChange, lightness, toneStep } from '../facts/colour.js';

const { raw: ORDINARY, burnt } = lightness.values;

/**
 * Lightness L* of a browning index 0..1, of a dough that is `rawLightness` before it bakes.
 *
 * Units    browning 0 to 1; lightness CIE L*.
 * Throws   nothing.
 * Findings none.
 * Source   `facts/colour`.
 *
 * @example
 * lightnessOf(0.5); // => 56
 */
export const lightnessOf = (browning: number, rawLightness: number = ORDINARY): number => burnt + (rawLightness - burnt) * (1 - browning);

/**
 * Tone 1 (raw) to 8 (burnt) of a lightness.
 *
 * Units    l is CIE lightness L*, 0 to 100; tone 1 to 8.
 * Throws   nothing.
 * Findings none.
 * Source   `facts/colour`.
 *
 * @example
 * toneOf(60); // => 4.66667
 */
export const toneOf = (l: number): number => Math.min(8, Math.max(1, 1 + (ORDINARY - l) / toneStep.value));

/** Tone of a browning index. */
export const toneAt = (browning: number, rawLightness: number): number => toneOf(lightnessOf(browning, rawLightness));

/** Browning index at which a dough shows a tone; below 0 where it is darker raw. */
export const browningOfTone = (tone: number, rawLightness: number = ORDINARY): number =>
  (rawLightness - ORDINARY + (tone - 1) * toneStep.value) / (rawLightness - burnt);

/** What one tone is as a browning index. */
export const toneIndex = (rawLightness: number): number => toneStep.value / (rawLightness - burnt);

/** Where a dough is golden: one that starts dark shows gold early, and has at least to have changed at its rim. Tone 1 asks for no colour. */
export const goldenFrom = (tone: number, rawLightness: number): number =>
  tone <= 1 ? 0 : Math.max(Math.min(leastChange.value, browningOfTone(tone)), browningOfTone(tone, rawLightness));

/** Where it is too dark: one that starts dark by the chemistry of one that does not, since the eye cannot tell. */
export const darkFrom = (tone: number, rawLightness: number): number => browningOfTone(tone, Math.max(rawLightness, ORDINARY));
