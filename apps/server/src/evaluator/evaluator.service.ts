import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Threads } from '../platform/threads.js';
import type { EvaluatorAnswer, EvaluatorJob } from './jobs.js';

/** Formulas worked out beside the server's own thread: whoever weighs does not wait for whoever saves. */
@Injectable()
export class EvaluatorService implements OnModuleDestroy {
  private readonly threads = new Threads(import.meta.url, './evaluator.worker.js', {
    threads: 2,
    ready: 1,
    waiting: 60,
    longestS: 20,
    busy: 'Too many formulas are being worked out: try again in a moment.',
    late: 'This formula was not worked out within 20 s. Are its numbers what you meant?',
  });

  run<J extends EvaluatorJob>(job: J): Promise<EvaluatorAnswer<J>> {
    return this.threads.run(job);
  }

  onModuleDestroy(): Promise<void> {
    return this.threads.close();
  }
}
