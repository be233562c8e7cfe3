import { lazy } from 'react';

/** What other rooms may have of the pantry: its rows, and the sheet of an own ingredient, opened where they stand. */
export { ingredientOptions, pantryKeys, pantryQuery, pantryTabs } from './api';
export { MakingFields, type MakingEntry } from './ingredients/making-fields';
export { useDoInPantry } from './use-pantry';
export { SoldIn } from './sold-in';
export const OwnIngredientForm = lazy(async () => ({ default: (await import('./ingredients/own/own-ingredient-form')).OwnIngredientForm }));
