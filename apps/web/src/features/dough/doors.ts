/** What other rooms may have of the Dough board. */
export { DoughBoard } from './dough-board';
