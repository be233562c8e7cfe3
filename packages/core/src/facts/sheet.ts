import { fact, table } from './fact.js';

export const cutterWebMm = fact(2, 'mm', 'commonPractice', 'dough left between two cutter marks so that neither tears; no source');
export const nearCutterShare = fact(0.25, 'share of the size', 'judgement', 'a cutter that differs by more makes another piece');
export const rerollDustShare = fact(
  0.015,
  'share of the scraps',
  'judgement',
  'dusting flour that scraps take up each time they are rolled, 1 to 2 %',
);
export const traySideMm = fact(10, 'mm', 'commonPractice', 'bare edge of a tray, where air and metal are hottest; no source');
export const raisedGapMm = fact(
  25,
  'mm',
  'judgement',
  'between proved pieces on a tray: they grow sideways in the oven, and stuck together their sides stay pale',
);
export const batterFill = table(
  { aim: 0.75, watch: 0.85, over: 1, under: 0.4 },
  'share of the depth',
  'commonPractice',
  'cups and tins are filled two thirds to three quarters with a batter that rises; over the rim it runs; no source',
);
export const shelvesEvenK = fact(8, 'K', 'judgement', 'shelves that differ by more bake two trays unlike');
export const proofGrowth = table(
  { ratio: 1.5, fromC: 20, fromMin: 30 },
  'volume over volume before; C; min',
  'commonPractice',
  'proved not to double, a bit puffed; cold or short waits do not prove; no source',
);
export const twoThirdsSplit = fact(2 / 3, 'share of the dough', 'commonPractice', 'two thirds for the base, one for the lid; no source');
export const dockRim = table(
  { pitchShare: 0.25, mostMm: 3 },
  'share of the pitch, mm',
  'judgement',
  'nearer to the rim than this a prick hole tears it: a share of the pitch, and never more than some millimetres',
);
/** Of a lattice, where nobody said. */
export const latticeStrips = table({ stripMm: 15, gapMm: 15 }, 'mm', 'commonPractice', 'strips and gaps as wide as each other; no source');
export const pieRim = table(
  { overhangMm: 12, stripOverlapMm: 10, stripMm: 20, gapMm: 15, longestStripMm: 400 },
  'mm',
  'commonPractice',
  'dough that hangs over, lap of a side strip, width and gap of a lattice, the longest strip a hand lifts; no source',
);
