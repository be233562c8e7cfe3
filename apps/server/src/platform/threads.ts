import { fileURLToPath } from 'node:url';
import { InputError, type Reply } from '@north-leaf/core';
import { Piscina } from 'piscina';
import { ApiError } from './http/errors.js';
import { log } from './log.js';

/** Threads for one kind of work, beside the one that answers requests. The work blocks and cannot be asked to stop: it ends with its thread. */
export class Threads {
  private readonly pool: Piscina;

  constructor(
    /** `import.meta.url` of the caller, and the file beside it. */ beside: string,
    file: string,
    private readonly limits: {
      readonly threads: number;
      /** Kept ready, so that the first who asks does not wait for it to begin. */ readonly ready?: number;
      readonly waiting: number;
      readonly longestS: number;
      readonly busy: string;
      readonly late: string;
    },
  ) {
    // Tests run the sources, but a thread needs a file that Node itself can load: the built one.
    const filename = fileURLToPath(new URL(file, beside)).replace(/([\\/])src([\\/][a-z]+[\\/][a-z-]+\.worker\.js)$/, '$1dist$2');
    this.pool = new Piscina({
      filename,
      minThreads: limits.ready ?? 0,
      maxThreads: limits.threads,
      maxQueue: limits.waiting,
      idleTimeout: 60_000,
    });
  }

  async run<A>(question: unknown, signal?: AbortSignal): Promise<A> {
    if (signal?.aborted) throw new ApiError('unavailable', 'Cancelled.');
    if (this.pool.queueSize >= this.limits.waiting) throw new ApiError('tooMany', this.limits.busy);
    const late = AbortSignal.timeout(this.limits.longestS * 1000);
    let reply: Reply<A>;
    try {
      reply = (await this.pool.run(question, { signal: signal ? AbortSignal.any([signal, late]) : late })) as Reply<A>;
    } catch (error) {
      if (signal?.aborted) throw new ApiError('unavailable', 'Cancelled.');
      if (late.aborted) throw new ApiError('unavailable', this.limits.late);
      if (this.closing) throw new ApiError('unavailable', 'North Leaf is being stopped. Try again when it is back.');
      log.error({ err: error }, 'a thread failed');
      throw new ApiError('internal', 'Working it out failed. It was logged; try again.');
    }
    if (!reply.ok) throw new InputError(reply.refused.path, reply.refused.message);
    return reply.answer;
  }

  private closing = false;
  async close(): Promise<void> {
    this.closing = true;
    await this.pool.destroy();
  }
}
