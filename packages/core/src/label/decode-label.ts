import { InputError, within } from '../errors.js';
import { normalFrom, seeded } from '../math/seeded.js';
import { roundingInterval } from './rounding.js';
import type { LinearColumn, LinearEngine, LinearModel, LinearRow } from '../math/linear-model.js';
import type { LabelNutrient, LabelRule } from './rounding.js';

export type LabelItem = {
  readonly id: string;
  /** What 100 g of it would show. */ readonly per100G: Readonly<Partial<Record<LabelNutrient, number>>>;
  /** Most a blend sensibly holds of it. */ readonly cap: number;
  /** Printed with its percent, 0..1. */ readonly declaredShare?: number;
  /** Behind the words "contains 2 % or less of". */ readonly inTail?: true;
};
export type LabelPanelRow = { readonly nutrient: LabelNutrient; readonly printed: number; readonly lessThan?: true };
export type Label = {
  /** In printed order: most first. */ readonly items: readonly LabelItem[];
  readonly panel: readonly LabelPanelRow[];
  readonly rule: LabelRule;
  /** What the panel is about: the serving, or 100 g. */ readonly basisG: number;
  /** How far each item's composition may be from the table, as a share of it. */ readonly tolerance: number;
};
export type LabelReading =
  | {
      readonly status: 'read';
      /** Least and most that any blend on this label can hold, in item order. */ readonly ranges: readonly (readonly [number, number])[];
      readonly estimate: readonly number[];
      /** One standard deviation of each. */ readonly sd: readonly number[];
      readonly band90: readonly (readonly [number, number])[];
      readonly tolerance: number;
      /** Blends that fit the label, drawn evenly. */ readonly samples: readonly (readonly number[])[];
    }
  | { readonly status: 'doesNotFit'; readonly off: readonly { readonly nutrient: LabelNutrient; readonly per100G: number }[] };

const DRAWS = 4000;
const BURN_IN = 500;
const KEPT = 400;
/** Declared percents are whole numbers: within half a point. */
const DECLARED_SHARE = 0.005;
const TAIL_SHARE = 0.02;

/**
 * What a boxed blend is likely made of, from its ingredient list and nutrition panel.
 *
 * All blends that fit the printed order, the caps, the declared percents and the rounded panel form a polytope; ranges are its ends,
 * the estimate the mean of blends drawn evenly from it.
 *
 * Units    shares 0..1; panel in its printed units per `basisG`.
 * Throws   InputError at items when there is none, at basisG out of 1..1000, at tolerance out of 0..1, at panel[i] as roundingInterval does.
 * Findings none.
 * Source   order and the 2 % tail: 21 CFR 101.4(a), Reg. (EU) 1169/2011 Annex VII, from memory; composition within a tolerance: Oettli & Prager 1964;
 *          hit-and-run sampling: Smith 1984. Use caps are judgement.
 */
export function decodeLabel(label: Label, engine: LinearEngine, seed = 1): LabelReading {
  const rows = rowsOf(label);
  const n = label.items.length;
  const columns = label.items.map(({ id, cap, inTail }): LinearColumn => ({
    name: id,
    cost: 0,
    lo: 0,
    hi: inTail ? Math.min(cap, TAIL_SHARE) : cap,
  }));
  const centre = centreOf(columns, rows, engine);
  if (!centre) return { status: 'doesNotFit', off: whatIsOff(label, columns, rows, engine) };
  const ends = columns.map((_, i) => endsOf(columns, rows, i, engine));
  const ranges = ends.map(([least, most], i) => [least[i]!, most[i]!] as const);
  const draws = centre.radius < 1e-7 ? [centre.at] : hitAndRun(columns, rows, centre.at, ends.flat(), seed);
  const estimate = columns.map((_, i) => draws.reduce((sum, draw) => sum + draw[i]!, 0) / draws.length);
  const every = Math.max(1, Math.floor(draws.length / KEPT));
  return {
    status: 'read',
    ranges,
    estimate,
    sd: estimate.map((mean, i) => Math.sqrt(draws.reduce((sum, draw) => sum + (draw[i]! - mean) ** 2, 0) / draws.length)),
    band90: Array.from({ length: n }, (_, i) => {
      const sorted = draws.map((draw) => draw[i]!).sort((a, b) => a - b);
      return [sorted[Math.floor(0.05 * (sorted.length - 1))]!, sorted[Math.ceil(0.95 * (sorted.length - 1))]!] as const;
    }),
    tolerance: label.tolerance,
    samples: draws.filter((_, i) => i % every === 0),
  };
}

