import { dialOf, dialWords } from './dial.js';
import { readQuantity } from './read-quantity.js';
import { fahrenheitOf, feetOf, gramsOf, inchesOf, ouncesOf, quantityKinds, type QuantityKind } from './convert.js';

/** What a baker weighs, measures and heats in. Gas marks are for ovens; whatever else is warm or cold is then in C. */
export type Units = { readonly mass: 'g' | 'oz'; readonly length: 'mm' | 'in'; readonly heat: 'C' | 'F' | 'gas' };
export const metric: Units = { mass: 'g', length: 'mm', heat: 'C' };
export const imperial: Units = { mass: 'oz', length: 'in', heat: 'F' };
/** The sets kitchens use; a gram scale beside a Fahrenheit or gas oven is as common as either system whole. */
export const unitSets: readonly Units[] = [metric, imperial, { ...imperial, mass: 'g' }, { ...metric, heat: 'gas' }];

/**
 * What is told and never typed, beside what is both: `size` in mm and `bulk` in g are lengths and masses of which a whole one is close enough,
 * `difference` of two temperatures in K, `thin` in µm, `share` 0..1 as percent, `wait` in
 * minutes as hours and minutes, `tone` 1..8, `trace` in µg/kg, `proof` in mg/kg, `density` in g/ml, `held` in g of water a gram.
 */
export const shownKinds = [
  ...quantityKinds,
  'size',
  'bulk',
  'thin',
  'share',
  'hours',
  'days',
  'wait',
  'tone',
  'trace',
  'proof',
  'density',
  'held',
  'times',
  'count',
] as const;
export type ShownKind = (typeof shownKinds)[number];

/** A number in the baker's units, with its unit. */
export type Show = (value: number, kind: ShownKind, digits?: number) => string;

type Shown = { readonly unit: string; readonly of: (value: number) => number; readonly digits: (value: number) => number };
const plain = (unit: string, digits: number): Shown => ({ unit, of: (value) => value, digits: () => digits });
const degrees: Shown = plain('°C', 1);
const fahrenheit: Shown = { unit: '°F', of: fahrenheitOf, digits: () => 0 };

function shownAs(kind: ShownKind, { mass, length, heat }: Units): Shown {
  switch (kind) {
    case 'mass':
      return mass === 'g' ? plain('g', 1) : { unit: 'oz', of: ouncesOf, digits: (oz) => (Math.abs(oz) < 10 ? 2 : 1) };
    case 'bulk':
      return mass === 'g' ? plain('g', 0) : { unit: 'oz', of: ouncesOf, digits: () => 1 };
    case 'size':
      return length === 'mm' ? plain('mm', 0) : { unit: 'in', of: inchesOf, digits: () => 2 };
    case 'length':
      return length === 'mm' ? plain('mm', 1) : { unit: 'in', of: inchesOf, digits: () => 3 };
    case 'thin':
      return length === 'mm' ? plain('µm', 0) : { unit: 'in', of: (um) => inchesOf(um / 1000), digits: () => 4 };
    case 'height':
      return length === 'mm' ? plain('m', 0) : { unit: 'ft', of: feetOf, digits: () => 0 };
    case 'temperature':
      return heat === 'F' ? fahrenheit : degrees;
    case 'oven':
      return heat === 'F' ? fahrenheit : heat === 'C' ? degrees : { unit: 'mark', of: (c) => dialOf('gas', c), digits: () => 1 };
    case 'difference':
      return heat === 'F' ? { unit: '°F', of: (k) => k * 1.8, digits: () => 1 } : plain('°C', 1);
    case 'share':
      return { unit: '%', of: (share) => share * 100, digits: () => 1 };
    case 'hours':
      return { unit: 'h', of: (min) => min / 60, digits: () => 1 };
    case 'percent':
      return plain('%', 1);
    case 'minutes':
    case 'wait':
      return plain('min', 1);
    case 'trace':
      return plain('µg/kg', 0);
    case 'proof':
      return plain('mg/kg', 1);
    case 'density':
      return plain('g/ml', 2);
    case 'held':
      return plain('g/g', 2);
    case 'days':
    case 'tone':
    case 'times':
    case 'count':
      return plain('', kind === 'tone' ? 1 : kind === 'times' ? 2 : 3);
  }
}

/**
 * The unit a kind is shown in, as `readQuantity` knows a bare number by.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * unitOf('temperature', imperial); // => '°F'
 */
export const unitOf = (kind: ShownKind, units: Units): string => shownAs(kind, units).unit;

/**
 * A value of the core as a number in the baker's unit, not rounded: for the axis of a picture.
 *
 * Units    value in the core's unit of its kind; what comes back is in the baker's.
 * Throws   nothing.
 * Findings none.
 * Source   conversions as in `convert`.
 *
 * @example
 * inUnits(100, 'temperature', imperial); // => 212
 */
export const inUnits = (value: number, kind: ShownKind, units: Units): number => shownAs(kind, units).of(value);

/**
 * A number in the baker's unit as a value of the core.
 *
 * Units    as `readQuantity`, for a bare number.
 * Throws   nothing.
 * Findings none.
 * Source   the inverse of `inUnits` for what is typed.
 *
 * @example
 * fromUnits(212, 'temperature', imperial); // => 100
 */
export function fromUnits(shown: number, kind: QuantityKind, units: Units): number {
  const read = readQuantity(String(shown), kind, unitOf(kind, units));
  return read.ok ? read.value : Number.NaN;
}

