/** What other rooms may have of the library of blends and the searches of the server. */
export { findBlends, imitateBlend, readLabel, useSaveBlend } from './api';
