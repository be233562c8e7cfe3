import { massOfAmount, readAmount, readQuantity, type Edit, type Formula, type Ingredient, type ReadQuantity } from '@north-leaf/core';
import { t } from '../../platform/words';

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
    : { ok: false, reason: t('dough.nobodyKnowsWhatThatWeighsOfName', { name: ingredient.name }) };
}

/** A row's grams, and how they were typed where that was no plain weight. */
export function weighed(from: Formula, index: number, amountG: number, text: string | null): readonly Edit[] {
  const row = from.rows[index];
  if (!row) return [];
  const wordy = text !== null && !/^-?[\d.,\s/]*(?:g|kg|oz|lb)?\s*$/i.test(text.trim()) ? text.trim().slice(0, 60) : undefined;
  const path = `/rows/${index}`;
  return [
    { path: `${path}/amountG`, from: row.amountG, to: amountG },
    ...(row.entered === wordy
      ? []
      : [
          {
            path: `${path}/entered`,
            ...(row.entered === undefined ? {} : { from: row.entered }),
            ...(wordy === undefined ? {} : { to: wordy }),
          },
        ]),
  ];
}
