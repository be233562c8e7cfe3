/**
 * A linear or mixed-integer model, least cost sought. `quadratic` adds half of it times the value squared (convex: not below 0).
 * The engine that solves one is handed to whoever needs it: it is large, and blocks while it works.
 */
export type LinearColumn = {
  readonly name: string;
  readonly cost: number;
  readonly lo: number;
  readonly hi: number;
  readonly integer?: true;
  readonly quadratic?: number;
};
export type LinearRow = {
  readonly name: string;
  readonly lo: number;
  readonly hi: number;
  readonly terms: readonly (readonly [column: number, factor: number])[];
};
export type LinearModel = { readonly columns: readonly LinearColumn[]; readonly rows: readonly LinearRow[] };
export type LinearAnswer =
  | { readonly status: 'optimal'; readonly cost: number; readonly values: readonly number[] }
  | { readonly status: 'infeasible' }
  /** It gave up: `values` where it had found something that fits, not proven best. */
  | { readonly status: 'timeLimit'; readonly values?: readonly number[] };
export type LinearEngine = (model: LinearModel) => LinearAnswer;

/**
 * Whether values stand within every bound and row, and whole where they must be.
 *
 * Units    the model's own; `slack` is absolute.
 * Throws   nothing; a value that is not a number does not fit.
 * Findings none.
 * Source   the definition; no engine's word is taken for it.
 */
export function fits(model: LinearModel, values: readonly number[], slack = 1e-6): boolean {
  const within = (value: number, lo: number, hi: number) => value >= lo - slack && value <= hi + slack;
  return (
    model.columns.every(({ lo, hi, integer }, i) => {
      const value = values[i] ?? NaN;
      return within(value, lo, hi) && (!integer || Math.abs(value - Math.round(value)) <= slack);
    }) &&
    model.rows.every(({ lo, hi, terms }) =>
      within(
        terms.reduce((sum, [column, factor]) => sum + factor * values[column]!, 0),
        lo,
        hi,
      ),
    )
  );
}

/**
 * What a model costs at some values.
 *
 * Units    those of the model.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * costAt({ columns: [{ cost: 2 }, { cost: 0, quadratic: 4 }] }, [3, 1]); // => 8
 */
export function costAt(model: LinearModel, values: readonly number[]): number {
  return model.columns.reduce((sum, { cost, quadratic = 0 }, i) => sum + cost * values[i]! + (quadratic / 2) * values[i]! ** 2, 0);
}
