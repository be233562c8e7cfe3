import { replyTo, type Reply } from '@north-leaf/core';
import { evaluated, type EvaluatorAnswer, type EvaluatorJob } from './jobs.js';

export default (job: EvaluatorJob): Reply<EvaluatorAnswer<EvaluatorJob>> => replyTo(() => evaluated(job));
