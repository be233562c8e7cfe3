/** What other rooms may have of the Bake board. */
export { BakeBoard } from './bake-board';
