import {
  bakeCaseFor,
  heatFromWeighing,
  InputError,
  looksStudy,
  pairMap,
  replyTo,
  type Formula,
  type LearnedHeat,
  type LooksStudy,
  type PairCell,
  type Reply,
  type TrayWeighing,
} from '@north-leaf/core';
import { expose } from 'comlink';
import { inTurns, surroundings } from '../../platform/worker-kit';

const { surround, here } = surroundings();
const turns = inTurns();
const bakeOf = (formula: Formula) => bakeCaseFor(formula, here().kitchen, here().pantry);

const api = {
  surround,
  /** Ends what is running. */
  stop: turns.stop,
  /** Null: stopped, or nothing to work with. */
  async looks(formula: Formula, told: (share: number) => void): Promise<LooksStudy | null> {
    const theCase = bakeOf(formula);
    return theCase && turns.run(looksStudy(theCase), told);
  },
  /** Every `parts`th cell of a map. Cells are told in batches as they come, and all of them once more at the end: what is told may arrive late. */
  async map(
    formula: Formula,
    { thicknesses, temperatures }: { readonly thicknesses: readonly number[]; readonly temperatures: readonly number[] },
    share: { readonly part: number; readonly parts: number },
    told: (cells: readonly PairCell[]) => void,
  ): Promise<readonly PairCell[] | null> {
    const theCase = bakeOf(formula);
    if (!theCase) return null;
    const all: PairCell[] = [];
    let batch: PairCell[] = [];
    const cells = pairMap(theCase, thicknesses, temperatures, share);
    const finished = await turns.run(cells, (cell) => {
      all.push(cell);
      batch.push(cell);
      if (batch.length >= 20) {
        told(batch);
        batch = [];
      }
    });
    return finished === null ? null : all;
  },
  /** What one weighed tray says of the oven, or what is wrong with the weighing. */
  weigh: (formula: Formula, weighing: TrayWeighing): Reply<LearnedHeat> =>
    replyTo(() => {
      const theCase = bakeOf(formula);
      if (!theCase) throw new InputError('', 'the formula itself cannot be worked out yet');
      return heatFromWeighing(theCase, weighing);
    }),
};
export type BakeStudyApi = typeof api;
expose(api);
