import { fahrenheitOf, feetOf, inchesOf, ouncesOf, type QuantityKind } from '@north-leaf/core';
import type { UnitSystem } from '../../platform/preferences';

type Shown = { readonly unit: string; readonly of: (value: number) => number; readonly digits: (value: number) => number };
const grams: Shown = { unit: 'g', of: (g) => g, digits: () => 1 };
const shown: Record<QuantityKind, Record<UnitSystem, Shown>> = {
  mass: { metric: grams, imperial: { unit: 'oz', of: ouncesOf, digits: (oz) => (oz < 10 ? 2 : 1) } },
  length: { metric: { unit: 'mm', of: (mm) => mm, digits: () => 1 }, imperial: { unit: 'in', of: inchesOf, digits: () => 3 } },
  height: { metric: { unit: 'm', of: (m) => m, digits: () => 0 }, imperial: { unit: 'ft', of: feetOf, digits: () => 0 } },
  temperature: { metric: { unit: '°C', of: (c) => c, digits: () => 1 }, imperial: { unit: '°F', of: fahrenheitOf, digits: () => 0 } },
  percent: { metric: { unit: '%', of: (v) => v, digits: () => 1 }, imperial: { unit: '%', of: (v) => v, digits: () => 1 } },
  minutes: { metric: { unit: 'min', of: (m) => m, digits: () => 1 }, imperial: { unit: 'min', of: (m) => m, digits: () => 1 } },
};

/** The unit a kind is shown in, as `readQuantity` knows a bare number by. */
export const unitOf = (kind: QuantityKind, units: UnitSystem): string => shown[kind][units].unit;

/** A core value in the baker's unit, rounded for reading: `102`, `3.6`, `0.094`. */
export function showValue(value: number, kind: QuantityKind, units: UnitSystem, digits?: number): string {
  const { of, digits: usual } = shown[kind][units];
  const converted = of(value);
  return trim(converted.toFixed(digits ?? usual(converted)));
}

/** The same with its unit. */
export const showQuantity = (value: number, kind: QuantityKind, units: UnitSystem, digits?: number): string =>
  `${showValue(value, kind, units, digits)} ${unitOf(kind, units)}`;

/** `18 min`, `1 h 02`. */
export function showDuration(min: number): string {
  const whole = Math.round(min);
  if (whole < 60) return `${min < 20 ? trim(min.toFixed(1)) : whole} min`;
  return `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`;
}

/** Inches as a ruler has them, to the nearest 1/32: `3/32`, `1 3/4`. */
export function showFraction(mm: number): string {
  const parts = Math.round(inchesOf(mm) * 32);
  const [whole, rest] = [Math.floor(parts / 32), parts % 32];
  if (rest === 0) return String(whole);
  const by = [16, 8, 4, 2].find((n) => rest % n === 0) ?? 1;
  return `${whole > 0 ? `${whole} ` : ''}${rest / by}/${32 / by}`;
}

const trim = (text: string) => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);