/** A value of the core in the baker's unit, without it, rounded for reading: `102`, `3.6`, `0.094`. Docs as `showQuantity`. */
export function showValue(value: number, kind: ShownKind, units: Units, digits?: number): string {
  const { of, digits: usual } = shownAs(kind, units);
  const converted = of(value);
  // A gas dial goes by halves of a mark.
  if (kind === 'oven' && units.heat === 'gas') return String(Math.round(converted * 2) / 2);
  const text = converted.toFixed(digits ?? usual(converted));
  // What a laboratory gives keeps its digits: 0.60 is not 0.6.
  return kind === 'density' || kind === 'held' ? text : trim(text);
}

/**
 * A value of the core in the baker's unit, with its unit.
 *
 * Units    value in the core's unit of its kind: g, mm, m, C, %, min, and what `ShownKind` says of the others.
 * Throws   nothing; a value that is no number is shown as one is, `NaN`.
 * Findings none.
 * Source   conversions as in `convert`; digits are what a kitchen's tools tell.
 *
 * @example
 * showQuantity(100, 'temperature', imperial); // => '212 °F'
 */
export function showQuantity(value: number, kind: ShownKind, units: Units, digits?: number): string {
  switch (kind) {
    case 'oven':
      return units.heat === 'gas' ? dialWords('gas', value) : `${showValue(value, kind, units, digits)} ${unitOf(kind, units)}`;
    case 'wait':
      return showDuration(value);
    case 'days': {
      const days = Math.floor(value);
      return `${days} ${days === 1 ? 'day' : 'days'}`;
    }
    case 'tone':
      return `tone ${value.toFixed(digits ?? 1)}`;
    case 'times':
      return `× ${value.toFixed(digits ?? 2)}`;
    case 'count':
      return showValue(value, kind, units, digits);
    default:
      return `${showValue(value, kind, units, digits)} ${unitOf(kind, units)}`;
  }
}

/**
 * How a number is said in a sentence or at the bench: fewer digits than in a field.
 *
 * Units    as `showQuantity`.
 * Throws   nothing.
 * Findings none.
 * Source   judgement: tenths of a gram below 20 g, whole degrees, whole mm from 20 mm, two digits of a trace.
 *
 * @example
 * spoken(metric)(131.4, 'mass'); // => '131 g'
 */
export const spoken =
  (units: Units): Show =>
  (value, kind, digits) => {
    if (kind === 'mass' && units.mass === 'g' && digits === undefined) return `${benchGrams(value)} g`;
    if (kind === 'trace') return showQuantity(Number(value.toPrecision(2)), kind, units);
    return showQuantity(value, kind, units, digits ?? digitsSaid(value, kind, units));
  };

/** The same without its unit, where that stands behind another number. Docs as `spoken`. */
export const spokenValue =
  (units: Units): Show =>
  (value, kind, digits) =>
    kind === 'mass' && units.mass === 'g' && digits === undefined
      ? benchGrams(value)
      : showValue(value, kind, units, digits ?? digitsSaid(value, kind, units));

function digitsSaid(value: number, kind: ShownKind, units: Units): number | undefined {
  if (kind === 'length') return units.length === 'mm' && value >= 20 ? 0 : undefined;
  return kind === 'temperature' || kind === 'oven' || kind === 'minutes' || kind === 'difference' ? 0 : undefined;
}

/** A mass as a shelf label has it: `640 g`, `3.1 kg`, `22.6 oz`, `6.8 lb`. Docs as `showQuantity`. */
export function showStock(g: number, units: Units): string {
  if (units.mass === 'oz') return g < gramsOf(32) ? showQuantity(g, 'bulk', units) : `${(ouncesOf(g) / 16).toFixed(1)} lb`;
  return g < 1000 ? showQuantity(g, 'bulk', units) : `${(g / 1000).toFixed(1)} kg`;
}

/** A mass in a column of them, digits under digits, without its unit: tenths of a gram, hundredths of an ounce. Docs as `showQuantity`. */
export const fixedMass = (g: number, units: Units): string => inUnits(g, 'mass', units).toFixed(units.mass === 'g' ? 1 : 2);

/** Grams as a bench scale is read: tenths under 20 g, whole above. */
const benchGrams = (g: number): string => (Math.abs(g) < 20 ? g.toFixed(1) : g.toFixed(0));

/**
 * `18 min`, `1 h 02`.
 *
 * Units    min.
 * Throws   nothing.
 * Findings none.
 * Source   judgement: tenths below 20 min.
 *
 * @example
 * showDuration(62); // => '1 h 02'
 */
export function showDuration(min: number): string {
  const whole = Math.round(min);
  if (whole < 60) return `${min < 20 ? trim(min.toFixed(1)) : whole} min`;
  return `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`;
}

/**
 * Inches as a ruler has them, to the nearest 1/32: `3/32`, `1 3/4`.
 *
 * Units    mm.
 * Throws   nothing.
 * Findings none.
 * Source   1 in = 25.4 mm.
 *
 * @example
 * showFraction(2.4); // => '3/32'
 */
export function showFraction(mm: number): string {
  const parts = Math.round(inchesOf(mm) * 32);
  const [whole, rest] = [Math.floor(parts / 32), parts % 32];
  if (rest === 0) return String(whole);
  const by = [16, 8, 4, 2].find((n) => rest % n === 0) ?? 1;
  return `${whole > 0 ? `${whole} ` : ''}${rest / by}/${32 / by}`;
}

const trim = (text: string) => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);
