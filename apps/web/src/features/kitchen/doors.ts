import { lazy } from 'react';

/** What other rooms may have of the kitchen: its document, the way to change it, and what it has learned, shown where they stand. */
export { kitchenQuery, useKitchenChange } from './api';
export { beginKitchen, goToOtherKitchen, kitchensQuery, openKitchen } from './kitchens-api';
export const LearnedHere = lazy(async () => ({ default: (await import('./learned-here')).LearnedHere }));
