import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import {
  DataSource,
  type DeepPartial,
  type EntityManager,
  type EntityTarget,
  type FindManyOptions,
  type FindOptionsWhere,
  type ObjectLiteral,
} from 'typeorm';
import { ApiError } from './errors.js';

/** A row that belongs to a kitchen: every row but the kitchen itself. */
export type OfKitchen = ObjectLiteral & { kitchenId: string };

/** A table as one kitchen sees it: what it reads is filtered and what it writes is marked. */
export class ScopedTable<T extends OfKitchen> {
  constructor(
    private readonly manager: EntityManager,
    private readonly entity: EntityTarget<T>,
    private readonly kitchenId: string,
  ) {}

  find(options: Omit<FindManyOptions<T>, 'where'> & { where?: FindOptionsWhere<T> | FindOptionsWhere<T>[] } = {}): Promise<T[]> {
    return this.manager.find(this.entity, {
      ...options,
      where: Array.isArray(options.where) ? options.where.map((where) => this.mine(where)) : this.mine(options.where),
    });
  }
  findOne(where: FindOptionsWhere<T>): Promise<T | null> {
    return this.manager.findOne(this.entity, { where: this.mine(where) });
  }
  /** Holds the row until the transaction ends: two saves at once go one after the other. */
  findOneLocked(where: FindOptionsWhere<T>): Promise<T | null> {
    return this.manager.findOne(this.entity, { where: this.mine(where), lock: { mode: 'for_no_key_update' } });
  }
  async insert(row: Omit<T, 'kitchenId'>): Promise<void> {
    await this.manager.insert(this.entity, { ...row, kitchenId: this.kitchenId } as never);
  }
  /** Rows changed. */
  async update(where: FindOptionsWhere<T>, patch: DeepPartial<T>): Promise<number> {
    return (await this.manager.update(this.entity, this.mine(where), patch as never)).affected ?? 0;
  }
  async delete(where: FindOptionsWhere<T>): Promise<number> {
    return (await this.manager.delete(this.entity, this.mine(where))).affected ?? 0;
  }
  count(where: FindOptionsWhere<T> = {}): Promise<number> {
    return this.manager.count(this.entity, { where: this.mine(where) });
  }

  private mine(where: FindOptionsWhere<T> = {}): FindOptionsWhere<T> {
    return { ...where, kitchenId: this.kitchenId } as FindOptionsWhere<T>;
  }
}

/**
 * The one way to the tables. Today an installation has one kitchen; when accounts come, only this class learns
 * from the request which kitchen it is.
 */
@Injectable()
export class KitchenScope {
  private kitchenId: string | undefined;

  constructor(@InjectDataSource() private readonly database: DataSource) {}

  async table<T extends OfKitchen>(entity: EntityTarget<T>, manager?: EntityManager): Promise<ScopedTable<T>> {
    return new ScopedTable(manager ?? this.database.manager, entity, await this.id());
  }

  transaction<R>(work: (manager: EntityManager) => Promise<R>): Promise<R> {
    return this.database.transaction(work);
  }

  async id(): Promise<string> {
    if (this.kitchenId === undefined) {
      const [first] = await this.database.query<{ id: string }[]>('SELECT id FROM kitchens ORDER BY "createdAt" LIMIT 1');
      if (!first) throw new ApiError('notFound', 'This installation has no kitchen yet. Start it with the demo, or import one.');
      this.kitchenId = first.id;
    }
    return this.kitchenId;
  }
}
