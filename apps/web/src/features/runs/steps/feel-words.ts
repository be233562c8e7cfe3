import { type Handling, type HandWord } from '@north-leaf/core';
import { t } from '../../../platform/words';

export const spoons = (n: number) =>
  t('runs.spoons', { count: Math.ceil(n), spoons: n === 0.5 ? t('runs.halfA') : n % 1 === 0.5 ? `${Math.floor(n)}½` : n });

/** How to feel a dough of this form, and what is right for it. */
export function feelWords(right: readonly HandWord[], handling?: Handling): string {
  if (handling === 'poured') return t('runs.letItFallFromTheSpoon');
  if (!right.includes('rollsClean')) return t('runs.liftASpoonfulItShouldClingAnd');
  if (right.includes('cracks')) return t('runs.squeezeAFistfulItShouldJustHold');
  return right.includes('tacky') ? t('runs.rollABallBetweenYourPalmsA') : t('runs.squeezeAFistfulBendItLookAt');
}
