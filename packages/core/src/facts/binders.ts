import { fact, table } from './fact.js';

export const xanthanReplacedBy = table(
  {
    xanthan: 1,
    guar: 1.4,
    psyllium_husk: 4,
    psyllium_powder: 3.3,
    hpmc: 2,
    cmc: 1.4,
    tara_gum: 2,
    lbg: 5,
    citrus_fibre: 8,
    flax_meal: 20,
    chia_meal: 12,
  } as const,
  'g that do the work of 1 g xanthan in cold dough',
  'fromMemory',
  'gluten-free baking handbooks, from memory, and our estimate',
);
export const gumPairs = table(
  [
    ['xanthan', 'guar'],
    ['xanthan', 'lbg'],
  ] as const,
  'gums that are stronger together',
  'fromMemory',
  'xanthan with guar or locust bean: 10 to 20 % less is needed; hydrocolloid handbooks, from memory',
);
export const gumPairGain = fact(0.15, 'share of an even pair', 'fromMemory', 'middle of the 10 to 20 % that handbooks give, from memory');
