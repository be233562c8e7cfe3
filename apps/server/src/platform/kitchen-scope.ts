import { AsyncLocalStorage } from 'node:async_hooks';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { ApiError } from './http/errors.js';

/** What one request stands in: its kitchen, and the transaction it is in. */
type Surroundings = { kitchenId?: Promise<string>; readonly manager: EntityManager | null };

/** Another process learns within this time that another kitchen stands open, ms. */
const KNOWN_MS = 2000;
const NO_KITCHEN = 'This installation has no kitchen yet: begin one.';

/**
 * Whose rows a request sees, and the connection it sees them through: both travel with the request, so that nothing inside a
 * transaction can ask the pool for a second connection and wait for somebody who waits for the first.
 * Today an installation has one kitchen open; when accounts come, only `enter` learns from the request which one it is.
 */
@Injectable()
export class KitchenScope {
  private readonly around = new AsyncLocalStorage<Surroundings>();

  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /** Begins a request, or a job that is like one. */
  enter<R>(work: () => R, kitchenId?: string): R {
    return this.around.run({ manager: null, ...(kitchenId === undefined ? {} : { kitchenId: Promise.resolve(kitchenId) }) }, work);
  }

  get manager(): EntityManager {
    return this.around.getStore()?.manager ?? this.database.manager;
  }

  /** Everything in `work`, whoever does it, is stored together or not at all; inside another transaction it is part of that one. */
  transaction<R>(work: () => Promise<R>): Promise<R> {
    const outer = this.around.getStore();
    if (outer?.manager) return work();
    return this.database.transaction((manager) => this.around.run({ ...outer, manager }, work));
  }

  /** Rows by a statement of our own, through the request's connection. */
  query<R>(sql: string, parameters: readonly unknown[] = []): Promise<R[]> {
    return this.manager.query<R[]>(sql, [...parameters]);
  }

  /** Until the transaction ends, nobody else does what has this name in this kitchen. */
  async lock(name: string): Promise<void> {
    await this.query('SELECT pg_advisory_xact_lock(hashtextextended($1, 0))', [`${await this.id()}:${name}`]);
  }

  async id(): Promise<string> {
    const request = this.around.getStore();
    if (!request) return this.firstKitchen();
    return (request.kitchenId ??= this.firstKitchen());
  }

  private known: { readonly id: string; readonly at: number } | undefined;
  private async firstKitchen(): Promise<string> {
    const known = this.known;
    if (known !== undefined && performance.now() - known.at < KNOWN_MS) return known.id;
    const [first] = await this.query<{ id: string }>('SELECT id FROM kitchens ORDER BY "openedAt" DESC NULLS LAST, "createdAt" LIMIT 1');
    if (!first) throw new ApiError('notFound', NO_KITCHEN);
    this.known = { id: first.id, at: performance.now() };
    return first.id;
  }

  /** Another kitchen stands open from now on. */
  async open(id: string): Promise<boolean> {
    const [opened] = await this.query<{ id: string }[]>(
      'UPDATE "kitchens" SET "openedAt" = clock_timestamp() WHERE "id" = $1 RETURNING "id"',
      [id],
    );
    this.known = undefined;
    return (opened?.length ?? 0) > 0;
  }
}
