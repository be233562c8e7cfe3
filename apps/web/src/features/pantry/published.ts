import { publishedIngredients } from '@north-leaf/core';

/** The table of published ingredients, in a file of its own: it is fetched once, while the server answers. */
export const published = publishedIngredients;
