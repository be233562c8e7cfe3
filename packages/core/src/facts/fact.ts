/** Where a number comes from; the screen can always say it. */
export type Basis = 'published' | 'fromMemory' | 'commonPractice' | 'judgement' | 'label' | 'measured' | 'learned';

/** One number that we did not compute, with its unit and where it comes from. */
export type Fact = { readonly value: number; readonly unit: string; readonly basis: Basis; readonly source: string };

/** Several numbers of one kind from one source. */
export type FactTable<T> = { readonly values: T; readonly unit: string; readonly basis: Basis; readonly source: string };

export const fact = (value: number, unit: string, basis: Basis, source: string): Fact => ({ value, unit, basis, source });

export const table = <const T>(values: T, unit: string, basis: Basis, source: string): FactTable<T> => ({
  values,
  unit,
  basis,
  source,
});
