/** What other rooms may have of the Keep board. */
export { KeepBoard } from './keep-board';
