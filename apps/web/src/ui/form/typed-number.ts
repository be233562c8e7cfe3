import type { NumberField } from '@north-leaf/core';
import { t } from '../../platform/words';

/** How a number of the registry is typed and read, and in which unit: shares as g in 100 g, cups as g a cup. */
export const shownAs = ({ shown, unit }: NumberField): { readonly times: number; readonly unit: string } => shown ?? { times: 1, unit };

/** A value as it stands in a form; nothing for none. */
export const textOf = (field: NumberField, value: number | undefined, digits = 10): string =>
  value === undefined ? '' : String(Number((value * shownAs(field).times).toPrecision(digits)));

/** A bare number as bakers type it: `12,4`, `0.8`. */
export function bareNumber(text: string): number | undefined {
  const bare = text.trim().replace(',', '.');
  return /^-?\d+(\.\d+)?$/.test(bare) ? Number(bare) : undefined;
}

export type TypedNumber = { readonly ok: true; readonly value: number | undefined } | { readonly ok: false; readonly problem: string };
/** What was typed for a number of the registry, in its own unit; nothing typed is none. Else what is wrong with it, and its limits. */
export function readTyped(field: NumberField, text: string): TypedNumber {
  if (text.trim() === '') return { ok: true, value: undefined };
  const { times, unit } = shownAs(field);
  const typed = bareNumber(text);
  if (typed === undefined) return { ok: false, problem: t('ui.textIsNotANumber', { text }) };
  const [low, high] = [field.low * times, field.high * times].map((limit) => Number(limit.toPrecision(6))) as [number, number];
  if (typed < low || typed > high || (field.above && typed === low)) {
    // A scale's unit is its range.
    return { ok: false, problem: t('ui.mustBeFromLowToHighWord', { low, high, word: /\d/.test(unit) ? '' : ` ${unit}` }) };
  }
  return { ok: true, value: Number((typed / times).toPrecision(12)) };
}
