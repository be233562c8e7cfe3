import { measureWords, stepWords, type MeasuredWhat, type RunStep, type Show } from '@north-leaf/core';
import type { UnitSystem } from '../../../platform/preferences';
import { showQuantity } from '../../../ui/words/quantity';

/** Grams at the bench: tenths under 20 g, whole above. */
export const benchGrams = (g: number): string => (Math.abs(g) < 20 ? g.toFixed(1) : g.toFixed(0));

/** How the bench writes a number: fewer digits than the desk. */
export const benchShow =
  (units: UnitSystem): Show =>
  (value, kind) => {
    if (kind === 'mass' && units === 'metric') return `${benchGrams(value)} g`;
    if (kind === 'length' && units === 'metric' && value >= 20) return showQuantity(value, kind, units, 0);
    return showQuantity(value, kind, units, kind === 'temperature' ? 0 : undefined);
  };

export const titleOf = (step: RunStep, units: UnitSystem): string => stepWords(step, benchShow(units)).title;

/** `18 min`, in the last two minutes `1:48`, and `3 min over`. */
export function leftWords(ms: number): string {
  if (ms <= -60_000) return `${Math.floor(-ms / 60_000)} min over`;
  if (ms <= 0) return 'now';
  if (ms <= 120_000) return `${Math.floor(ms / 60_000)}:${String(Math.floor((ms % 60_000) / 1000)).padStart(2, '0')}`;
  // A second is no minute: two clocks of one page may be that far apart.
  const min = Math.ceil((ms - 1000) / 60_000);
  return min < 60 ? `${min} min` : `${Math.floor(min / 60)} h ${String(min % 60).padStart(2, '0')}`;
}

/** A measured value with its unit. */
export function showMeasured(what: MeasuredWhat, value: number, units: UnitSystem): string {
  const { kind } = measureWords[what];
  if (kind === 'count') return value.toFixed(0);
  if (kind === 'tone') return `tone ${value.toFixed(1)}`;
  if (kind === 'times') return `× ${value.toFixed(2)}`;
  if (kind === 'percent') return `${(value * 100).toFixed(0)} %`;
  return showQuantity(value, kind, units);
}
