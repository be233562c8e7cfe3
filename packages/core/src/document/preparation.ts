import { exactly, group, id, list, maybe, number, plainly, text, word } from './field.js';
import type { DocumentOf } from './field.js';

export const preparationActs = ['soak', 'warm', 'melt', 'whisk', 'beat', 'foldIn', 'boil', 'drain', 'grind', 'stand'] as const;
export type PreparationActName = (typeof preparationActs)[number];
export const keptAtWords = { room: 'at room temperature', fridge: 'in the fridge', freezer: 'in the freezer' } as const;

/** As wrong as it may be, a number that a sum can be made of: what is off is said where it is worked out. */
const anyG = (name: string) => number(name, 'g', -1e9, 1e9);
export const preparationRowFields = {
  key: id(),
  ingredientId: id('ingredient'),
  amountG: anyG('Amount'),
  entered: maybe(text('As typed', 60, { empty: true })),
  lotId: maybe(id('lot')),
};
export type PreparationRow = DocumentOf<typeof preparationRowFields>;
export const preparationActFields = {
  key: id(),
  act: word('What is done', plainly(preparationActs)),
  min: maybe(number('Minutes', 'min', 0, 20000)),
  /** The sign to stop at. */
  stopAt: maybe(text('Until', 200, { empty: true })),
};
export type PreparationAct = DocumentOf<typeof preparationActFields>;

/** What is done to what is in it, and what that takes away. */
const makingFields = {
  acts: list('What is done', group('', preparationActFields), 30),
  /** Water driven off over all acts. */
  boiledOffG: anyG('Water boiled off'),
  drainedG: anyG('Drained off'),
  /** What runs off: water unless said. */
  drainedIngredientId: maybe(id('ingredient')),
  /** What its middle came to, C; left out: raw, as far as anybody said. */
  cookedToC: maybe(number('Its middle came to', 'C', 0, 200)),
};
/** A filling, crumble, frosting, glaze, cream, coating or soaked fruit: rows and acts, no blend base and no stages. */
export const preparationFields = {
  schema: exactly(1),
  id: id(),
  name: text('Name', 120),
  rows: list('What is in it', group('', preparationRowFields), 60),
  ...makingFields,
  keepDays: number('Keeps', 'days', 0, 730),
  keepAt: word('Kept', keptAtWords),
};
export type Preparation = DocumentOf<typeof preparationFields>;

/**
 * What is made for one formula and goes on or in together: the rows that name it are in it. Losses are of the batch as written.
 * Made for stock, the same is a preparation.
 */
export const componentFields = { key: id(), name: text('Name', 120), ...makingFields };
export type Component = DocumentOf<typeof componentFields>;
