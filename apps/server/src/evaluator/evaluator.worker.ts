import { replyTo, type Reply } from '../platform/reply.js';
import { evaluated, type EvaluatorAnswer, type EvaluatorJob } from './jobs.js';

export default (job: EvaluatorJob): Reply<EvaluatorAnswer<EvaluatorJob>> => replyTo(() => evaluated(job));
