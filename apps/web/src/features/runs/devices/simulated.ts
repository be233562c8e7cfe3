import { emptyPan, panAfter, probeReading, readPan, restarted, type Course, type ScalePan } from '@north-leaf/core';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { Probe, Scale } from './scale';
import { t } from '../../../platform/words';

const TICK_MS = 100;

type Bench = {
  readonly pan: ScalePan;
  readonly plugged: boolean;
  /** g a second that are being poured; 0 for none. */ readonly pouring: number;
  readonly pour: (gPerS: number) => void;
  readonly put: (grams: number) => void;
  readonly clear: () => void;
  readonly plug: (on: boolean) => void;
};

/** The stand-in's bench: what lies on the pan stays there when the page is loaded again, as it would. */
export const useBench = create<Bench>()(
  persist(
    (set) => ({
      pan: emptyPan,
      plugged: true,
      pouring: 0,
      pour: (pouring) => set({ pouring }),
      put: (grams) => set(({ pan }) => ({ pan: panAfter(pan, 0, grams) })),
      clear: () => set({ pan: emptyPan, pouring: 0 }),
      // What loses its power starts from zero with what lies on it.
      plug: (plugged) => set(({ pan }) => ({ plugged, pan: plugged ? restarted(pan) : pan, pouring: 0 })),
    }),
    { name: 'north-leaf-simulated-scale', partialize: ({ pan, plugged }) => ({ pan, plugged }) },
  ),
);

/** A scale that is not there: for a try without one, for classes, and for our own tests. */
export function simulatedScale(): Scale {
  let timer: ReturnType<typeof setInterval> | undefined;
  return {
    name: t('runs.simulatedScale'),
    open: async (heard, lost) => {
      let last = performance.now();
      let here = true;
      timer = setInterval(() => {
        const now = performance.now();
        const seconds = (now - last) / 1000;
        last = now;
        const { pan, plugged, pouring } = useBench.getState();
        if (!plugged) {
          if (here) lost();
          here = false;
          return;
        }
        here = true;
        const next = panAfter(pan, seconds, pouring * seconds);
        useBench.setState({ pan: next });
        heard(readPan(next, Math.random));
      }, TICK_MS);
    },
    close: async () => clearInterval(timer),
  };
}

/** A probe in a dough or an oven that is not there; `course` says where it is now. */
export function simulatedProbe(course: () => { readonly course: Course; readonly atMin: number; readonly roomC: number }): Probe {
  let timer: ReturnType<typeof setInterval> | undefined;
  return {
    name: t('runs.simulatedProbe'),
    open: async (heard) => {
      const from = performance.now();
      timer = setInterval(() => {
        const { course: along, atMin, roomC } = course();
        heard(probeReading(along, { atMin, inS: (performance.now() - from) / 1000 }, roomC, Math.random));
      }, 500);
    },
    close: async () => clearInterval(timer),
  };
}
