import { Inject, type Provider } from '@nestjs/common';
import type { DeepPartial, EntityTarget, FindManyOptions, FindOptionsWhere, ObjectLiteral } from 'typeorm';
import { KitchenScope } from './kitchen-scope.js';

/** A row that belongs to a kitchen: every row but the kitchen itself. */
export type OfKitchen = ObjectLiteral & { kitchenId: string };
type Entity<T> = EntityTarget<T> & { readonly name: string };

/** A table as the request's kitchen sees it: what it reads is filtered and what it writes is marked. */
export class Table<T extends OfKitchen> {
  constructor(
    private readonly scope: KitchenScope,
    private readonly entity: EntityTarget<T>,
  ) {}

  async find(options: Omit<FindManyOptions<T>, 'where'> & { where?: FindOptionsWhere<T> } = {}): Promise<T[]> {
    return this.scope.manager.find(this.entity, { ...options, where: await this.mine(options.where) });
  }
  async findOne(where: FindOptionsWhere<T>): Promise<T | null> {
    return this.scope.manager.findOne(this.entity, { where: await this.mine(where) });
  }
  /** Holds the row until the transaction ends: two saves at once go one after the other. */
  async findOneLocked(where: FindOptionsWhere<T>): Promise<T | null> {
    return this.scope.manager.findOne(this.entity, { where: await this.mine(where), lock: { mode: 'for_no_key_update' } });
  }
  async insert(...rows: readonly Omit<T, 'kitchenId'>[]): Promise<void> {
    if (rows.length === 0) return;
    const kitchenId = await this.scope.id();
    await this.scope.manager.insert(this.entity, rows.map((row) => ({ ...row, kitchenId })) as never);
  }
  /** Rows changed. */
  async update(where: FindOptionsWhere<T>, patch: DeepPartial<T>): Promise<number> {
    return (await this.scope.manager.update(this.entity, await this.mine(where), patch as never)).affected ?? 0;
  }
  async delete(where: FindOptionsWhere<T>): Promise<number> {
    return (await this.scope.manager.delete(this.entity, await this.mine(where))).affected ?? 0;
  }
  async count(where: FindOptionsWhere<T> = {}): Promise<number> {
    return this.scope.manager.count(this.entity, { where: await this.mine(where) });
  }

  private async mine(where: FindOptionsWhere<T> = {}): Promise<FindOptionsWhere<T>> {
    return { ...where, kitchenId: await this.scope.id() } as FindOptionsWhere<T>;
  }
}

const tokenOf = (entity: { readonly name: string }) => `table of ${entity.name}`;

/** `@InjectTable(BakeEntity) private readonly bakes: Table<BakeEntity>` */
export const InjectTable = (entity: { readonly name: string }) => Inject(tokenOf(entity));

/** What a module provides so that its services can have these tables. */
export const tables = (...entities: readonly Entity<OfKitchen>[]): Provider[] =>
  entities.map((entity) => ({
    provide: tokenOf(entity),
    inject: [KitchenScope],
    useFactory: (scope: KitchenScope) => new Table(scope, entity),
  }));
