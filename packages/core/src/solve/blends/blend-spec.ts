/** Something a blend may hold, with what a gram of it brings to a gram of blend. */
export type BlendItem = {
  readonly id: string;
  readonly brings: Readonly<Record<string, number>>;
  /** Least and most of it, when it is used at all. */ readonly lo: number;
  readonly hi: number;
  /** It stays in. */ readonly must?: true;
};
/**
 * A wish about one thing the blend brings. Hard: it holds or there is no answer. Else each `step` it is missed by costs `weight`;
 * a step is what a baker would notice, so that the thing with the largest numbers does not win.
 */
export type BlendWish = {
  readonly key: string;
  readonly lo?: number;
  readonly hi?: number;
  readonly hard?: true;
  readonly step: number;
  readonly weight: number;
};
/** A limit on several items together; `factor` where a gram of one does not count as a gram of another. */
export type BlendGroup = {
  readonly name: string;
  readonly ids: readonly string[];
  readonly factor?: Readonly<Record<string, number>>;
  readonly lo: number;
  readonly hi: number;
};
export type BlendSpec = {
  readonly items: readonly BlendItem[];
  readonly wishes: readonly BlendWish[];
  readonly groups: readonly BlendGroup[];
  /** Largest number of items, of those counted; all are unless said. */ readonly most: number;
  readonly counted?: readonly string[];
  /** Breaks ties: so much for each unit of a key that the blend brings. */ readonly tie?: { readonly key: string; readonly cost: number };
  /** Shares to stay close to: what a blend changed whole would cost, and the middle of answers that are as good. */
  readonly near?: { readonly shares: Readonly<Record<string, number>>; readonly cost: number };
  /** Sets of items of which at least one must be left out: earlier answers. */ readonly not?: readonly (readonly string[])[];
};

/** Sum over items of share times what a gram brings. */
export function broughtBy(spec: Pick<BlendSpec, 'items'>, shares: Readonly<Record<string, number>>, key: string): number {
  return spec.items.reduce((sum, { id, brings }) => sum + (shares[id] ?? 0) * (brings[key] ?? 0), 0);
}
