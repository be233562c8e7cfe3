import { lazy } from 'react';

/** What other rooms may have of what is printed. */
export const PrintedFormula = lazy(async () => ({ default: (await import('./printed-formula')).PrintedFormula }));
