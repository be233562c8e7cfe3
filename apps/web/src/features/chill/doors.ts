/** What other rooms may have of the Chill board. */
export { ChillBoard } from './chill-board';
