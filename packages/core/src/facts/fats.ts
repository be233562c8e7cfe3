import { fact, table } from './fact.js';

/** Temperature knots (C) and percent solid at each. */
export type SolidFatCurve = { readonly atC: readonly number[]; readonly solidPercent: readonly number[] };
export type SolidFatName = 'butter' | 'palmShortening' | 'liquidOil';

export const solidFatCurves = table<Record<SolidFatName, SolidFatCurve>>(
  {
    butter: { atC: [-20, 0, 5, 10, 15, 20, 25, 30, 35, 38], solidPercent: [75, 62, 56, 48, 36, 20, 11, 5, 1, 0] },
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
