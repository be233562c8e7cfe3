import { fact, table } from './fact.js';

export const atmosphere = table(
  { seaPa: 101325, perM: 2.25577e-5, power: 5.25588 },
  'Pa, 1/m, -',
  'fromMemory',
  'ICAO standard atmosphere, below 11 km: p = sea (1 - perM h)^power',
);
export const underBoiling = fact(2, 'K', 'judgement', 'the middle of moist goods comes this near to the boiling point of water, not to it');
export const convectionByDensity = fact(
  0.5,
  'power',
  'fromMemory',
  'heat transfer of natural convection against the density of the air, textbook',
);
