import { wrap, type Remote } from 'comlink';
import type { Kitchen, Pantry } from '@north-leaf/core';

/** What every question to a worker is asked about: sent once, not with each keystroke. */
export type WorkerGiven = { readonly kitchen: Kitchen; readonly pantry: Pantry };
type Surrounded = { readonly surround: (around: WorkerGiven) => void };

/** A worker of the page, with what it works about, and its end. */
export function opened<Api extends Surrounded>(
  worker: Worker,
  { kitchen, pantry }: WorkerGiven,
): { readonly api: Remote<Api>; readonly end: () => void } {
  const api = wrap<Api>(worker);
  // These two alone: what else a caller holds them in may not cross.
  void (api.surround as (around: WorkerGiven) => Promise<void>)({ kitchen, pantry });
  return { api, end: () => worker.terminate() };
}

/** In the worker: keeps what it was told to work about. */
export function surroundings() {
  let held: WorkerGiven | undefined;
  return {
    surround(around: WorkerGiven): void {
      held = around;
    },
    here(): WorkerGiven {
      if (!held) throw new Error('a worker was asked before it was told of which kitchen');
      return held;
    },
  };
}

/** Lets messages in: a newer question, or a stop. */
const breath = () => new Promise<void>((go) => setTimeout(go));
const TURN_MS = 30;

/** Long work in turns short enough to be stopped between. Only the newest goes on: an older one that finds itself overtaken ends with null. */
export function inTurns() {
  let newest = 0;
  return {
    stop(): void {
      newest++;
    },
    async run<T, R>(work: Generator<T, R>, each: (value: T) => void): Promise<R | null> {
      const mine = ++newest;
      for (;;) {
        const until = performance.now() + TURN_MS;
        do {
          const { done, value } = work.next();
          if (done) return value;
          each(value);
        } while (performance.now() < until);
        await breath();
        if (mine !== newest) return null;
      }
    },
  };
}

/** Long work done at once, where nobody waits to stop it. */
export function atOnce<T>(work: Generator<unknown, T>): T {
  for (;;) {
    const { done, value } = work.next();
    if (done) return value;
  }
}
