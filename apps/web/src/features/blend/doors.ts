import { lazy } from 'react';

/** What other rooms may have of the Blend board. */
export { BlendBoard } from './blend-board';
export const LabelReader = lazy(async () => ({ default: (await import('./label-reader')).LabelReader }));
