/** What other rooms may have of the words: the layer that every page stands under, and whom a page is about. */
export { useAsking, useAskAbout } from './ask-state';
