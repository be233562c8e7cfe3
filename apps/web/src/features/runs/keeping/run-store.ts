import { runState, type BakeEvent, type Happened, type RunState } from '@north-leaf/core';
import type { Run } from '@north-leaf/contracts';
import { create } from 'zustand';
import { voiceNow } from '../../../platform/preferences';
import { benchIso } from '../../../platform/bench-clock';
import { ApiError, request } from '../../../platform/http';
import { notify } from '../../../platform/notices';
import { differs, eventId } from './event-id';
import {
  forgetRefused,
  forgetRuns,
  heardBack,
  keepRefused,
  keepRun,
  keptRun,
  keepWaiting,
  stillRefused,
  stillWaiting,
  type KeptRun,
  type Refused,
  type WaitingEvent,
} from './run-keeping';
import { t } from '../../../platform/words';

type RunsState = {
  /** As the server last told, by id. */ readonly kept: Readonly<Record<string, KeptRun>>;
  /** Said here and not yet heard back. */ readonly waiting: readonly WaitingEvent[];
  /** Said here, and not taken by the server. */ readonly refused: readonly Refused[];
  /** Whether the server answered last time it was asked. */ readonly online: boolean;
};

export const useRuns = create<RunsState>()(() => ({ kept: {}, waiting: [], refused: [], online: true }));

/** Everything that happened in a run as far as this device knows. */
export function eventsOfRun({ run }: Pick<KeptRun, 'run'>, waiting: readonly WaitingEvent[]): BakeEvent[] {
  const known = new Set(run.events.map(({ id }) => id));
  return [...run.events, ...waiting.filter(({ bakeId, event }) => bakeId === run.id && !known.has(event.id)).map(({ event }) => event)];
}

export const stateOfRun = (kept: KeptRun, waiting: readonly WaitingEvent[]): RunState =>
  runState(kept.run.steps, eventsOfRun(kept, waiting), kept.kitchen.scaleStepG, (id) => kept.pantry?.ingredients[id]?.name);

/** What happens at a step, in the order given. Done when it is safe on this device; the server hears of it by itself. */
export async function say(bakeId: string, said: readonly { readonly what: Happened; readonly stepKey?: string }[]): Promise<void> {
  const { kept, waiting } = useRuns.getState();
  const of = kept[bakeId];
  if (!of) return;
  const events = eventsOfRun(of, waiting);
  const at = benchIso();
  const made = said.map(({ what, stepKey }, i): WaitingEvent => {
    // A millisecond apart: events of one press keep their order.
    const event: BakeEvent = {
      id: eventId(bakeId, stepKey, what, events),
      at: new Date(Date.parse(at) + i).toISOString(),
      ...(stepKey === undefined ? {} : { stepKey }),
      what,
    };
    events.push(event);
    return { bakeId, event };
  });
  await keepWaiting(made);
  useRuns.setState((state) => ({
    waiting: [...state.waiting, ...made.filter(({ event }) => !state.waiting.some((one) => one.event.id === event.id))],
  }));
  void send();
}

/** A run as the server tells it; what waits here stays beside it. */
export function told(run: Run, surroundings?: Omit<KeptRun, 'run'>): void {
  useRuns.setState(({ kept }) => {
    const known = kept[run.id];
    const around = surroundings ?? known;
    if (!around) return {};
    const { formula, kitchen, pantry } = around;
    const next = { run: latest(known?.run, run), formula, kitchen, pantry };
    void keepRun(next);
    return { kept: { ...kept, [run.id]: next } };
  });
}

/** An answer that left before another came back does not take events away: they are only ever added. */
function latest(known: Run | undefined, run: Run): Run {
  if (!known) return run;
  const ids = new Set(run.events.map(({ id }) => id));
  const missing = known.events.filter(({ id }) => !ids.has(id));
  return missing.length === 0 ? run : { ...run, events: [...run.events, ...missing] };
}

/** From this browser's own database: a page that was closed, a server that is gone. */
export async function recall(id: string): Promise<boolean> {
  const [known, waiting] = await Promise.all([keptRun(id), stillWaiting()]);
  useRuns.setState((state) => ({
    kept: known && !state.kept[id] ? { ...state.kept, [id]: known } : state.kept,
    waiting: [...state.waiting, ...waiting.filter(({ event }) => !state.waiting.some((one) => one.event.id === event.id))],
  }));
  return known !== undefined;
}

/** How many things said here the server has not heard; with none left, what is kept of its runs is forgotten. */
export async function leaveRuns(): Promise<number> {
  await send();
  const waiting = (await stillWaiting()).length;
  if (waiting === 0) await forgetRuns();
  return waiting;
}

