import { fact, table } from './fact.js';
import type { HandWord } from '../document/bake.js';
import type { Handling } from '../document/handling.js';

export const rightWater = table(
  { watchLow: 0.94, fixLow: 0.84, watchHigh: 1.08, fixHigh: 1.22 },
  'gets over wants',
  'judgement',
  'about one and two and a half spoons in 100 g of wanted water; moved by the kitchen own bakes later',
);
export const thirstSpread = fact(0.07, 'share of wanted water', 'judgement', 'flour lots, room air and the estimate of k together');
export const waterSpread = table(
  { thirst: 0.06, moisture: 0.01, moistureMeasured: 0.003, egg: 0.05, cup: 0.09, feel: 0.04, lapse: 0.03 },
  'one standard deviation: share of wanted water, share of the flour twice, share of the egg, share of a cup, share of wanted water; share of words that are slips',
  'judgement',
  'how far each thing strays that a dough’s water hangs on; a blend that was felt, a weighed egg and a measured lot each take their part away',
);
export const flourIsotherm = table(
  { m0: 0.078, c: 15, k: 0.77, openShare: 0.5 },
  'kg water per kg dry; share of the way to the room’s air',
  'fromMemory',
  'GAB of cereal flour near 25 C, typical of published fits, from memory; an open bag reaches half way in days (judgement)',
);
export const handWords = table(
  { sandy: 0.82, cracks: 0.94, rollsClean: 1.08, tacky: 1.22 },
  'upper end, gets over wants',
  'judgement',
  'where each word of the hand ends, dry to wet',
);
export const rightWordsOfHandling = table<Readonly<Record<Handling, readonly HandWord[]>>>(
  {
    rolled: ['rollsClean'],
    laminated: ['rollsClean'],
    sliced: ['rollsClean'],
    patted: ['rollsClean', 'tacky'],
    byHand: ['rollsClean', 'tacky'],
    pressedIn: ['cracks', 'rollsClean', 'tacky'],
    dropped: ['tacky', 'sticks'],
    piped: ['tacky', 'sticks'],
    spread: ['sticks'],
    poured: ['tacky'],
  },
  'words of the hand',
  'commonPractice',
  'a rolled dough leaves the palm clean; scooped dough may be tacky, pressed crumbs only hold when squeezed, drop doughs and batters stick and must; no source',
);
export const handShift = table<Readonly<Record<Handling, number>>>(
  { rolled: 0, laminated: 0, sliced: 0, patted: 0, byHand: 0, pressedIn: 0, dropped: 1, piped: 1, spread: 2, poured: 1 },
  'words wetter',
  'judgement',
  'a dough that gets just what it wants is, where it is dropped, one word wetter in the hand than one that is rolled; where it is spread, two; batter has words of its own, its right one next to the wettest',
);
export const spoonWaterG = fact(15, 'g', 'commonPractice', 'one spoon of water; no source');
export const holdBackShare = fact(0.2, 'share of poured water', 'commonPractice', 'pour 80 %, hold 20 % back in spoons; no source');
export const doughDensity = fact(1.2, 'g/ml', 'judgement', 'raw pastry dough, 1.1 to 1.3; a weighed piece replaces it');
export const binderRatioRange = table(
  { low: 0.6, high: 1.2 },
  'sum of dose over target',
  'commonPractice',
  'mixed gums, gluten-free baking handbooks and practice, from memory',
);
export const gritLimit = fact(
  1.2,
  'share x grit',
  'judgement',
  'sum over the blend of share times grit, grit 0 to 3 as panel-style estimates',
);
export const singleStarchLimit = fact(0.3, 'share of blend', 'commonPractice', 'none over 30 %; no source');
export const flourMoistureBasis = fact(0.12, 'share', 'commonPractice', 'moisture that bakers percent and windows assume; no source');
export const salmonellaNote = fact(71, 'C', 'fromMemory', 'USDA consumer advice for egg dishes (160 F); local rules win');
export const glutenLimitMgPerKg = fact(20, 'mg/kg', 'published', 'Codex CXS 118-1979; the kitchen own limit may be stricter');
export const bendIndexRange = table(
  { low: 0.8, high: 2.2 },
  'index',
  'judgement',
  'gum over its target plus sticky starch over 20 %; below it tears, above it is gummy',
);
export const tableMin = fact(10, 'min', 'judgement', 'from the cold to the oven: rolling and cutting');
export const trayGapMm = fact(6, 'mm', 'commonPractice', 'between pieces on a tray; no source');
export const sheetProportion = fact(2.2, 'longest over shortest side', 'judgement', 'a longer sheet rolls unevenly');
export const scrapLimit = fact(0.15, 'share of the dough', 'judgement', 'more than this left over is worth a word');
export const thicknessFix = table(
  { low: 0.6, high: 1.6 },
  'of the family window end',
  'judgement',
  'beyond this a thickness is no longer a cracker',
);
export const stickyStarchFull = fact(
  0.2,
  'share of blend',
  'judgement',
  'sticky starch that counts as much as the whole gum target in the roll-out index',
);
export const saltPerSodium = fact(2.54, 'g salt per g sodium', 'published', 'IUPAC molar masses: 58.44 g NaCl over 22.99 g Na');
export const pieceOverSheet = fact(2.5, 'fat piece over sheet', 'commonPractice', 'larger pieces leave holes when they melt; no source');
export const ammoniaMostMm = fact(
  8,
  'mm',
  'commonPractice',
  'ammonium bicarbonate is for thin dry goods, its gas stays in thick ones; no source',
);
export const scaleSteps = fact(5, 'steps of the scale', 'judgement', 'under five steps a reading is more than a tenth out');
export const syrupLimit = fact(0.4, 'share of the sugars', 'commonPractice', 'over 40 % of the sugar as syrup loses crispness; no source');
export const coumarinFrom = fact(
  0.015,
  'share of the dough that is cassia cinnamon',
  'fromMemory',
  'Reg. (EC) 1334/2008: 50 mg/kg coumarin in traditional and seasonal bakery ware named for its cinnamon, 15 in other fine bakery ware; cassia holds about 3 g/kg; from memory, ceylon cinnamon holds almost none',
);
