import type { BoxItem } from '@north-leaf/core';
import type { Voice } from '@north-leaf/words';
import type { LabelRule } from '@north-leaf/core';
import type { BoxLabel } from '@north-leaf/contracts';
import { outside } from '../../ui/form/limits';
import { nutrientWords, type Printed } from '../../ui/form/nutrition-panel';
import { t } from '../../platform/words';

/** How far a box's flours may be from the table, to start with. Judgement. */
const TOLERANCE = 0.15;

/** A name of the list, and whether it is settled what it is. */
export type RowOfBox = BoxItem & { readonly sure: boolean };

/** What each name of the list is taken for: as it was chosen, or as it was read where that asks nothing. */
export const rowsOfBox = (list: readonly BoxItem[], chosen: Readonly<Record<string, string>>): readonly RowOfBox[] =>
  list.map((one) => ({
    ...one,
    id: chosen[one.written] ?? one.id,
    sure: chosen[one.written] !== undefined || (!one.asks && one.id !== null),
  }));

type TypedBox = { readonly rows: readonly RowOfBox[]; readonly printed: readonly Printed[]; readonly basisG: number };

/** Why a box cannot be worked out yet; null: it can. */
export function reasonNot({ rows, printed, basisG }: TypedBox, voice: Voice): string | null {
  const open = rows.filter(({ sure }) => !sure);
  const wrong = printed.find(({ printed: value }) => !Number.isFinite(value) || value < 0);
  return rows.length === 0
    ? t('blend.pasteTheIngredientListOfTheBox')
    : open.length > 0
      ? t('blend.sayWhatWrittenIs', { written: open[0]!.written })
      : wrong
        ? t('blend.nutrientwordsIsNotANumber', { nutrientWords: nutrientWords[wrong.nutrient] })
        : !(basisG >= 1 && basisG <= 1000)
          ? t('blend.theServingBasis', { basis: outside(basisG, 1, 1000, 'mass', voice) ?? t('blend.mustBeANumber') })
          : null;
}

/** The box as the server works it out. */
export const labelOf = ({ rows, printed, basisG }: TypedBox, rule: LabelRule): BoxLabel => ({
  items: rows.map(({ id, declaredShare, inTail }) => ({
    ingredientId: id!,
    ...(declaredShare === undefined ? {} : { declaredShare }),
    ...(inTail ? { inTail } : {}),
  })),
  panel: printed,
  rule,
  basisG,
  tolerance: TOLERANCE,
});
