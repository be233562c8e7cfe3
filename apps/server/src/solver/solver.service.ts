import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { InputError } from '@north-leaf/core';
import { ApiError } from '../platform/errors.js';
import { log } from '../platform/log.js';
import type { SolverAnswer, SolverJob } from './jobs.js';
import type { SolverReply } from './solver.worker.js';

/** No job may keep the others waiting longer. */
const LONGEST_MS = 30_000;
const MOST_WAITING = 20;

/** Tests run the sources, but a thread needs a file that Node itself can load: the built one. */
const workerFile = fileURLToPath(new URL('./solver.worker.js', import.meta.url)).replace(/([\\/])src([\\/]solver[\\/])/, '$1dist$2');

/**
 * The solver in a thread of its own, one job after the other. The engine blocks while it works and cannot be asked to stop:
 * a job that is no longer wanted, or takes too long, ends with its thread, and the next job gets a new one.
 */
@Injectable()
export class SolverService implements OnModuleDestroy {
  private worker: Promise<Worker> | null = null;
  private last: Promise<unknown> = Promise.resolve();
  private waiting = 0;

  run<J extends SolverJob>(job: J, signal: AbortSignal): Promise<SolverAnswer<J>> {
    if (this.waiting >= MOST_WAITING) throw new ApiError('tooMany', 'The solver has too much to do: try again in a minute.');
    this.waiting++;
    const turn = this.last.then(() => this.work(job, signal)).finally(() => this.waiting--);
    this.last = turn.catch(() => undefined);
    return turn as Promise<SolverAnswer<J>>;
  }

  async onModuleDestroy(): Promise<void> {
    await (await this.worker?.catch(() => null))?.terminate();
  }

  private async work(job: SolverJob, signal: AbortSignal): Promise<unknown> {
    if (signal.aborted) throw new ApiError('unavailable', 'Cancelled.');
    const worker = await (this.worker ??= started());
    const reply = await new Promise<SolverReply>((resolve, reject) => {
      const end = (error: ApiError) => {
        this.worker = null;
        void worker.terminate();
        reject(error);
      };
      const late = setTimeout(
        () => end(new ApiError('unavailable', 'No answer within 30 s. Allow fewer flours or drop a wish.')),
        LONGEST_MS,
      );
      const cancel = () => end(new ApiError('unavailable', 'Cancelled.'));
      const fail = (error: unknown) => {
        log.error({ err: error }, 'the solver failed');
        end(new ApiError('internal', 'The solver failed. It was logged; try again.'));
      };
      signal.addEventListener('abort', cancel, { once: true });
      worker.once('error', fail);
      worker.once('message', (message: SolverReply) => {
        clearTimeout(late);
        signal.removeEventListener('abort', cancel);
        worker.off('error', fail);
        resolve(message);
      });
      worker.postMessage(job);
    });
    if (!reply.ok) throw new InputError(reply.path, reply.message);
    return reply.answer;
  }
}

function started(): Promise<Worker> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(workerFile);
    worker.once('error', reject);
    worker.once('message', () => {
      worker.off('error', reject);
      worker.unref();
      resolve(worker);
    });
  });
}
