import { lazy } from 'react';

/** Sheets of the pantry that other features open where they stand. */
export const OwnIngredientForm = lazy(async () => ({ default: (await import('./own-ingredient-form')).OwnIngredientForm }));
