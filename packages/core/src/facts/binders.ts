import { fact, table } from './fact.js';

export const xanthanReplacedBy = table(
  {
    xanthan: 1,
    guar: 1.4,
    psyllium_husk: 4,
    psyllium_powder: 3.3,
    psyllium_fine95: 3.3,
    cmc: 1.4,
    tara_gum: 2,
    citrus_fibre: 8,
    flax_meal: 20,
    chia_meal: 12,
  } as const,
  'g that do the work of 1 g xanthan in cold dough',
  'fromMemory',
  'gluten-free baking handbooks, from memory, and our estimate',
);
/** What sets in the oven and gives nothing to a cold sheet: HPMC and methylcellulose gel from 50 to 65 C, locust bean dissolves at 80 C. */
export const hotXanthanReplacedBy = table(
  { hpmc: 2, methylcellulose: 2, lbg: 5 } as const,
  'g that do the work of 1 g xanthan in the hot piece',
  'fromMemory',
  'hydrocolloid handbooks, from memory, and our estimate; cellulose ethers melt back on cooling',
);
export const gumPairs = table(
  [['xanthanGum', 'guarGum']] as const,
  'gums that are stronger together in the cold',
  'fromMemory',
  'xanthan with guar: 10 to 20 % less is needed; xanthan with locust bean too, but only once hot; hydrocolloid handbooks, from memory',
);
export const gumPairGain = fact(0.15, 'share of an even pair', 'fromMemory', 'middle of the 10 to 20 % that handbooks give, from memory');
