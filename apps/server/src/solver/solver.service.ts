import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Threads } from '../platform/threads.js';
import type { SolverAnswer, SolverJob } from './jobs.js';

/** The solver, beside the server's own thread; what nobody waits for any more is stopped. */
@Injectable()
export class SolverService implements OnModuleDestroy {
  // Two: learning from a bake keeps nobody waiting who looks for a blend.
  private readonly threads = new Threads(import.meta.url, './solver.worker.js', {
    threads: 2,
    waiting: 20,
    longestS: 30,
    busy: 'The solver has too much to do: try again in a minute.',
    late: 'No answer within 30 s. Allow fewer flours or drop a wish.',
  });

  run<J extends SolverJob>(job: J, signal?: AbortSignal): Promise<SolverAnswer<J>> {
    return this.threads.run(job, signal);
  }

  onModuleDestroy(): Promise<void> {
    return this.threads.close();
  }
}
