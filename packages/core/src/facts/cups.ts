import { table } from './fact.js';

export const cupMl = table(
  { us: 236.588, metric: 250, japan: 200 } as const,
  'ml',
  'published',
  'US customary cup: half a US liquid pint of 473.176 ml (NIST Handbook 44, appendix C); metric 250 ml and Japanese 200 ml by national custom',
);
export const spoonsOfCup = table({ tablespoon: 16, teaspoon: 48 } as const, 'in a US cup', 'published', 'NIST Handbook 44, appendix C');
export const cupFilling = table(
  { sifted: 0.9, spooned: 1, dipped: 1.15, packed: 1.28, unknown: 1.08 } as const,
  'times the spooned mass',
  'judgement',
  'comparisons in kitchens, common practice; unknown is a mixture of 55 % spooned, 35 % dipped, 10 % packed',
);
export const cupSpread = table(
  { person: 0.06, each: 0.04, density: 0.05, unknownFilling: 0.11 } as const,
  'coefficient of variation',
  'judgement',
  'person: the same for all cups of a batch; each: from cup to cup; density: this bag against the table',
);
