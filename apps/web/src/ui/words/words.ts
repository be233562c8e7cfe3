import { isUnderPin, type Handling, type HandWord, type RowUse } from '@north-leaf/core';
import { t } from '../../platform/words';

/** The hand's words for a dough, as they stand on the screen. */
export const handWordLabels: Record<HandWord, string> = {
  sandy: t('ui.sandy'),
  cracks: t('ui.cracks'),
  rollsClean: t('ui.rollsClean'),
  tacky: t('ui.tacky'),
  sticks: t('common.sticks'),
};

const bowlWords: Record<HandWord, string> = {
  sandy: t('ui.hand.bowl.sandy'),
  cracks: t('ui.hand.bowl.cracks'),
  rollsClean: t('ui.hand.bowl.rollsClean'),
  tacky: t('ui.hand.bowl.tacky'),
  sticks: t('ui.hand.bowl.sticks'),
};
/** Of a batter: how it falls from the spoon. */
const ribbonWords: Record<HandWord, string> = {
  sandy: t('ui.hand.ribbon.sandy'),
  cracks: t('ui.hand.ribbon.cracks'),
  rollsClean: t('ui.hand.ribbon.rollsClean'),
  tacky: t('ui.hand.ribbon.tacky'),
  sticks: t('ui.hand.ribbon.sticks'),
};
const palmWords: Record<HandWord, string> = { ...handWordLabels, rollsClean: t('ui.hand.palmClean') };
const ofSpoon: ReadonlySet<Handling> = new Set(['dropped', 'piped', 'spread']);
/** The hand's words for a dough by how it is shaped: what is lifted by the spoon rolls nowhere. */
export const handWordsOf = (handling: Handling | undefined): Record<HandWord, string> =>
  handling === 'poured'
    ? ribbonWords
    : handling === undefined || isUnderPin(handling) || handling === 'sliced'
      ? handWordLabels
      : ofSpoon.has(handling)
        ? bowlWords
        : palmWords;

/** Where a row of a formula goes. */
export const rowUseWords: Readonly<Record<RowUse, string>> = {
  dough: t('ui.intoTheDough'),
  rollIn: t('ui.toRollIn'),
  foldIn: t('common.foldedIn'),
  wash: t('common.asAWash'),
  topping: t('common.onTop'),
  filling: t('ui.asFilling'),
  dust: t('ui.asDust'),
};

const allergenWords: Record<string, string> = {
  milk: t('common.milk'),
  egg: t('common.egg'),
  eggs: t('common.egg'),
  sesame: t('common.sesame'),
  soy: t('common.soy'),
  soya: t('common.soy'),
  peanut: t('common.peanut'),
  sulphites: t('common.sulphites'),
  mustard: t('common.mustard'),
  celery: t('common.celery'),
  lupin: t('common.lupin'),
  fish: t('common.fish'),
  wheat: t('common.wheat'),
};
/** An allergen's code of the US or EU list, as a baker says it. */
export const allergenWord = (code: string): string => {
  const [, ...rest] = code.split('.');
  const tail = rest.join('.').split(':').pop() ?? code;
  return allergenWords[tail] ?? tail.replaceAll('_', ' ');
};
