import { lazy } from 'react';

/** What other rooms may have of entering a list. */
export { ListReader, useListReading } from './list-reader';
export const PasteList = lazy(async () => ({ default: (await import('./paste-list')).PasteList }));
