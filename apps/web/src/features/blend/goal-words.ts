import type { BlendGoal, Pantry } from '@north-leaf/core';
import { t } from '../../platform/words';

type Words = { readonly words: string; readonly times: number; readonly unit: string };

/** A wish in a baker's words, and how its number is shown: shares in percent, cost in whole money. */
export function goalWords(key: string, way: BlendGoal['way'], pantry: Pantry, currency: string): Words {
  if (key.startsWith('taste:')) {
    const name = pantry.ingredients[key.slice('taste:'.length)]?.name ?? key.slice('taste:'.length);
    return { words: t('blend.keepsNameAtLeast', { name: name.split(/[,(]/)[0]!.trim().toLowerCase() }), times: 100, unit: '%' };
  }
  const coin = currency === 'EUR' ? '€' : currency;
  const known: Record<string, Words> = {
    bend: { words: t('blend.bendAtLeast'), times: 1, unit: '' },
    flavour: { words: t('blend.tastesAtMost0To3'), times: 1, unit: '' },
    grit: { words: t('blend.gritAtMost0To3'), times: 1, unit: '' },
    cost: { words: t('blend.costsAtMostAKg'), times: 0.01, unit: coin },
    protein: { words: t('blend.proteinAtLeast'), times: 1, unit: '%' },
    fibre: { words: t('blend.fibreAtLeast'), times: 1, unit: '%' },
    water: { words: t('blend.drinksAtMost'), times: 1, unit: 'g/g' },
    starch: { words: t('blend.starchAtMost'), times: 100, unit: '%' },
    away: { words: t('blend.toBeBoughtAtMost'), times: 100, unit: '%' },
    binder: { words: way === 'atLeast' ? t('blend.gumsAtLeastOfTheNeed') : t('blend.gumsAtMostOfTheNeed'), times: 100, unit: '%' },
    nuts: { words: t('blend.nutFloursAtMost'), times: 100, unit: '%' },
  };
  return known[key] ?? { words: key, times: 1, unit: '' };
}

export const shownGoal = (value: number, times: number): string => String(Number((value * times).toFixed(2)));
