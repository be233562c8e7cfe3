import type { Oven, HandWord } from '@north-leaf/core';

/** The hand's words for a dough, as they stand on the screen. */
export const handWordLabels: Record<HandWord, string> = {
  sandy: 'Sandy',
  cracks: 'Cracks',
  rollsClean: 'Rolls clean',
  tacky: 'Tacky',
  sticks: 'Sticks',
};

/** How an oven heats, as bakers say it. */
export const ovenKinds: Readonly<Record<Oven['kind'], string>> = { static: 'still air', fan: 'fan', deck: 'deck' };
