import type { Finding } from './finding.js';

/** What the baker reads: what is off, why it matters, what to do. */
export type Words = { readonly what: string; readonly why: string; readonly change: string };

export const g = (value: number | undefined) => `${(value ?? 0).toFixed((value ?? 0) < 20 ? 1 : 0)} g`;
export const percent = (share: number | undefined, digits = 1) => `${((share ?? 0) * 100).toFixed(digits)} %`;
export const pc = (value: number | undefined) => `${(value ?? 0).toFixed(1)} %`;
export const c = (value: number | undefined) => `${Math.round(value ?? 0)} °C`;
/** A rough amount: two digits are more than it is good for. */
export const micrograms = (value: number | undefined) => `${Number((value ?? 0).toPrecision(2))} µg/kg`;
export const minutes = (value: number | undefined) => `${Math.round(value ?? 0)} min`;
export const hours = (value: number | undefined) => `${Number(((value ?? 0) / 60).toFixed(1))} h`;
export const daysOf = (value: number | undefined) => `${Math.floor(value ?? 0)} ${Math.floor(value ?? 0) === 1 ? 'day' : 'days'}`;
export const tone = (value: number | undefined) => `tone ${(value ?? 0).toFixed(1)}`;
export const of = (finding: Finding) => finding.measured?.of ?? '';
