/** What other rooms may have of the bakes on record: their data, and a typed number read. */
export { bakedPoints, bakesQuery, last, measured, runQuery, runningQuery, together, useStartRun } from './api';
export { readMeasure } from './read-measure';
