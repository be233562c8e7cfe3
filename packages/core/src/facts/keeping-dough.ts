import { table } from './fact.js';

export const leftOverDays = table(
  { fridge: 5, freezer: 60, otherwise: 1 },
  'd',
  'judgement',
  'raw dough wrapped, by where it lies; with raw egg the shorter of this and facts/cold rawEggDays; local rules win',
);
