import { Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import PgBoss from 'pg-boss';
import { config } from './config.js';
import { KitchenScope } from './kitchen-scope.js';
import { log } from './log.js';

/** What is done after the answer, and what each needs to know. */
export type LaterJobs = {
  /** A bake taught something: of its blend's thirst, and of its oven and goods. */
  readonly thirst: { readonly formulaId: string; readonly version: number };
  readonly bakes: { readonly formulaId: string; readonly version: number };
};
type Name = keyof LaterJobs;
const NAMES: readonly Name[] = ['thirst', 'bakes'];

/** A worker that dies leaves its job; after so long another takes it up, this often. */
const policy = { policy: 'stately', expireInSeconds: 120, retryLimit: 3, retryDelay: 2 } as const;
const boss = (url: string, more: PgBoss.ConstructorOptions) =>
  new PgBoss({ connectionString: url, application_name: 'north-leaf later', max: 2, schedule: false, ...more });

/** The queue's own tables, made by the role that owns tables. */
export async function prepareLater(url: string): Promise<void> {
  const owner = boss(url, { migrate: true, supervise: false });
  await owner.start();
  for (const name of NAMES)
    await ((await owner.getQueue(name)) ? owner.updateQueue(name, { name, ...policy }) : owner.createQueue(name, { name, ...policy }));
  await owner.stop({ graceful: false });
}

/**
 * Work that goes on after an answer, in a queue that survives a restart. What is waiting already is not queued twice; while a job of
 * one subject runs, the next of it waits.
 */
@Injectable()
export class Later implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly boss = boss(config.databaseUrl, { migrate: false, maintenanceIntervalSeconds: 30 });
  private readonly handlers = new Map<Name, (data: never) => Promise<void>>();

  constructor(private readonly scope: KitchenScope) {
    this.boss.on('error', (err) => log.warn({ err }, 'the queue of later work'));
  }

  /** Whoever can do a job says so as it is made. */
  does<N extends Name>(name: N, handler: (data: LaterJobs[N]) => Promise<void>): void {
    this.handlers.set(name, handler);
  }

  /** Queued with what the request stores: both or neither. */
  async ask<N extends Name>(name: N, about: string, data: LaterJobs[N]): Promise<void> {
    const kitchenId = await this.scope.id();
    const { manager } = this.scope;
    const db = { executeSql: async (text: string, values: unknown[]) => ({ rows: await manager.query<unknown[]>(text, values) }) };
    await this.boss.send(name, { ...data, kitchenId }, { singletonKey: `${kitchenId}:${about}`, db });
  }

  async onApplicationBootstrap(): Promise<void> {
    await this.boss.start();
    for (const [name, handler] of this.handlers)
      await this.boss.work<{ kitchenId: string }>(name, { pollingIntervalSeconds: 1 }, async (jobs) => {
        for (const { data } of jobs) await this.scope.enter(() => handler(data as never), data.kitchenId);
      });
  }

  async beforeApplicationShutdown(): Promise<void> {
    await this.boss.stop({ graceful: true, timeout: 3000 });
  }
}
