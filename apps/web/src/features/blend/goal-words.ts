import type { BlendGoal, Pantry } from '@north-leaf/core';

type Words = { readonly words: string; readonly times: number; readonly unit: string };

/** A wish in a baker's words, and how its number is shown: shares in percent, cost in whole money. */
export function goalWords(key: string, way: BlendGoal['way'], pantry: Pantry, currency: string): Words {
  if (key.startsWith('taste:')) {
    const name = pantry.ingredients[key.slice('taste:'.length)]?.name ?? key.slice('taste:'.length);
    return { words: `keeps ${name.split(/[,(]/)[0]!.trim().toLowerCase()} at least`, times: 100, unit: '%' };
  }
  const coin = currency === 'EUR' ? '€' : currency;
  const known: Record<string, Words> = {
    bend: { words: 'bends at least (index)', times: 1, unit: '' },
    flavour: { words: 'tastes at most (0 to 3)', times: 1, unit: '' },
    grit: { words: 'grit at most (0 to 3)', times: 1, unit: '' },
    cost: { words: 'costs at most, a kg', times: 0.01, unit: coin },
    protein: { words: 'protein at least', times: 1, unit: '%' },
    fibre: { words: 'fibre at least', times: 1, unit: '%' },
    water: { words: 'drinks at most', times: 1, unit: 'g/g' },
    starch: { words: 'starch at most', times: 100, unit: '%' },
    away: { words: 'to be bought at most', times: 100, unit: '%' },
    binder: { words: way === 'atLeast' ? 'gums at least, of the need' : 'gums at most, of the need', times: 100, unit: '%' },
    nuts: { words: 'nut flours at most', times: 100, unit: '%' },
  };
  return known[key] ?? { words: key, times: 1, unit: '' };
}

export const shownGoal = (value: number, times: number): string => String(Number((value * times).toFixed(2)));
