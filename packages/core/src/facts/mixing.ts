import { table } from './fact.js';
import type { MixTool } from '../document/formula.js';

/** The sign to stop at. `mm` is how large it is, to be drawn at true size; null where it is not a size. */
export type StopSign = { readonly words: string; readonly mm: number | null };
export const stopSigns = table<Readonly<Record<string, StopSign>>>(
  {
    sand: { words: 'like sand', mm: 1 },
    crumbs: { words: 'like crumbs', mm: 3 },
    pea: { words: 'pieces like a pea', mm: 8 },
    bean: { words: 'pieces like a bean', mm: 14 },
    even: { words: 'one even colour', mm: null },
    pale: { words: 'pale, no grain of sugar left to see', mm: null },
    smooth: { words: 'smooth', mm: null },
    noDryFlour: { words: 'no dry flour at the bottom', mm: null },
    holds: { words: 'a squeezed lump holds, hairline cracks at most', mm: null },
    gel: { words: 'a gel that stands on the spoon', mm: null },
    swollen: { words: 'soft and clear all through, no hard grain', mm: null },
    froth: { words: 'a cap of foam stands on it', mm: null },
    boils: { words: 'it boils all over', mm: null },
    leavesPan: { words: 'one lump that leaves the pan, a film on its bottom', mm: null },
    noSteam: { words: 'no steam rises, and a finger bears it', mm: null },
    ribbon: { words: 'it falls from the spoon in a thick ribbon', mm: null },
    liquid: { words: 'just liquid, not hot', mm: null },
    thicker: { words: 'thicker, no longer gritty between the fingers', mm: null },
  },
  'mm',
  'commonPractice',
  'what bakers stop at; a pea is about 8 mm, a bean about 14 mm, no source',
);
export const toolRiseC = table<Readonly<Record<MixTool, number>>>(
  { hand: 2, whisk: 2, mixer: 4, processor: 7, pan: 0 },
  'K',
  'commonPractice',
  'friction warms dough by 1-2 K by hand, 3-6 K in a mixer, 5-10 K in a processor; no source',
);
export const soaking = table(
  { minutes: 10, lowMin: 5, waterPerGum: 8, waterPerSeed: 6 },
  'min, min, g/g, g/g',
  'commonPractice',
  'psyllium, flax and chia swell in part of the water for 5 to 15 min; no source',
);
export const blooming = table(
  { minutes: 8, waterPerGelatine: 5 },
  'min, g/g',
  'commonPractice',
  'gelatine swells in about five times its mass of cold water for 5 to 10 min, then melts at blood heat; dry into a hot mass it lumps; no source',
);
export const frothing = table(
  { atC: 35, minutes: 10, waterPerYeast: 4, longestMin: 15 },
  'C, min, g/g, min',
  'commonPractice',
  'fresh and active dry yeast stand in a little lukewarm liquid, 32 to 38 C, until they foam; what shows no foam in a quarter of an hour is dead; instant yeast goes in dry; no source',
);
export const restAndStand = table(
  { fullMin: 45, gritStep: 1, fineUm: 150, coarseUm: 400, warmMostMin: 240 },
  'min, grit steps, um, um, min',
  'judgement',
  'a rest of 30 to 60 min takes about one step of felt grit from particles under 150 um and none over 400 um; wet starch doughs stand warm 4 h at most (Bacillus cereus, food-safety advice from memory; local rules win)',
);
export const eggBinding = table(
  { perG: 0.02, whiteShare: 0.6, yolkShare: 0.4, whiteOfEgg: 0.67, yolkOfEgg: 0.33 },
  'g xanthan per g whole egg, once baked; shares of its binding and of its mass',
  'judgement',
  'an egg of 50 g sets like about 1 g of xanthan in the oven and binds almost nothing in the raw sheet',
);
export const leavening = table(
  { powderSodaShare: 0.28, freeSodaPercent: 0.3 },
  'share, percent of blend',
  'commonPractice',
  'free soda over 0.3 % of the blend tastes of soap and browns, no source; baking powder brings its own acid',
);
/** g of each that neutralise 1 g of soda. */
export const sodaNeutralisedBy = table<Readonly<Record<string, number>>>(
  {
    cream_of_tartar: 2.2,
    buttermilk: 120,
    yogurt: 105,
    yogurt_greek: 105,
    sour_cream: 105,
    lemon_juice: 16,
    acid_vinegar: 14,
    molasses: 67,
    honey: 420,
    cocoa: 45,
    creme_fraiche: 105,
    kefir: 120,
    lime_juice: 14,
    vinegar_wine: 12,
    vinegar_cider: 14,
    vinegar_spirit: 13,
    citric_acid: 0.76,
    tartaric_acid: 0.89,
    malic_acid: 0.8,
    lactic_acid: 1.33,
    ascorbic_acid: 2.1,
    gdl: 2.2,
    sapp: 1.39,
    mcp: 1.25,
    salp: 1,
  },
  'g per g of soda',
  'fromMemory',
  'baking handbooks and acid arithmetic (5 % citric or acetic acid; crystalline acids by their equivalents), from memory; middle of the ranges given',
);
/** Strength of yeasts, of active dry. */
export const yeastStrength = table(
  { yeast_dry: 1, yeast_instant: 1.25, yeast_fresh: 0.4 } as const,
  'g active dry yeast per g',
  'commonPractice',
  'fresh 2.5 times, instant four fifths of the weight of active dry; makers differ a little, no source',
);
/** Raw white and raw yolk that a gram of each egg stands for. */
export const eggParts = table(
  {
    egg_whole: [0.67, 0.33],
    egg_white: [1, 0],
    egg_yolk: [0, 1],
    egg_whole_past: [0.67, 0.33],
    egg_white_past: [1, 0],
    egg_yolk_past: [0.1, 0.9],
    egg_white_dry: [8, 0],
    egg_whole_dry: [2.7, 1.3],
  } as const,
  'g white, g yolk per g',
  'commonPractice',
  'two thirds of a shelled egg are white; dried egg by its solids: 12 % in white, 24 % in whole egg; no source',
);
