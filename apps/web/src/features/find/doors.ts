/** What other rooms may have of finding: the way to open it. */
export { useFind } from './find-state';
