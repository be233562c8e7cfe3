import {
  bakeCaseFor,
  heatFromWeighing,
  InputError,
  looksStudy,
  pairMap,
  type Formula,
  type Kitchen,
  type LearnedHeat,
  type LooksStudy,
  type PairCell,
  type Pantry,
  type TrayWeighing,
} from '@north-leaf/core';
import { expose } from 'comlink';

let kitchen: Kitchen;
let pantry: Pantry;
/** The newest run; an older one that finds itself overtaken ends without an answer. */
let newest = 0;

/** Lets messages in: a new run, or a stop. */
const breath = () => new Promise<void>((go) => setTimeout(go));
const TURN_MS = 30;

/** Runs a generator in turns short enough to be stopped between; null when it was. */
async function inTurns<T, R>(work: Generator<T, R>, each: (value: T) => void): Promise<R | null> {
  const run = ++newest;
  for (;;) {
    const until = performance.now() + TURN_MS;
    do {
      const { done, value } = work.next();
      if (done) return value;
      each(value);
    } while (performance.now() < until);
    await breath();
    if (run !== newest) return null;
  }
}

const api = {
  surround(itsKitchen: Kitchen, itsPantry: Pantry): void {
    kitchen = itsKitchen;
    pantry = itsPantry;
  },
  /** Ends what is running. */
  stop(): void {
    newest++;
  },
  /** Null: stopped, or nothing to work with. */
  async looks(formula: Formula, told: (share: number) => void): Promise<LooksStudy | null> {
    const theCase = bakeCaseFor(formula, kitchen, pantry);
    return theCase && inTurns(looksStudy(theCase), told);
  },
  /** Every `parts`th cell of a map. Cells are told in batches as they come, and all of them once more at the end: what is told may arrive late. */
  async map(
    formula: Formula,
    thicknesses: readonly number[],
    temperatures: readonly number[],
    share: { readonly part: number; readonly parts: number },
    told: (cells: readonly PairCell[]) => void,
  ): Promise<readonly PairCell[] | null> {
    const theCase = bakeCaseFor(formula, kitchen, pantry);
    if (!theCase) return null;
    const all: PairCell[] = [];
    let batch: PairCell[] = [];
    const cells = pairMap(theCase, thicknesses, temperatures, share);
    const finished = await inTurns(cells, (cell) => {
      all.push(cell);
      batch.push(cell);
      if (batch.length >= 20) {
        told(batch);
        batch = [];
      }
    });
    return finished === null ? null : all;
  },
  /** What one weighed tray says of the oven, or what is wrong with the weighing: an error would lose its path on the way. */
  weigh(formula: Formula, weighing: TrayWeighing): LearnedHeat | { readonly path: string; readonly message: string } {
    const theCase = bakeCaseFor(formula, kitchen, pantry);
    if (!theCase) return { path: '', message: 'the formula itself cannot be worked out yet' };
    try {
      return heatFromWeighing(theCase, weighing);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return { path: error.path, message: error.message };
    }
  },
};
export type BakeStudyApi = typeof api;
expose(api);
