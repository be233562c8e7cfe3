import { fact, table } from './fact.js';
import type { Wrap } from '../document/formula.js';
import type { PlaceKind } from '../document/kitchen-words.js';

export const placeHeatTransfer = table<Record<PlaceKind, { readonly top: number; readonly bottom: number }>>(
  {
    fridge: { top: 7.5, bottom: 7.5 },
    freezer: { top: 9, bottom: 9 },
    bench: { top: 9, bottom: 9 },
    marble: { top: 9, bottom: 60 },
    rack: { top: 9, bottom: 9 },
  },
  'W/m2 K',
  'judgement',
  'natural convection plus about 4 to 5 of radiation; inside textbook ranges',
);
export const fanFridgeHeatTransfer = fact(14, 'W/m2 K', 'judgement', 'fan fridge, inside textbook ranges');
export const coldTrayBottomHeatTransfer = fact(14, 'W/m2 K', 'judgement', 'pre-chilled metal tray under the dough');

export const wrapResistance = table<Record<Wrap, number>>(
  { none: 0, film: 0.004, paper: 0.012, lid: 0.04 },
  'm2 K/W',
  'judgement',
  'thin still air caught under the wrap',
);
export const shortBenchMin = fact(5, 'min', 'judgement', 'less time than this on the table asks for two halves');
export const benchHorizonMin = fact(60, 'min', 'judgement', 'how long the table is looked at after the cold');
export const readyAims = table(
  {
    cubeMm: 12,
    cutC: 12,
    cutButterC: 2,
    blockMm: 50,
    sliceMm: 12,
    flourMm: 50,
    coldFlourC: 4,
    ballMm: 90,
    pieMm: 40,
    frozenC: -12,
    thawedC: 3,
  },
  'mm, C',
  'judgement',
  'usual sizes (cubes of butter warmed by cutting, a 250 g block as a round of its section and slices of it, a kilogram of flour in a bowl, dough for two shells) and what their middle is brought to',
);
export const rawEggDays = fact(
  3,
  'd',
  'judgement',
  'longest that dough with raw egg is kept cold, of the 7 days that the US food code allows at 5 C; local rules win',
);
export const coldGoodDays = fact(
  3,
  'd',
  'fromMemory',
  'cooked goods that need the cold are eaten within 3 to 4 days at 5 C (US consumer advice); the US food code allows 7 from making, marked; the shorter; local rules win',
);
export const openEggDays = fact(
  2,
  'd',
  'fromMemory',
  'opened raw egg, covered and cold: US consumer advice gives 2 to 4 days in a fridge; local rules win',
);
export const rawEggMaxC = fact(5, 'C', 'fromMemory', 'cold holding, 41 F in the US food code');
export const rawEggWarmHours = fact(2, 'h', 'fromMemory', 'longest that raw egg stands warm, consumer advice of the US food agencies');
export const hotDay = table(
  { aboveC: 32, eggHours: 1 },
  'C, h',
  'fromMemory',
  'over 32 C (90 F) raw egg stands an hour at most, consumer advice of the US food agencies',
);
