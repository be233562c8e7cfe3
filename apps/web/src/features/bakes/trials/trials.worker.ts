import { explainChange, type Explanation, type Kitchen, type Pantry, type RecordedBake } from '@north-leaf/core';
import { expose } from 'comlink';

const api = {
  /** One explanation for each step of the chain. */
  explain(chain: readonly RecordedBake[], kitchen: Kitchen, pantry: Pantry): Explanation[] {
    return chain.slice(1).map((after, i) => explainChange(chain[i]!, after, kitchen, pantry));
  },
};
export type TrialsApi = typeof api;
expose(api);
