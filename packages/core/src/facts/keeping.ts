import { fact, table } from './fact.js';
import type { Pack } from '../document/formula.js';

export const crispLoss = table(
  { halfAw: 0.45, width: 0.05 },
  'water activity',
  'fromMemory',
  'Fermi-type loss of crispness, Peleg 1994; critical 0.35-0.50 for crackers and snacks, Katz & Labuza 1981',
);
export const mouldFromAw = fact(0.65, 'water activity', 'fromMemory', 'most moulds stop near 0.70 to 0.65');
export const microbesFromAw = fact(
  0.85,
  'water activity',
  'fromMemory',
  'limit of growth and toxin of Staphylococcus aureus used by food codes; a safe design value',
);

export const heatedAndPackedAw = fact(
  0.92,
  'water activity',
  'fromMemory',
  'food that was heated and then packed needs no cold up to here, US food code table A; from memory, local rules win',
);
export const coolingLimits = table(
  { fromC: 57, throughC: 21, throughMin: 120, toC: 5, inAllMin: 360 },
  'C, min',
  'fromMemory',
  'cooked food that needs the cold: 57 to 21 C in 2 h, to 5 C in 6 h in all, US food code 3-501.14; from memory, local rules win',
);
export const thickToppingShare = fact(
  0.15,
  'share of the dough',
  'judgement',
  'a topping lighter than this bakes dry with what it lies on',
);

export const packPermeance = table<Record<Exclude<Pack, 'openTray'>, number>>(
  { paperBag: 8.1e-10, looseTin: 8e-11, tightTin: 8e-12, sealedPouch: 1.4e-12 },
  'kg/s Pa, whole package',
  'judgement',
  'heat-sealed LDPE 50 um, 0.1 m2, from handbook permeability (memory); tins and paper are guesses to be replaced by a weighed tin',
);
export const packShelterAir = fact(0.006, 'm of still air', 'judgement', 'layer over pieces on an open tray');
export const vapourInAir = fact(1.95e-10, 'kg/m s Pa', 'fromMemory', 'water vapour diffusing through air near 20 C');
export const moistureDiffusivity = fact(1.5e-10, 'm2/s', 'judgement', 'water in a dry baked piece');
export const keepHorizonDays = fact(365, 'd', 'judgement', 'beyond a year nothing is promised');
export const crispHorizonDays = fact(
  90,
  'd',
  'judgement',
  'beyond three months whole flour and fat taste stale before the snap is gone: nothing is promised',
);
export const packBelowC = fact(28, 'C', 'commonPractice', 'pack once the middle is near room temperature; no source');
export const mouldFree = table(
  { at21: [7.91, 0.081], at27: [6.42, 0.0647], margin: 0.5 },
  'log10 days at 0 and a percent of relative humidity; share',
  'fromMemory',
  'mould-free life of unpreserved baked goods against equilibrium relative humidity, Cauvain & Seiler 1992 (cakes, from memory); half of it is offered, judgement',
);
export const fridgeC = fact(5, 'C', 'fromMemory', 'most that cold food is kept at, 41 F in the US food code; local rules win');
export const outOfColdHours = fact(4, 'h', 'fromMemory', 'most that food needing cold stands warm, US food code; local rules win');
export const frozenThroughC = fact(-12, 'C', 'judgement', 'middle of a piece that counts as frozen');
export const thawedC = fact(10, 'C', 'judgement', 'middle of a piece that counts as thawed');
export const bringBackC = fact(140, 'C', 'commonPractice', 'a low oven brings crispness back without more colour; no source');
export const packSpread = fact(0.4, 'share of the days', 'judgement', 'how far a real pack strays from its class');
export const warmRestMin = fact(
  10,
  'min',
  'commonPractice',
  'a quick bread or biscuit stands so long before it is broken, or it falls apart; no source',
);
