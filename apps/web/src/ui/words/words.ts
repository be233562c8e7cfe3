import type { HandWord, RowUse } from '@north-leaf/core';

/** The hand's words for a dough, as they stand on the screen. */
export const handWordLabels: Record<HandWord, string> = {
  sandy: 'Sandy',
  cracks: 'Cracks',
  rollsClean: 'Rolls clean',
  tacky: 'Tacky',
  sticks: 'Sticks',
};

/** Where a row of a formula goes. */
export const rowUseWords: Readonly<Record<RowUse, string>> = {
  dough: 'into the dough',
  rollIn: 'folded in',
  wash: 'as a wash',
  topping: 'on top',
  filling: 'as filling',
  dust: 'as dust',
};

const allergenWords: Record<string, string> = {
  milk: 'milk',
  egg: 'egg',
  eggs: 'egg',
  sesame: 'sesame',
  soy: 'soy',
  soya: 'soy',
  peanut: 'peanut',
  sulphites: 'sulphites',
  mustard: 'mustard',
  celery: 'celery',
  lupin: 'lupin',
  fish: 'fish',
  wheat: 'wheat',
};
/** An allergen's code of the US or EU list, as a baker says it. */
export const allergenWord = (code: string): string => {
  const [, ...rest] = code.split('.');
  const tail = rest.join('.').split(':').pop() ?? code;
  return allergenWords[tail] ?? tail.replaceAll('_', ' ');
};
