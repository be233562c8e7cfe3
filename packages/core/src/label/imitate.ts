import { noticeable, wishWeights } from '../facts/blend-limits.js';
import type { BlendItem, BlendSpec, BlendWish } from '../solve/blends/blend-spec.js';

/** What is imitated: how it behaves, not what it is made of. */
const imitated = ['protein', 'fat', 'fibre', 'water', 'bend', 'grit', 'flavour', 'starch'] as const;

/**
 * A search for a blend that behaves like one read from a label, made from other ingredients.
 *
 * Each thing the read blend brings becomes a wish for its mean, as wide as its spread over the blends that fit the label.
 *
 * Units    those of the brings.
 * Throws   nothing.
 * Findings none.
 * Source   mean and standard deviation over the samples of the reading.
 */
export function imitationOf(
  base: BlendSpec,
  boxItems: readonly Pick<BlendItem, 'id' | 'brings'>[],
  samples: readonly (readonly number[])[],
): BlendSpec {
  const steps: Readonly<Record<string, number>> = { ...noticeable.values, fat: 1 };
  const wishes = imitated.map((key): BlendWish => {
    const values = samples.map((shares) => shares.reduce((sum, share, i) => sum + share * (boxItems[i]!.brings[key] ?? 0), 0));
    const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
    const sd = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length);
    return { key, lo: mean - sd, hi: mean + sd, step: steps[key]!, weight: wishWeights.values.want };
  });
  const { near: _near, ...rest } = base;
  return { ...rest, wishes: [...base.wishes.filter(({ hard }) => hard), ...wishes] };
}
