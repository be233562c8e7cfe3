import type { ValueTransformer } from 'typeorm';

/** A column of documents: what an older North Leaf stored is lifted when it is read, and never written over. */
export const lifting = <T>(lift: (stored: T) => T): ValueTransformer => ({
  to: (document: T) => document,
  from: (stored: T | null | undefined) => (stored === null || stored === undefined ? stored : lift(stored)),
});
