/** What other rooms may have of the Sheet board. */
export { SheetBoard } from './sheet-board';
