/** What other rooms may have of a run: its store, its waits and the words of the bench. */
export { ring, useAlarm } from './bench/alarm';
export { leftWords } from './bench/bench-words';
export { useWaits } from './bench/waits';
export { NotStored } from './keeping/not-stored';
export type { KeptRun, WaitingEvent } from './keeping/run-keeping';
export { eventsOfRun, leaveRuns, useRuns } from './keeping/run-store';
export { useRunning, useRunningNews } from './keeping/use-run';