/**
 * Reads a label at the tolerance given; where nothing fits, at 20 and then 30 %, and says which it took.
 *
 * Units, Throws, Findings, Source as decodeLabel; the steps are judgement.
 */
export function decodeLabelLoosely(label: Label, engine: LinearEngine, seed = 1): LabelReading {
  let reading = decodeLabel(label, engine, seed);
  for (const tolerance of [0.2, 0.3]) {
    if (reading.status === 'read' || tolerance <= label.tolerance) continue;
    reading = decodeLabel({ ...label, tolerance }, engine, seed);
  }
  return reading.status === 'read' ? reading : decodeLabel(label, engine, seed);
}

/** Everything the label says, as rows over the shares. */
function rowsOf({ items, panel, rule, basisG, tolerance }: Label): LinearRow[] {
  if (items.length === 0) throw new InputError('items', 'a label names at least one ingredient');
  within('basisG', basisG, 1, 1000, 'g');
  within('tolerance', tolerance, 0, 1, '(share)');
  const rows: LinearRow[] = [{ name: 'whole', lo: 1, hi: 1, terms: items.map((_, i) => [i, 1] as const) }];
  const ordered = items.map((item, i) => ({ item, i })).filter(({ item }) => !item.inTail);
  ordered.slice(1).forEach(({ i }, k) => rows.push({ name: `order ${i}`, lo: 0, hi: Infinity, terms: [[ordered[k]!.i, 1], [i, -1]] })); // prettier-ignore
  items.forEach(({ declaredShare }, i) => {
    if (declaredShare === undefined) return;
    rows.push({ name: `declared ${i}`, lo: declaredShare - DECLARED_SHARE, hi: declaredShare + DECLARED_SHARE, terms: [[i, 1]] });
  });
  panel.forEach(({ nutrient, printed, lessThan }, p) => {
    let interval: readonly [number, number];
    try {
      interval = roundingInterval(rule, nutrient, printed, lessThan);
    } catch (error) {
      throw error instanceof InputError ? new InputError(`panel[${p}].printed`, error.message) : error;
    }
    const [lo, hi] = interval.map((value) => (value * 100) / basisG) as [number, number];
    const terms = (factor: number) => items.map(({ per100G }, i) => [i, (per100G[nutrient] ?? 0) * factor] as const);
    rows.push({ name: `${nutrient} to`, lo: -Infinity, hi, terms: terms(1 - tolerance) });
    rows.push({ name: `${nutrient} from`, lo, hi: Infinity, terms: terms(1 + tolerance) });
  });
  return rows;
}

/** The middle of the largest ball inside, measured within the plane where shares sum to 1. */
function centreOf(
  columns: readonly LinearColumn[],
  rows: readonly LinearRow[],
  engine: LinearEngine,
): { at: number[]; radius: number } | null {
  const n = columns.length;
  const inPlane = (terms: LinearRow['terms']) => {
    const mean = terms.reduce((sum, [, factor]) => sum + factor, 0) / n;
    const seen = new Map(terms);
    return Math.sqrt(columns.reduce((sum, _, i) => sum + ((seen.get(i) ?? 0) - mean) ** 2, 0));
  };
  const shrunk = rows.flatMap((row): LinearRow[] => {
    if (row.lo === row.hi) return [row];
    const norm = inPlane(row.terms);
    return [
      ...(Number.isFinite(row.hi) ? [{ ...row, lo: -Infinity, terms: [...row.terms, [n, norm] as const] }] : []),
      ...(Number.isFinite(row.lo) ? [{ ...row, hi: Infinity, terms: [...row.terms, [n, -norm] as const] }] : []),
    ];
  });
  const edge = Math.sqrt(1 - 1 / n);
  const bounds = columns.flatMap(({ lo, hi }, i): LinearRow[] => [
    { name: `low ${i}`, lo, hi: Infinity, terms: [[i, 1], [n, -edge]] }, // prettier-ignore
    { name: `high ${i}`, lo: -Infinity, hi, terms: [[i, 1], [n, edge]] }, // prettier-ignore
  ]);
  const model: LinearModel = {
    columns: [...columns, { name: 'radius', cost: -1, lo: 0, hi: 1 }],
    rows: [...shrunk, ...bounds],
  };
  const answer = engine(model);
  return answer.status === 'optimal' ? { at: answer.values.slice(0, n), radius: answer.values[n]! } : null;
}

