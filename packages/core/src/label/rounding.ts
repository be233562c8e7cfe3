import { InputError } from '../errors.js';

export type LabelRule = 'us' | 'eu';
export const labelNutrients = [
  'energyKcal',
  'fat',
  'saturatedFat',
  'carbohydrate',
  'sugars',
  'fibre',
  'protein',
  'sodiumMg',
  'salt',
] as const;
export type LabelNutrient = (typeof labelNutrients)[number];

/** From here to there a value is printed to this step; `zero` is printed 0 (or "less than"). */
type Piece = { readonly from: number; readonly to: number; readonly step: number | 'zero' };

const usGrams: readonly Piece[] = [
  { from: 0, to: 0.5, step: 'zero' },
  { from: 0.5, to: Infinity, step: 1 },
];
const usFat: readonly Piece[] = [
  { from: 0, to: 0.5, step: 'zero' },
  { from: 0.5, to: 5, step: 0.5 },
  { from: 5, to: Infinity, step: 1 },
];
const euGrams: readonly Piece[] = [
  { from: 0, to: 0.5, step: 'zero' },
  { from: 0.5, to: 10, step: 0.1 },
  { from: 10, to: Infinity, step: 1 },
];
/** Printed to the nearest step: US 21 CFR 101.9(c), a serving; EU guidance on tolerances of December 2012, per 100 g. Both from memory. */
const rules: Record<LabelRule, Partial<Record<LabelNutrient, readonly Piece[]>>> = {
  us: {
    energyKcal: [
      { from: 0, to: 5, step: 'zero' },
      { from: 5, to: 50, step: 5 },
      { from: 50, to: Infinity, step: 10 },
    ],
    fat: usFat,
    saturatedFat: usFat,
    carbohydrate: usGrams,
    sugars: usGrams,
    fibre: usGrams,
    protein: usGrams,
    sodiumMg: [
      { from: 0, to: 5, step: 'zero' },
      { from: 5, to: 140, step: 5 },
      { from: 140, to: Infinity, step: 10 },
    ],
  },
  eu: {
    energyKcal: [{ from: 0, to: Infinity, step: 1 }],
    fat: euGrams,
    carbohydrate: euGrams,
    sugars: euGrams,
    protein: euGrams,
    fibre: euGrams,
    saturatedFat: [
      { from: 0, to: 0.1, step: 'zero' },
      { from: 0.1, to: 10, step: 0.1 },
      { from: 10, to: Infinity, step: 1 },
    ],
    salt: [
      { from: 0, to: 0.0125, step: 'zero' },
      { from: 0.0125, to: 1, step: 0.01 },
      { from: 1, to: Infinity, step: 0.1 },
    ],
  },
};

/**
 * Nutrients that a rule prints.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   21 CFR 101.9(c); EU Regulation 1169/2011, Annex XV, from memory.
 *
 * @example
 * nutrientsOf('eu'); // => ['energyKcal', 'fat', 'saturatedFat', 'carbohydrate', 'sugars', 'fibre', 'protein', 'salt']
 */
export const nutrientsOf = (rule: LabelRule): LabelNutrient[] => labelNutrients.filter((nutrient) => rules[rule][nutrient] !== undefined);

/**
 * The values that a printed one may stand for; half-way values may have gone either way.
 *
 * Units    as printed: g, mg for sodium, kcal.
 * Throws   InputError at the nutrient when the rule does not print it, when the value is negative, or when the rule never prints it.
 * Findings none.
 * Source   21 CFR 101.9(c) and the EU guidance on tolerances (2012), from memory.
 *
 * @example
 * roundingInterval('us', 'fat', 2.5); // => [2.25, 2.75]
 */
export function roundingInterval(rule: LabelRule, nutrient: LabelNutrient, printed: number, lessThan = false): readonly [number, number] {
  const pieces = rules[rule][nutrient];
  if (!pieces) throw new InputError(nutrient, `is not on a ${rule === 'us' ? 'US' : 'EU'} panel`);
  if (!Number.isFinite(printed) || printed < 0) throw new InputError(nutrient, `must be a number from 0, got ${printed}`);
  if (lessThan) return [0, printed];
  const found = pieces.flatMap(({ from, to, step }): (readonly [number, number])[] => {
    if (step === 'zero') return printed === 0 ? [[from, to]] : [];
    if (Math.abs(printed / step - Math.round(printed / step)) > 1e-6) return [];
    const [lo, hi] = [Math.max(from, printed - step / 2), Math.min(to, printed + step / 2)];
    return lo <= hi ? [[lo, hi]] : [];
  });
  if (found.length === 0) throw new InputError(nutrient, `a panel never prints ${printed}: check the number and the serving`);
  return [Math.min(...found.map(([lo]) => lo)), Math.max(...found.map(([, hi]) => hi))];
}

/**
 * What a panel would print of a true value; ties go up. For tests and for labels we make up.
 *
 * Units    as the panel prints them: kcal, g, mg for sodium.
 * Throws   TypeError for a nutrient that the rule does not print.
 * Findings none.
 * Source   21 CFR 101.9(c); EU guidance on rounding of 2012, from memory.
 *
 * @example
 * printedValue('us', 'fat', 3.26); // => 3.5
 */
export function printedValue(rule: LabelRule, nutrient: LabelNutrient, value: number): number {
  const piece = rules[rule][nutrient]!.find(({ from, to }) => value >= from && value < to)!;
  if (piece.step === 'zero') return 0;
  return Number((Math.floor(value / piece.step + 0.5) * piece.step).toFixed(6));
}
