import { massOfAmount, readAmount, readQuantity, unitOf, type Ingredient, type ReadQuantity } from '@north-leaf/core';
import type { Voice } from '@north-leaf/words';
import { t } from '../../platform/words';

/** Most that any weight is, g. */
const MOST_G = 100_000;

/** A weight as it stands in a field of its own: in g, or what is wrong with it. Nothing typed is neither. */
export type TypedMass = { readonly g: number | undefined; readonly problem: string | null };

type MassAsked = {
  readonly above0?: boolean;
  /** Of what it is, for cups, spoons and pieces; and what this kitchen means by a vague measure. */
  readonly of?: { readonly ingredient: Ingredient | undefined; readonly measures?: Readonly<Record<string, number>> | undefined };
};

/** What was typed for a weight, a bare number in the baker's unit. `above0`: nothing at all is no answer either. */
export function readMass(text: string, voice: Voice, { above0 = false, of }: MassAsked = {}): TypedMass {
  if (text.trim() === '') return { g: undefined, problem: null };
  const read = readRowMass(text, unitOf('mass', voice.units), of?.ingredient, of?.measures);
  if (!read.ok) return { g: undefined, problem: t('ui.aWeightIsANumberGotText', { text }) };
  if (above0 && read.value <= 0) return { g: undefined, problem: t('ui.aWeightIsAbove0AtMost', { most: voice.show(MOST_G, 'mass') }) };
  if (read.value < 0 || read.value > MOST_G)
    return { g: undefined, problem: t('ui.aWeightIsFromMost', { most: voice.range(0, MOST_G, 'mass') }) };
  return { g: read.value, problem: null };
}

/** Grams of an ingredient from what was typed: a plain weight, or cups, spoons, sticks, half an egg. */
export function readRowMass(
  text: string,
  bare: string,
  ingredient: Ingredient | undefined,
  own: Readonly<Record<string, number>> | undefined,
): ReadQuantity {
  const plain = readQuantity(text, 'mass', bare);
  if (plain.ok || !ingredient) return plain;
  const amount = readAmount(text);
  if (!amount || amount.rest !== '' || (amount.measure === null && ingredient.pieceG === undefined)) return plain;
  const mass = massOfAmount(amount, ingredient, { own: own ?? {} });
  return mass
    ? { ok: true, value: Number(mass.massG.toFixed(1)) }
    : { ok: false, reason: t('common.nobodyKnowsWhatThatWeighsOfName', { name: ingredient.name }) };
}

/** The words that an amount was typed in, to be kept beside it; none where it was a plain weight. */
export const asEntered = (text: string | null): string | undefined =>
  text !== null && !/^-?[\d.,\s/]*(?:g|kg|oz|lb)?\s*$/i.test(text.trim()) ? text.trim().slice(0, 60) : undefined;
