import { fact, table } from './fact.js';

export const markets = ['eu', 'uk', 'us', 'canada', 'auNz', 'brazil', 'other'] as const;
export type Market = (typeof markets)[number];

/**
 * What each market's law asks of food called gluten-free: most gluten in mg/kg of the food as sold, whether a report of just that much
 * passes, and whether oats or malt may be in it at all.
 */
export type GlutenRule = {
  readonly name: string;
  readonly mostMgPerKg: number;
  /** A report of exactly the limit passes. */ readonly atLimit: boolean;
  readonly oats: boolean;
  readonly malt: boolean;
  /** Wheat starch made free of gluten may be in it. */ readonly wheatStarch: boolean;
  readonly words: string;
};
export const glutenRules = table<Readonly<Record<Market, GlutenRule>>>(
  {
    eu: { name: 'EU', mostMgPerKg: 20, atLimit: true, oats: true, malt: true, wheatStarch: true, words: 'at most 20 mg/kg as sold' },
    uk: { name: 'UK', mostMgPerKg: 20, atLimit: true, oats: true, malt: true, wheatStarch: true, words: 'at most 20 mg/kg as sold' },
    us: { name: 'US', mostMgPerKg: 20, atLimit: false, oats: true, malt: false, wheatStarch: true, words: 'below 20 mg/kg' },
    canada: { name: 'Canada', mostMgPerKg: 20, atLimit: false, oats: true, malt: false, wheatStarch: true, words: 'below 20 mg/kg' },
    auNz: {
      name: 'Australia and New Zealand',
      mostMgPerKg: 0,
      atLimit: true,
      oats: false,
      malt: false,
      wheatStarch: false,
      words: 'none that a test can find, no oats, no malt',
    },
    brazil: {
      name: 'Brazil',
      mostMgPerKg: 20,
      atLimit: true,
      oats: true,
      malt: false,
      wheatStarch: true,
      words: 'at most 20 mg/kg, and “contém” or “não contém glúten” on every label',
    },
    other: {
      name: 'elsewhere',
      mostMgPerKg: 20,
      atLimit: true,
      oats: true,
      malt: true,
      wheatStarch: true,
      words: 'at most 20 mg/kg (Codex)',
    },
  },
  'mg gluten per kg of food as sold',
  'fromMemory',
  'Reg. (EU) 828/2014 (kept in UK law), 21 CFR 101.91, Canadian Food and Drug Regulations B.24.018, FSANZ Standard 1.2.7, Brazilian Law 10.674/2003 with ANVISA practice, Codex CXS 118-1979; from memory: re-read before a label',
);
/** Before a kitchen has said where its goods are sold the strictest of all rules holds. */
export const strictestMarket: Market = 'auNz';
export const noneDetectable = fact(
  5,
  'mg/kg',
  'judgement',
  'where the law asks for none that a test can find: the limit of detection that usual R5 tests reach is 3 to 5; a report of “below 20” says too little',
);
