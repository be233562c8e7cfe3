import { massOfAmount, type CupFilling, type Pantry, type ReadLine, usual } from '@north-leaf/core';
import { type Correction } from './list-line';
import { t } from '../../platform/words';

/** What a spoon or cup of a box weighs, whatever is in it. */
const BOXED = usual.values.box;

/** A line as the baker said it is. */
export function putRight(
  line: ReadLine,
  mine: Correction | undefined,
  pantry: Pantry,
  { filling, own }: { readonly filling: CupFilling; readonly own: Readonly<Record<string, number>> },
): ReadLine {
  if (!mine) return line;
  const chosenId = mine.box ? BOXED : mine.ingredientId;
  const ingredient = pantry.ingredients[chosenId ?? line.ingredientId ?? ''];
  const chosen = chosenId !== undefined && ingredient !== undefined;
  const { part: _part, ...rest } = line;
  const part = mine.part === undefined ? line.part : mine.part;
  const mass =
    mine.massG !== undefined
      ? { massG: mine.massG, sdG: 0, assumption: t('entry.asYouSetIt') }
      : chosen && chosenId !== line.ingredientId
        ? line.amount
          ? massOfAmount(line.amount, ingredient, { filling, own })
          : null
        : line.mass;
  return {
    ...rest,
    ingredientId: ingredient?.id ?? line.ingredientId,
    asks: chosen ? false : line.asks,
    mass,
    ...(part && part.use !== 'dough' ? { part } : {}),
  };
}
