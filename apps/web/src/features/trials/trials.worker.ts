import { explainChange, type Explanation, type RecordedBake } from '@north-leaf/core';
import { expose } from 'comlink';
import { surroundings } from '../../platform/worker-kit';

const { surround, here } = surroundings();
const api = {
  surround,
  /** One explanation for each step of the chain. */
  explain: (chain: readonly RecordedBake[]): Explanation[] =>
    chain.slice(1).map((after, i) => explainChange(chain[i]!, after, here().kitchen, here().pantry)),
};
export type TrialsApi = typeof api;
expose(api);
