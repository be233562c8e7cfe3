import { lazy } from 'react';

/** What of a formula other features show where they stand. */
export const DraftWaits = lazy(async () => ({ default: (await import('./draft-waits')).DraftWaits }));
