import { InputError } from '../../errors.js';
import type { BlendSpec, BlendWish } from './blend-spec.js';
import type { LinearColumn, LinearModel, LinearRow } from '../../math/linear-model.js';

/** One side of a hard wish or of a group, as the baker would name it: 'protein.lo', 'gums.hi'. */
export type Limit = {
  readonly name: string;
  readonly key: string;
  readonly side: 'lo' | 'hi';
  readonly value: number;
  readonly step: number;
};

export type BlendModel = {
  readonly model: LinearModel;
  /** Column of an item's share. */ readonly shareOf: ReadonlyMap<string, number>;
  readonly usedOf: ReadonlyMap<string, number>;
  readonly missOf: ReadonlyMap<string, readonly number[]>;
  readonly slackOf: ReadonlyMap<string, number>;
};

/**
 * A blend's wishes as a mixed-integer model: shares summing to 1, each between its least and most when used, at most so many used.
 *
 * Units    shares 0..1; cost is weighted steps missed.
 * Throws   InputError at items when there is none.
 * Findings none.
 * Source   goal programming with normed deviations; `elastic` limits get a slack that is all the cost there is.
 */
export function blendModel(
  spec: BlendSpec,
  options: { readonly elastic?: ReadonlySet<string>; readonly without?: ReadonlySet<string>; readonly wishes?: boolean } = {},
): BlendModel {
  const { elastic, without = new Set<string>(), wishes = elastic === undefined } = options;
  if (spec.items.length === 0) throw new InputError('items', 'nothing is left to blend: allow more ingredients');
  const columns: LinearColumn[] = [];
  const rows: LinearRow[] = [];
  const add = (column: LinearColumn) => columns.push(column) - 1;
  const shareOf = new Map<string, number>();
  const usedOf = new Map<string, number>();
  const missOf = new Map<string, readonly number[]>();
  const slackOf = new Map<string, number>();
  const counted = new Set(spec.counted ?? spec.items.map(({ id }) => id));
  const tie = (brings: Readonly<Record<string, number>>) => (wishes && spec.tie ? spec.tie.cost * (brings[spec.tie.key] ?? 0) : 0);

  for (const { id, brings, lo, hi, must } of spec.items) {
    const share = add({ name: `share ${id}`, cost: tie(brings), lo: must ? lo : 0, hi });
    shareOf.set(id, share);
    const cut = spec.not?.some((ids) => ids.includes(id)) ?? false;
    if (must || (lo <= 0 && (spec.most >= counted.size || !counted.has(id)) && !cut)) continue;
    const used = add({ name: `used ${id}`, cost: 0, lo: 0, hi: 1, integer: true });
    usedOf.set(id, used);
    rows.push({ name: `most ${id}`, lo: -Infinity, hi: 0, terms: [[share, 1], [used, -hi]] }); // prettier-ignore
    if (lo > 0) rows.push({ name: `least ${id}`, lo: 0, hi: Infinity, terms: [[share, 1], [used, -lo]] }); // prettier-ignore
  }
  rows.push({ name: 'whole', lo: 1, hi: 1, terms: [...shareOf.values()].map((column) => [column, 1] as const) });
  const forced = spec.items.filter(({ id, must }) => must && counted.has(id)).length;
  if (spec.most < counted.size) {
    const terms = [...usedOf].flatMap(([id, column]) => (counted.has(id) ? [[column, 1] as const] : []));
    rows.push({ name: 'number', lo: -Infinity, hi: spec.most - forced, terms });
  }
  for (const [i, ids] of (spec.not ?? []).entries()) {
    const terms = ids.flatMap((id) => (usedOf.has(id) ? [[usedOf.get(id)!, 1] as const] : []));
    if (terms.length > 0) rows.push({ name: `not ${i}`, lo: -Infinity, hi: terms.length - 1, terms });
  }

  // What is taken out of the present blend; what is put in weighs the same, so it need not be counted.
  for (const [id, share] of Object.entries(wishes ? (spec.near?.shares ?? {}) : {})) {
    const column = shareOf.get(id);
    if (column === undefined || share <= 0) continue;
    const taken = add({ name: `taken ${id}`, cost: spec.near!.cost, lo: 0, hi: Infinity });
    rows.push({ name: `near ${id}`, lo: share, hi: Infinity, terms: [[column, 1], [taken, 1]] }); // prettier-ignore
  }

  /** A row of one limit, with its slack where it may give. */
  const limit = (name: string, lo: number, hi: number, terms: readonly (readonly [number, number])[], step: number) => {
    for (const side of ['lo', 'hi'] as const) {
      const at = side === 'lo' ? lo : hi;
      const of = `${name}.${side}`;
      if (!Number.isFinite(at) || without.has(of)) continue;
      const gives: (readonly [number, number])[] = [];
      if (elastic?.has(of)) {
        const slack = add({ name: `gives ${of}`, cost: 1 / step, lo: 0, hi: Infinity });
        slackOf.set(of, slack);
        gives.push([slack, side === 'lo' ? 1 : -1]);
      }
      rows.push({ name: of, lo: side === 'lo' ? at : -Infinity, hi: side === 'hi' ? at : Infinity, terms: [...terms, ...gives] });
    }
  };
  const brought = (key: string) => spec.items.flatMap(({ id, brings }) => (brings[key] ? [[shareOf.get(id)!, brings[key]!] as const] : []));

  for (const { name, ids, factor, lo, hi } of spec.groups) {
    const terms = ids.flatMap((id) => (shareOf.has(id) ? [[shareOf.get(id)!, factor?.[id] ?? 1] as const] : []));
    limit(name, lo, hi, terms, Math.max(0.01, Math.abs(hi - lo) / 10 || 0.01));
  }
  for (const wish of spec.wishes) {
    const { key, lo = -Infinity, hi = Infinity, hard, step, weight } = wish;
    if (hard) limit(key, lo, hi, brought(key), step);
    else if (wishes) {
      const miss = add({ name: `short ${key}`, cost: weight / step, lo: 0, hi: Infinity });
      const past = add({ name: `past ${key}`, cost: weight / step, lo: 0, hi: Infinity });
      missOf.set(keyOf(wish, spec.wishes), [miss, past]);
      if (Number.isFinite(lo)) rows.push({ name: `${key} from`, lo, hi: Infinity, terms: [...brought(key), [miss, 1]] });
      if (Number.isFinite(hi)) rows.push({ name: `${key} to`, lo: -Infinity, hi, terms: [...brought(key), [past, -1]] });
    }
  }
  return { model: { columns, rows }, shareOf, usedOf, missOf, slackOf };
}

/** Several wishes may be about one key: told apart by their place. */
const keyOf = (wish: BlendWish, wishes: readonly BlendWish[]) => `${wish.key}#${wishes.indexOf(wish)}`;

/** Every limit of a spec that could give. */
export function limitsOfWish(spec: BlendSpec): Limit[] {
  const sides = (name: string, key: string, { lo, hi }: { readonly lo: number; readonly hi: number }, step: number): Limit[] =>
    (
      [
        ['lo', lo],
        ['hi', hi],
      ] as const
    ).flatMap(([side, value]) => (Number.isFinite(value) ? [{ name: `${name}.${side}`, key, side, value, step }] : []));
  return [
    ...spec.wishes.filter(({ hard }) => hard).flatMap(({ key, lo = -Infinity, hi = Infinity, step }) => sides(key, key, { lo, hi }, step)),
    ...spec.groups.flatMap(({ name, lo, hi }) => sides(name, name, { lo, hi }, Math.max(0.01, Math.abs(hi - lo) / 10 || 0.01))),
  ];
}