/** All that waits in this browser, of whatever run, is sent again from whichever page is opened first. */
export async function resume(): Promise<void> {
  useRuns.setState({ refused: await stillRefused() });
  const waiting = await stillWaiting();
  if (waiting.length === 0) return;
  useRuns.setState((state) => ({
    waiting: [...state.waiting, ...waiting.filter(({ event }) => !state.waiting.some((one) => one.event.id === event.id))],
  }));
  void send();
}

const AGAIN_MS = 2000;
let sending = false;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Sends all that waits, run by run, until nothing does. An id that is stored counts, whoever sent it. */
export async function send(): Promise<void> {
  if (sending) return;
  sending = true;
  clearTimeout(timer);
  try {
    for (;;) {
      const { waiting } = useRuns.getState();
      const first = waiting[0];
      if (!first) break;
      const batch = waiting.filter(({ bakeId }) => bakeId === first.bakeId).slice(0, 200);
      const stored = await request(
        'POST /bakes/:id/events',
        { id: first.bakeId },
        batch.map(({ event }) => event),
      );
      await settle(first.bakeId, batch, stored);
      useRuns.setState({ online: true });
    }
  } catch (error) {
    if (error instanceof ApiError && !error.mayRecover && error.code !== 'internal') await refused(error);
    else useRuns.setState({ online: false });
    timer = setTimeout(() => void send(), AGAIN_MS);
  } finally {
    sending = false;
  }
}

async function settle(bakeId: string, batch: readonly WaitingEvent[], stored: readonly BakeEvent[]): Promise<void> {
  const byId = new Map(stored.map((event) => [event.id, event]));
  const disagreed = batch.filter(({ event }) => byId.has(event.id) && differs(event, byId.get(event.id)!));
  // Taken and not among what is stored: it would be sent for ever.
  for (const one of batch.filter(({ event }) => !byId.has(event.id))) await putAside(one, t('runs.theServerAnsweredWithoutIt'));
  const done = batch.map(({ event }) => event.id);
  await heardBack(done);
  useRuns.setState(({ kept, waiting }) => {
    const of = kept[bakeId];
    const next = of && { ...of, run: latest(of.run, { ...of.run, events: stored }) };
    if (next) void keepRun(next);
    return { waiting: waiting.filter(({ event }) => !done.includes(event.id)), kept: next ? { ...kept, [bakeId]: next } : kept };
  });
  for (const { event } of disagreed) {
    const mine = event.what.kind === 'weighed' ? event.what.addedG : 0;
    const other = byId.get(event.id)!.what;
    const theirs = other.kind === 'weighed' ? other.addedG : 0;
    const voice = voiceNow();
    const text = t('runs.twoDevicesWeighedTheSameStepTheirs', { theirs: voice.exact(theirs, 'mass'), mine: voice.exact(mine, 'mass') });
    notify(text);
    await say(bakeId, [{ what: { kind: 'noted', text } }]);
  }
}

/** The server will not take it as it is: it is put aside, still on this device, so that the rest can go on. */
async function refused(error: ApiError): Promise<void> {
  const first = useRuns.getState().waiting[0];
  if (!first) return;
  const index = Number(/^\[?(\d+)\]?/.exec(error.problems[0]?.path ?? '0')?.[1] ?? 0);
  const batch = useRuns.getState().waiting.filter(({ bakeId }) => bakeId === first.bakeId);
  await putAside(batch[index] ?? first, error.problems[0]?.message ?? error.message);
}

async function putAside(one: WaitingEvent, why: string): Promise<void> {
  await keepRefused({ ...one, why });
  await heardBack([one.event.id]);
  useRuns.setState(({ waiting, refused: held }) => ({
    waiting: waiting.filter(({ event }) => event.id !== one.event.id),
    refused: [...held.filter(({ event }) => event.id !== one.event.id), { ...one, why }],
  }));
  notify(t('runs.notStoredWhyItIsKeptOn', { why }), 'error');
}

/** Sent once more, as it is or mended. */
export async function sendAgain({ bakeId, event }: WaitingEvent): Promise<void> {
  await keepWaiting([{ bakeId, event }]);
  await letGo(event.id);
  useRuns.setState(({ waiting }) => ({ waiting: [...waiting, { bakeId, event }] }));
  void send();
}

/** Forgotten here, by the baker's own word. */
export async function letGo(eventId: string): Promise<void> {
  await forgetRefused(eventId);
  useRuns.setState(({ refused: held }) => ({ refused: held.filter(({ event }) => event.id !== eventId) }));
}
