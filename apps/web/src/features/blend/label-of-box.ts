import type { BoxItem } from '@north-leaf/core';
import type { Voice } from '@north-leaf/words';
import { nutrientsOf, type LabelNutrient, type LabelRule } from '@north-leaf/core';
import type { BoxLabel } from '@north-leaf/contracts';
import { outside } from '../../ui/form/limits';
import { t } from '../../platform/words';

export const nutrientWords: Record<LabelNutrient, string> = {
  energyKcal: t('blend.energyKcal'),
  fat: t('blend.fatG'),
  saturatedFat: t('blend.saturatedG'),
  carbohydrate: t('blend.carbohydrateG'),
  sugars: t('blend.sugarsG'),
  fibre: t('blend.fibreG'),
  protein: t('blend.proteinG'),
  sodiumMg: t('blend.sodiumMg'),
  salt: t('blend.saltG'),
};

/** How far a box's flours may be from the table, to start with. Judgement. */
const TOLERANCE = 0.15;

export const typedNumber = (typed: string): number => Number(typed.trim().replace(',', '.'));

/** A name of the list, and whether it is settled what it is. */
export type RowOfBox = BoxItem & { readonly sure: boolean };

/** What each name of the list is taken for: as it was chosen, or as it was read where that asks nothing. */
export const rowsOfBox = (list: readonly BoxItem[], chosen: Readonly<Record<string, string>>): readonly RowOfBox[] =>
  list.map((one) => ({
    ...one,
    id: chosen[one.written] ?? one.id,
    sure: chosen[one.written] !== undefined || (!one.asks && one.id !== null),
  }));

type Printed = BoxLabel['panel'][number];

/** The panel as it was typed: `< 1` for less than one, units left out or not; what is not there is left out. */
export const printedOf = (rule: LabelRule, panel: Readonly<Partial<Record<LabelNutrient, string>>>): readonly Printed[] =>
  nutrientsOf(rule).flatMap((nutrient) => {
    const typed = (panel[nutrient] ?? '').trim().replace(',', '.');
    const lessThan = typed.startsWith('<');
    const value = Number(
      typed
        .replace(/^</, '')
        .replace(/k?cal|mg|g/gi, '')
        .trim(),
    );
    return typed === '' ? [] : [{ nutrient, printed: value, ...(lessThan ? { lessThan: true as const } : {}) }];
  });

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
