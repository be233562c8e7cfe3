import type { Edit, Formula } from '@north-leaf/core';
import { asEntered } from '../../../ui/form/typed-mass';

/** A row's grams, and how they were typed where that was no plain weight. */
export function weighed(from: Formula, index: number, amountG: number, text: string | null): readonly Edit[] {
  const row = from.rows[index];
  if (!row) return [];
  const wordy = asEntered(text);
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
