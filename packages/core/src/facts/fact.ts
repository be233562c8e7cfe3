/** Where a number comes from; the screen can always say it. */
export const basisWords = {
  published: 'published table',
  fromMemory: 'table, from memory',
  commonPractice: 'common practice',
  judgement: 'estimate',
  label: 'label',
  measured: 'measured here',
  learned: 'learned here',
} as const;
export type Basis = keyof typeof basisWords;

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
