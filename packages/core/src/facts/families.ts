import type { Basis } from './fact.js';

/** Lowest, aimed at, highest. */
export type Window = readonly [low: number, target: number, high: number];

/**
 * What a family of products needs: the windows its findings judge by. Percent is grams per 100 g of blend.
 * `waterPercent` counts all water but the flours' own, after the gum term is taken off; `fatPercent` counts all fat, the flours' own too.
 */
export type Family = {
  readonly id: string;
  readonly name: string;
  readonly kind: 'cracker' | 'nutCracker';
  readonly fatPercent: Window;
  readonly waterPercent: Window;
  readonly sugarPercent: Window;
  readonly eggPercent: Window;
  readonly saltPercent: Window;
  readonly leavenerPercent: Window;
  /** Window of each gum when it is alone; several are summed as dose over target. */
  readonly gumPercent: Readonly<Record<string, Window>>;
  readonly proteinTypePercent: Window;
  readonly starchPercent: Window;
  /** Grams of water a gram of blend takes, over its cold water hold (k of the water rule). */
  readonly waterFactor: number;
  readonly doughMaxC: number;
  readonly rollC: Window;
  readonly chillMin: Window;
  readonly thicknessMm: Window;
  readonly ovenC: Window;
  readonly bakeMin: Window;
  readonly dockPitchMm: Window;
  readonly lightness: Window;
  readonly finalMoisturePercent: Window;
  readonly finalAw: Window;
  /** Middle of the family's zone on the Outlook, 0 to 10. */
  readonly zone: { readonly crisp: number; readonly tender: number; readonly halfWidth: number };
  readonly basis: Basis;
  readonly source: string;
};

const crackerSavoury: Family = {
  id: 'cracker_savoury',
  name: 'Savoury starch or seed cracker',
  kind: 'cracker',
  fatPercent: [10, 18, 36],
  waterPercent: [35, 48, 65],
  sugarPercent: [0, 2, 6],
  eggPercent: [0, 5, 15],
  saltPercent: [1.2, 1.8, 2.5],
  leavenerPercent: [0, 1.5, 3],
  gumPercent: {
    xanthan: [0.3, 0.8, 1.5],
    guar: [0.5, 1, 2],
    psyllium_husk: [1, 3, 5],
    psyllium_powder: [1, 3, 5],
    hpmc: [0, 0.3, 1],
    flax_meal: [0, 5, 15],
  },
  proteinTypePercent: [50, 68, 85],
  starchPercent: [15, 32, 50],
  waterFactor: 0.62,
  doughMaxC: 25,
  rollC: [14, 18, 22],
  chillMin: [15, 30, 60],
  thicknessMm: [1, 1.5, 2.5],
  ovenC: [170, 185, 210],
  bakeMin: [10, 15, 22],
  dockPitchMm: [8, 12, 18],
  lightness: [58, 65, 71],
  finalMoisturePercent: [1.5, 2.5, 4],
  finalAw: [0.1, 0.25, 0.38],
  zone: { crisp: 8.5, tender: 5, halfWidth: 1 },
  basis: 'fromMemory',
  source:
    'bakery textbooks (biscuit, cookie and pastry technology handbooks), from memory; water factor, leavener from 0 and Outlook zone are our judgement',
};

export const families: Readonly<Record<string, Family>> = { cracker_savoury: crackerSavoury };
