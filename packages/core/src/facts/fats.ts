import { fact, table } from './fact.js';
import type { SolidFatName } from '../document/pantry.js';

/** Temperature knots (C) and percent solid at each. */
export type SolidFatCurve = { readonly atC: readonly number[]; readonly solidPercent: readonly number[] };

export const solidFatCurves = table<Record<SolidFatName, SolidFatCurve>>(
  {
    butter: { atC: [-20, 0, 5, 10, 15, 20, 25, 30, 35, 38], solidPercent: [75, 62, 56, 48, 36, 20, 11, 5, 1, 0] },
    laminatingButter: { atC: [-20, 0, 5, 10, 15, 20, 25, 30, 35, 39], solidPercent: [80, 70, 64, 56, 44, 27, 15, 8, 2, 0] },
    lard: { atC: [-20, 0, 5, 10, 15, 20, 25, 30, 35, 40, 45], solidPercent: [60, 40, 35, 29, 25, 21, 15, 7, 4, 2, 0] },
    coconut: { atC: [-20, 0, 5, 10, 15, 20, 22, 24, 26, 28], solidPercent: [97, 94, 90, 80, 62, 34, 20, 8, 1, 0] },
    plantBlock: { atC: [-20, 0, 5, 10, 15, 20, 25, 30, 35, 40], solidPercent: [75, 60, 53, 46, 37, 25, 14, 7, 3, 0] },
    palmShortening: {
      atC: [-20, 0, 5, 10, 15, 20, 25, 30, 35, 40, 45, 50],
      solidPercent: [75, 60, 54, 46, 36, 26, 18, 12, 8, 5, 2, 0],
    },
    liquidOil: { atC: [-20, 0, 10], solidPercent: [5, 0, 0] },
  },
  'percent of the fat',
  'fromMemory',
  'typical pulsed-NMR curves of the trade literature, within 5 points; a supplier sheet should replace them',
);
export const fatLatentHeat = fact(110000, 'J per kg of fat that crystallises', 'fromMemory', 'milk fat and palm, 90 to 130 kJ/kg');
export const fatSettingS = fact(
  1500,
  's',
  'judgement',
  'first-order lag, so that melted butter needs about an hour in the cold (common practice)',
);
export const fatMeltingS = fact(60, 's', 'judgement', 'fat melts nearly as soon as it is warm');
export const firmnessBands = table(
  { soft: [0, 15], scoop: [15, 22], roll: [22, 38], hard: [38, 50], brittle: [50, 100] },
  'percent of the fat that is solid',
  'judgement',
  'fitted to common chilling practice; explains readiness, which is judged by the family roll window',
);
export const fatWorkBands = table(
  { pieces: [30, 75], rubbed: [20, 60], creamed: [14, 30], laminate: [26, 43], melted: [0, 5] },
  'percent of the fat that is solid when it goes in',
  'judgement',
  'tied to common practice: butter is cut in cold from the fridge, rubbed below 18 C, creamed at 17 to 21 C, folded at 12 to 18 C',
);
/** Which curve a published fat follows; where it has none of its own, its nearest kin. */
export const solidFatOf = table<Readonly<Record<string, SolidFatName>>>(
  {
    butter_unsalted: 'butter',
    butter_salted: 'butter',
    butter_82: 'butter',
    ghee: 'butter',
    butter_lam: 'laminatingButter',
    lard: 'lard',
    shortening: 'palmShortening',
    coconut_oil: 'coconut',
    block_plant: 'plantBlock',
    block_plant75: 'plantBlock',
    margarine_bake: 'plantBlock',
    margarine_stick: 'plantBlock',
    margarine_lam: 'laminatingButter',
    palm_oil: 'palmShortening',
    suet_veg_gf: 'palmShortening',
    suet_beef: 'lard',
    dripping_beef: 'lard',
    duck_fat: 'lard',
    cocoa_butter: 'palmShortening',
  },
  'curve',
  'judgement',
  'each fat by its own curve or by that of its nearest kin',
);
