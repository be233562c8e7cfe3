import { lazy } from 'react';

/** What of a formula other features show where they stand. */
export const TakeAsMade = lazy(async () => ({ default: (await import('./take-as-made')).TakeAsMade }));
export const DraftWaits = lazy(async () => ({ default: (await import('./draft-waits')).DraftWaits }));

export { countedChanges, describeEdits } from './describe-changes';
