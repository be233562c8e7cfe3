import { parentPort } from 'node:worker_threads';
import { InputError } from '@north-leaf/core';
import * as highsPackage from 'highs';
import { fastThenSureEngine } from './engine.js';
import { doJob, type SolverJob } from './jobs.js';

/** What goes back: the answer, or what was wrong with the question. Anything else ends the thread. */
export type SolverReply =
  { readonly ok: true; readonly answer: unknown } | { readonly ok: false; readonly path: string; readonly message: string };

const engine = fastThenSureEngine(await (highsPackage.default as unknown as typeof highsPackage.default.default)());

parentPort!.on('message', (job: SolverJob) => {
  try {
    parentPort!.postMessage({ ok: true, answer: doJob(job, engine) } satisfies SolverReply);
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    parentPort!.postMessage({ ok: false, path: error.path, message: error.message } satisfies SolverReply);
  }
});
parentPort!.postMessage('ready');
