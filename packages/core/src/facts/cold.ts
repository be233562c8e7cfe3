import { fact, table } from './fact.js';

export type PlaceKind = 'fridge' | 'freezer' | 'bench' | 'marble' | 'rack';

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

export type Wrap = 'none' | 'film' | 'paper' | 'lid';
export const wrapResistance = table<Record<Wrap, number>>(
  { none: 0, film: 0.004, paper: 0.012, lid: 0.04 },
  'm2 K/W',
  'judgement',
  'thin still air caught under the wrap',
);
export const shortBenchMin = fact(5, 'min', 'judgement', 'less time than this on the table asks for two halves');
export const benchHorizonMin = fact(60, 'min', 'judgement', 'how long the table is looked at after the cold');
