import { fact, table } from './fact.js';

export const rightWater = table(
  { watchLow: 0.94, fixLow: 0.84, watchHigh: 1.08, fixHigh: 1.22 },
  'gets over wants',
  'judgement',
  'about one and two and a half spoons in 100 g of wanted water; moved by the kitchen own bakes later',
);
export const thirstSpread = fact(0.07, 'share of wanted water', 'judgement', 'flour lots, room air and the estimate of k together');
export const handWords = table(
  { sandy: 0.82, cracks: 0.94, rollsClean: 1.08, tacky: 1.22 },
  'upper end, gets over wants',
  'judgement',
  'where each word of the hand ends, dry to wet',
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
