import { clear, createStore, del, entries, get, set, setMany } from 'idb-keyval';
import { liftEvent, liftFormula, liftKitchen, liftPantry } from '@north-leaf/core';
import type { BakeEvent, Formula, Kitchen, Pantry } from '@north-leaf/core';
import type { Run } from '@north-leaf/contracts';

/** A run as this device knows it: enough to go on without a server. */
export type KeptRun = { readonly run: Run; readonly formula: Formula; readonly kitchen: Kitchen; readonly pantry: Pantry };
/** An event that has not been heard back from the server, and the run it belongs to. */
export type WaitingEvent = { readonly bakeId: string; readonly event: BakeEvent };

/** An event that the server would not take, and why: it stays on this device until somebody mends it, saves it or lets it go. */
export type Refused = WaitingEvent & { readonly why: string };

/** A run kept by an older North Leaf, as today's documents. */
const lifted = ({ run, formula, kitchen, pantry }: KeptRun): KeptRun => ({
  run: { ...run, events: run.events.map(liftEvent) },
  formula: liftFormula(formula),
  kitchen: liftKitchen(kitchen),
  pantry: liftPantry(pantry),
});

const runs = createStore('north-leaf-runs', 'runs');
const outbox = createStore('north-leaf-outbox', 'events');
const aside = createStore('north-leaf-refused', 'events');

export const keptRun = (id: string): Promise<KeptRun | undefined> =>
  get<KeptRun>(id, runs)
    .then((kept) => kept && lifted(kept))
    .catch(() => undefined);
export const keepRun = (kept: KeptRun): Promise<void> => set(kept.run.id, kept, runs).catch(() => undefined);
/** Runs that the server has: another kitchen's are asked for again when it stands open. */
export const forgetRuns = (): Promise<void> => clear(runs).catch(() => undefined);
export const forgetRun = (id: string): Promise<void> => del(id, runs).catch(() => undefined);

/** What was said at the bench is safe once this is done: in this browser, whatever happens to the page or the power. */
export const keepWaiting = (waiting: readonly WaitingEvent[]): Promise<void> =>
  setMany(
    waiting.map((one) => [one.event.id, one]),
    outbox,
  );
export const stillWaiting = async (): Promise<WaitingEvent[]> =>
  (await entries<string, WaitingEvent>(outbox).catch(() => [])).map(([, one]) => ({ ...one, event: liftEvent(one.event) }));
export async function heardBack(ids: readonly string[]): Promise<void> {
  for (const id of ids) await del(id, outbox).catch(() => undefined);
}

export const keepRefused = (one: Refused): Promise<void> => set(one.event.id, one, aside);
export const stillRefused = async (): Promise<Refused[]> =>
  (await entries<string, Refused>(aside).catch(() => [])).map(([, one]) => ({ ...one, event: liftEvent(one.event) }));
export const forgetRefused = (id: string): Promise<void> => del(id, aside).catch(() => undefined);