/** The blends that hold least and most of one ingredient. */
function endsOf(
  columns: readonly LinearColumn[],
  rows: readonly LinearRow[],
  which: number,
  engine: LinearEngine,
): readonly [readonly number[], readonly number[]] {
  const end = (sign: 1 | -1) => {
    const answer = engine({ columns: columns.map((column, i) => (i === which ? { ...column, cost: sign } : column)), rows });
    return answer.status === 'optimal' ? answer.values : columns.map(() => NaN);
  };
  return [end(1), end(-1)];
}

/**
 * Steps in random directions of the plane, each to a place drawn evenly between the walls it would meet. Every other direction joins
 * corners of the polytope: where it is long and thin, directions drawn evenly would hardly move along it.
 */
function hitAndRun(
  columns: readonly LinearColumn[],
  rows: readonly LinearRow[],
  from: readonly number[],
  corners: readonly (readonly number[])[],
  seed: number,
): number[][] {
  const n = columns.length;
  const next = seeded(seed);
  const walls = [
    ...rows.filter(({ lo, hi }) => lo !== hi).map(({ lo, hi, terms }) => ({ lo, hi, of: vectorOf(terms, n) })),
    ...columns.map(({ lo, hi }, i) => ({ lo, hi, of: vectorOf([[i, 1]], n) })),
  ];
  const middle = columns.map((_, i) => corners.reduce((sum, corner) => sum + corner[i]!, 0) / corners.length);
  const widths = columns.map((_, i) => Math.max(...corners.map((corner) => corner[i]!)) - Math.min(...corners.map((corner) => corner[i]!)));
  const totalWidth = widths.reduce((sum, width) => sum + width, 0);
  const alongCorners = () => {
    const along = columns.map(() => 0);
    for (const corner of corners) {
      const weight = normalFrom(next);
      for (let i = 0; i < n; i++) along[i]! += weight * (corner[i]! - middle[i]!);
    }
    return along;
  };
  const alongWidths = () => {
    const along = widths.map((width) => normalFrom(next) * width);
    const sum = along.reduce((total, value) => total + value, 0);
    return along.map((value, i) => value - (sum * widths[i]!) / totalWidth);
  };
  let at = [...from];
  const draws: number[][] = [];
  for (let k = 0; k < DRAWS; k++) {
    const along = k % 2 === 0 ? alongCorners() : alongWidths();
    let [back, ahead] = [-Infinity, Infinity];
    for (const { lo, hi, of } of walls) {
      let speed = 0;
      let here = 0;
      for (let i = 0; i < n; i++) {
        speed += of[i]! * along[i]!;
        here += of[i]! * at[i]!;
      }
      if (Math.abs(speed) < 1e-14) continue;
      const [a, b] = [(lo - here) / speed, (hi - here) / speed];
      back = Math.max(back, Math.min(a, b));
      ahead = Math.min(ahead, Math.max(a, b));
    }
    if (ahead > back && Number.isFinite(ahead - back)) {
      const step = back + next() * (ahead - back);
      at = at.map((value, i) => value + step * along[i]!);
    }
    if (k >= BURN_IN) draws.push(at);
  }
  return draws;
}

const vectorOf = (terms: LinearRow['terms'], n: number): number[] => {
  const vector = Array.from({ length: n }, () => 0);
  for (const [i, factor] of terms) vector[i]! += factor;
  return vector;
};

/** The least that the panel would have to change by, nutrient by nutrient, for anything to fit: positive where it prints more than any can give. */
function whatIsOff(label: Label, columns: readonly LinearColumn[], rows: readonly LinearRow[], engine: LinearEngine) {
  const slacks: { readonly nutrient: LabelNutrient; readonly sign: 1 | -1; readonly column: LinearColumn }[] = [];
  const loose = rows.map((row) => {
    const [name, side] = row.name.split(' ');
    const printed = label.panel.find(({ nutrient }) => nutrient === name);
    if (!printed) return row;
    const scale = Math.max(1, Math.abs(Number.isFinite(row.hi) ? row.hi : row.lo));
    const sign = side === 'to' ? -1 : 1;
    slacks.push({ nutrient: printed.nutrient, sign, column: { name: `gives ${row.name}`, cost: 1 / scale, lo: 0, hi: Infinity } });
    return { ...row, terms: [...row.terms, [columns.length + slacks.length - 1, sign] as const] };
  });
  const answer = engine({ columns: [...columns, ...slacks.map(({ column }) => column)], rows: loose });
  if (answer.status !== 'optimal') return [];
  return slacks
    .map(({ nutrient, sign }, i) => ({ nutrient, per100G: sign * answer.values[columns.length + i]! }))
    .filter(({ per100G }) => Math.abs(per100G) > 1e-6);
}
