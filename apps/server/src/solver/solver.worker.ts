import * as highsPackage from 'highs';
import { replyTo, type Reply } from '@north-leaf/core';
import { fastThenSureEngine } from './engine.js';
import { doJob, type SolverAnswer, type SolverJob } from './jobs.js';

const engine = fastThenSureEngine(await (highsPackage.default as unknown as typeof highsPackage.default.default)());

export default (job: SolverJob): Reply<SolverAnswer<SolverJob>> => replyTo(() => doJob(job, engine));
