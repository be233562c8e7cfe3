import { feelWarmth } from '../facts/run.js';
import type { HandWord, RunStep } from '../document/bake.js';

/** A dough that is warmer or colder than planned, which is felt as too wet or too dry. C. */
export type FeelsByWarmth = { readonly is: 'warm' | 'cold'; readonly measuredC: number; readonly plannedC: number };

/**
 * Whether the temperature of a dough explains what a hand says of it: then it is cooled or left to stand and felt again, not floured or
 * wetted, and the word says nothing of the blend.
 *
 * Units    C.
 * Throws   nothing; null where it was not measured, where it is right, or where it is off as planned.
 * Findings none.
 * Source   facts/run feelWarmth (judgement).
 *
 * @param steps of the run, where the temperature was planned
 * @param measuredC of the dough before it was felt
 */
export function feelsByWarmth(word: HandWord, steps: readonly RunStep[], measuredC: number | undefined): FeelsByWarmth | null {
  const plannedC = steps.find(({ key }) => key === 'doughC')?.measures?.[0]?.planned;
  if (measuredC === undefined || plannedC === undefined) return null;
  const wet = word === 'tacky' || word === 'sticks';
  const dry = word === 'sandy' || word === 'cracks';
  const off = measuredC - plannedC;
  if (wet && off >= feelWarmth.values.warmK) return { is: 'warm', measuredC, plannedC };
  if (dry && -off >= feelWarmth.values.coldK) return { is: 'cold', measuredC, plannedC };
  return null;
}
