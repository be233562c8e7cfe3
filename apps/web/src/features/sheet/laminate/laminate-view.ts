import { create } from 'zustand';
import { type LaminateResult } from '@north-leaf/core';
import { useAnswer } from '../../board/doors';

/** How a fold is called by its parts. */
export const foldWords: Readonly<Record<2 | 3 | 4, string>> = { 2: 'in half', 3: 'in three', 4: 'a book, in four' };

/** Which step of the plan is looked at: the picture shows its layers. Null: the last sheet. */
export const useShownStep = create<{ readonly at: number | null }>()(() => ({ at: null }));

/** The laminate of the newest answer; null while it is waiting. */
export function useLaminate(): LaminateResult | null {
  const { evaluation } = useAnswer();
  return evaluation.sheet.state === 'waiting' ? null : evaluation.sheet.result.laminate;
}
