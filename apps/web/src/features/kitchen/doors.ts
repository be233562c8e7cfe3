import { lazy } from 'react';

/** What of the kitchen other features show where they stand. */
export const LearnedHere = lazy(async () => ({ default: (await import('./learned-here')).LearnedHere }));
