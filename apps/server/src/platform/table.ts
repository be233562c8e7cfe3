import { Inject, type Provider } from '@nestjs/common';
import { FindOperator, type DeepPartial, type EntityTarget, type FindOptionsWhere, type ObjectLiteral } from 'typeorm';
import { KitchenScope } from './kitchen-scope.js';

/** A row that belongs to a kitchen: every row but the kitchen itself. */
export type OfKitchen = ObjectLiteral & { kitchenId: string };
type Entity<T> = EntityTarget<T> & { readonly name: string };

type Where<T> = FindOptionsWhere<T>;
type Reading<T> = {
  readonly where?: Where<T>;
  readonly select?: { readonly [K in keyof T]?: true };
  readonly order?: { readonly [K in keyof T]?: 'ASC' | 'DESC' };
  readonly take?: number;
};

/**
 * A table as the request's kitchen sees it: what it reads is filtered and what it writes is marked. Rows are read and put in by plain statements
 * through the entity's own columns: the library's way of putting one together takes longer than all the rest of a weighing.
 */
export class Table<T extends OfKitchen> {
  constructor(
    private readonly scope: KitchenScope,
    private readonly entity: EntityTarget<T>,
  ) {}

  find(reading: Reading<T> = {}): Promise<T[]> {
    return this.read(reading);
  }
  async findOne(where: Where<T>): Promise<T | null> {
    return (await this.read({ where, take: 1 }))[0] ?? null;
  }
  /** Holds the row until the transaction ends: two saves at once go one after the other. */
  async findOneLocked(where: Where<T>): Promise<T | null> {
    return (await this.read({ where, take: 1 }, 'FOR NO KEY UPDATE'))[0] ?? null;
  }

  private async read({ where, select, order, take }: Reading<T>, lock = ''): Promise<T[]> {
    const { connection } = this.scope.manager;
    const { tableName, columns } = connection.getMetadata(this.entity);
    const quoted = (property: string) => this.quoted(property);
    const wanted = select ? columns.filter(({ propertyName }) => propertyName in select) : columns;
    const { conditions, parameters } = await this.conditions(where);
    const sorted = Object.entries(order ?? {}).map(([property, way]) => `${quoted(property)} ${way === 'DESC' ? 'DESC' : 'ASC'}`);
    const rows = await this.scope.query<Record<string, unknown>>(
      [
        `SELECT ${wanted.map(({ databaseName }) => `"${databaseName}"`).join(', ')} FROM "${tableName}" WHERE ${conditions}`,
        ...(sorted.length > 0 ? [`ORDER BY ${sorted.join(', ')}`] : []),
        ...(take === undefined ? [] : [`LIMIT ${take}`]),
        lock,
      ].join(' '),
      parameters,
    );
    const read = (row: Record<string, unknown>) =>
      Object.fromEntries(
        wanted.map((column) => [column.propertyName, connection.driver.prepareHydratedValue(row[column.databaseName], column) as unknown]),
      ) as T;
    return rows.map(read);
  }

  async insert(...rows: readonly Omit<T, 'kitchenId'>[]): Promise<void> {
    await this.write(rows, '');
  }
  /** Those whose key no row has yet; gives what `returning` names of each that was stored. */
  insertNew<K extends keyof T & string>(rows: readonly Omit<T, 'kitchenId'>[], returning: K): Promise<Pick<T, K>[]> {
    return this.write(rows, `ON CONFLICT DO NOTHING RETURNING ${this.quoted(returning)}`);
  }

  private async write<R>(rows: readonly Omit<T, 'kitchenId'>[], end: string): Promise<R[]> {
    const [first] = rows;
    if (!first) return [];
    const kitchenId = await this.scope.id();
    const { tableName } = this.scope.manager.connection.getMetadata(this.entity);
    const given = Object.entries(first).filter(([, value]) => value !== undefined);
    const names = ['kitchenId', ...given.map(([property]) => property)].map((property) => this.quoted(property)).join(', ');
    // Bytes have no way of their own through JSON.
    const told = (value: unknown) => (Buffer.isBuffer(value) ? `\\x${value.toString('hex')}` : value);
    const written = rows.map((row) => ({
      kitchenId,
      ...Object.fromEntries(Object.entries(row).map(([key, value]) => [key, told(value)])),
    }));
    return this.scope.query<R>(
      `INSERT INTO "${tableName}" (${names}) SELECT ${names} FROM jsonb_populate_recordset(NULL::"${tableName}", $1) ${end}`,
      [JSON.stringify(written)],
    );
  }

  private quoted(property: string): string {
    const { tableName, columns } = this.scope.manager.connection.getMetadata(this.entity);
    const column = columns.find(({ propertyName }) => propertyName === property);
    if (!column) throw new Error(`${tableName} has no ${property}`);
    return `"${column.databaseName}"`;
  }

  private async conditions(where?: Where<T>): Promise<{ readonly conditions: string; readonly parameters: readonly unknown[] }> {
    const parameters: unknown[] = [];
    const conditions = Object.entries(await this.mine(where)).map(([property, value]: [string, unknown]) => {
      const many = value instanceof FindOperator;
      parameters.push(many ? value.value : value);
      return many ? `${this.quoted(property)} = ANY($${parameters.length})` : `${this.quoted(property)} = $${parameters.length}`;
    });
    return { conditions: conditions.join(' AND '), parameters };
  }

  /** Rows changed. */
  async update(where: FindOptionsWhere<T>, patch: DeepPartial<T>): Promise<number> {
    return (await this.scope.manager.update(this.entity, await this.mine(where), patch as never)).affected ?? 0;
  }
  async delete(where: FindOptionsWhere<T>): Promise<void> {
    const { conditions, parameters } = await this.conditions(where);
    await this.scope.query(
      `DELETE FROM "${this.scope.manager.connection.getMetadata(this.entity).tableName}" WHERE ${conditions}`,
      parameters,
    );
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
