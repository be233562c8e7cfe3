import { useEffect, useRef, useState } from 'react';
import { proxy } from 'comlink';
import type { Formula, Kitchen, LooksStudy, PairCell, Pantry } from '@north-leaf/core';
import { opened } from '../../platform/worker-kit';
import type { BakeStudyApi } from './bake-study.worker';

/** A worker of its own, with what every run of it reads. */
export const startStudy = (kitchen: Kitchen, pantry: Pantry) =>
  opened<BakeStudyApi>(new Worker(new URL('./bake-study.worker.ts', import.meta.url), { type: 'module', name: 'bake-study' }), {
    kitchen,
    pantry,
  });

export type Studied = {
  readonly study: LooksStudy | null;
  /** The formula it is about. */ readonly of: Formula | null;
  /** Share that is done of the run at work; null while none is. */ readonly progress: number | null;
  readonly stopped: boolean;
};

/** A pause in typing: only then a run is worth beginning. */
const PAUSE_MS = 300;

/**
 * Plans the looks of a formula in a worker. A change while it runs begins again, and only the newest run's answer is shown.
 * Stopped by the baker, it stays stopped until the next change or until it is asked to go on.
 */
export function useLooks(
  formula: Formula,
  kitchen: Kitchen,
  pantry: Pantry,
): Studied & {
  /** The plan is about the formula as it stands. */ readonly fresh: boolean;
  readonly stop: () => void;
  readonly goOn: () => void;
} {
  const [studied, setStudied] = useState<Studied>({ study: null, of: null, progress: null, stopped: false });
  const [again, setAgain] = useState(0);
  const study = useRef<ReturnType<typeof startStudy> | null>(null);

  useEffect(() => {
    study.current = startStudy(kitchen, pantry);
    return () => {
      study.current?.end();
      study.current = null;
    };
  }, [kitchen, pantry]);

  useEffect(() => {
    let overtaken = false;
    let answered = false;
    const timer = setTimeout(() => {
      setStudied((before) => ({ ...before, progress: 0, stopped: false }));
      study.current?.api
        .looks(
          formula,
          proxy((share) => {
            // Progress comes by a way of its own and may arrive after the answer.
            if (!overtaken && !answered) setStudied((before) => (before.stopped ? before : { ...before, progress: share }));
          }),
        )
        .then(
          (found) => {
            answered = true;
            if (overtaken) return;
            setStudied((before) => (found ? { study: found, of: formula, progress: null, stopped: false } : { ...before, progress: null }));
          },
          () => !overtaken && setStudied((before) => ({ ...before, progress: null, stopped: true })),
        );
    }, PAUSE_MS);
    return () => {
      overtaken = true;
      clearTimeout(timer);
      void study.current?.api.stop();
    };
  }, [formula, kitchen, pantry, again]);

  return {
    ...studied,
    fresh: studied.of === formula && studied.progress === null,
    stop: () => {
      void study.current?.api.stop();
      setStudied((before) => ({ ...before, progress: null, stopped: true }));
    },
    goOn: () => setAgain((n) => n + 1),
  };
}

export type MapState = {
  readonly cells: readonly PairCell[];
  readonly thicknesses: readonly number[];
  readonly temperatures: readonly number[];
  readonly of: Formula;
  readonly running: boolean;
};

const range = (from: number, to: number, n: number) => Array.from({ length: n }, (_, i) => from + ((to - from) * i) / (n - 1));
/** Points a side: the coarse map answers at once, the fine one is shared out to two workers. */
const COARSE = { thick: 9, hot: 5 };
const FINE = { thick: 50, hot: 50 };

/** A map of thickness and temperature about a formula, coarse or fine, with its progress; stopped by itself when the formula changes. */
export function usePairMap(formula: Formula, kitchen: Kitchen, pantry: Pantry) {
  const [map, setMap] = useState<MapState | null>(null);
  const end = useRef<() => void>(() => {});
  useEffect(() => () => end.current(), [formula, kitchen, pantry]);

  const run = (mm: readonly [number, number], atC: readonly [number, number], fine: boolean) => {
    end.current();
    const points = fine ? FINE : COARSE;
    const thicknesses = range(mm[0], mm[1], points.thick);
    const temperatures = range(atC[0], atC[1], points.hot);
    const parts = fine ? 2 : 1;
    const studies = Array.from({ length: parts }, () => startStudy(kitchen, pantry));
    let ended = false;
    const stop = () => {
      if (ended) return;
      ended = true;
      studies.forEach((study) => study.end());
      setMap((before) => (before ? { ...before, running: false } : null));
    };
    end.current = stop;
    setMap({ cells: [], thicknesses, temperatures, of: formula, running: true });
    const runs = studies.map(({ api }, part) =>
      api.map(
        formula,
        { thicknesses, temperatures },
        { part, parts },
        proxy((cells) => {
          if (!ended) setMap((before) => (before ? { ...before, cells: [...before.cells, ...cells] } : null));
        }),
      ),
    );
    void Promise.all(runs).then((parts) => {
      const cells = parts.flatMap((part) => part ?? []);
      if (!ended && cells.length > 0) setMap((before) => (before ? { ...before, cells } : null));
      stop();
    }, stop);
  };
  return { map: map?.of === formula ? map : null, run, stop: () => end.current() };
}
