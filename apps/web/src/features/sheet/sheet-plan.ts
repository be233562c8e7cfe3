import { useMemo } from 'react';
import {
  InputError,
  planSheet,
  rolledG,
  waysToCut,
  type CutShape,
  type CutWay,
  type Formula,
  type SheetPlan,
  showValue,
} from '@north-leaf/core';
import { type Voice } from '@north-leaf/words';
import { useEarlyDough, useAnswer, useFormula, useSurroundings } from '../board/doors';
import { t } from '../../platform/words';

export type DrawnSheet = { readonly formula: Formula; readonly plan: SheetPlan; readonly massG: number };

/**
 * The sheet of the draft as it is typed: the geometry alone, worked out in this page from the newest dough, so that the drawing
 * follows the key and not the bake. Null while the dough or a number of the sheet cannot be worked with.
 */
export function useDrawnSheet(): DrawnSheet | null {
  const formula = useFormula();
  const { kitchen } = useSurroundings();
  const { evaluation } = useAnswer();
  const early = useEarlyDough((state) => state.dough) ?? evaluation.dough;
  return useMemo(() => {
    if (early.state === 'waiting') return null;
    const massG = rolledG(early.result);
    return orNull(() => ({ formula, plan: planSheet(formula, kitchen, massG), massG }));
  }, [formula, kitchen, early]);
}

/** Other ways to cut the same dough; none where what is cut has no likes. */
export function useCutWays(drawn: DrawnSheet | null): readonly CutWay[] {
  const { kitchen } = useSurroundings();
  return useMemo(() => (drawn ? (orNull(() => waysToCut(drawn.formula, kitchen, drawn.massG)) ?? []) : []), [drawn, kitchen]);
}

/** Wrong numbers are the stage's to report. */
function orNull<T>(work: () => T): T | null {
  try {
    return work();
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}

/** `Squares 45 mm`, `Sticks 20 × 90 mm`. */
export function cutWords(shape: CutShape, { exact, units }: Voice): string {
  switch (shape.kind) {
    case 'rectangle': {
      const [short, long] = [shape.widthMm, shape.lengthMm].sort((a, b) => a - b) as [number, number];
      if (long - short < 0.05) return t('sheet.squaresShort', { short: exact(short, 'length') });
      return `${long > 2.5 * short ? t('common.sticks') : t('sheet.rectangles')} ${showValue(short, 'length', units)} × ${exact(long, 'length')}`;
    }
    case 'diamond':
      return t('sheet.diamondsWidth', { width: exact(shape.widthMm, 'length') });
    case 'triangle':
      return t('sheet.trianglesBaseHeight', { base: showValue(shape.baseMm, 'length', units), height: exact(shape.heightMm, 'length') });
    case 'outline':
      return t('sheet.ownOutline');
    default:
      return `${{ round: t('sheet.rounds'), hexagon: t('sheet.hexagons'), heart: t('sheet.hearts') }[shape.kind]} ${exact(shape.acrossMm, 'length')}`;
  }
}
