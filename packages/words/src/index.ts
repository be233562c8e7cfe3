export { describeEdits, placeName } from './changes.js';
export { findingWords } from './findings.js';
export { refusalWords } from './refusals.js';
export { measureName, showMeasured, stepWords, titleOf } from './steps.js';
export { catalogue, voiceOf } from './voice.js';

export type { FindingWords } from './findings.js';
export type { StepWords } from './steps.js';
export type { Key, Language, Values, Voice } from './voice.js';
