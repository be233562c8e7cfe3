import { create } from 'zustand';
import { type LaminateResult } from '@north-leaf/core';
import { useAnswer } from '../../board/doors';
import { t } from '../../../platform/words';

/** How a fold is called by its parts. */
export const foldWords: Readonly<Record<2 | 3 | 4, string>> = { 2: t('sheet.inHalf'), 3: t('sheet.inThree'), 4: t('sheet.aBookInFour') };

/** Which step of the plan is looked at: the picture shows its layers. Null: the last sheet. */
export const useShownStep = create<{ readonly at: number | null }>()(() => ({ at: null }));

/** The laminate of the newest answer; null while it is waiting. */
export function useLaminate(): LaminateResult | null {
  const { evaluation } = useAnswer();
  return evaluation.sheet.state === 'waiting' ? null : evaluation.sheet.result.laminate;
}
