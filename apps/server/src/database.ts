import 'reflect-metadata';
import { Client } from 'pg';
import { DataSource, type DataSourceOptions } from 'typeorm';
import { BakeEventEntity } from './bakes/bake-event.entity.js';
import { BakeEntity } from './bakes/bake.entity.js';
import { UnderWayEntity } from './bakes/under-way.entity.js';
import { BlendEntity } from './blends/blend.entity.js';
import { FileEntity } from './files/file.entity.js';
import { DraftEntity } from './formulas/draft.entity.js';
import { FormulaVersionEntity } from './formulas/formula-version.entity.js';
import { FormulaEntity } from './formulas/formula.entity.js';
import { KitchenEntity } from './kitchen/kitchen.entity.js';
import { FirstTables1700000000000 } from './migrations/1700000000000-first-tables.js';
import { Pantry1764000000000 } from './migrations/1764000000000-pantry.js';
import { Judged1764500000000 } from './migrations/1764500000000-judged.js';
import { Busy1764600000000 } from './migrations/1764600000000-busy.js';
import { Runs1764200000000 } from './migrations/1764200000000-runs.js';
import { Kitchens1764700000000 } from './migrations/1764700000000-kitchens.js';
import { Files1764800000000 } from './migrations/1764800000000-files.js';
import { IngredientEntity } from './pantry/ingredient.entity.js';
import { LotUseEntity } from './pantry/lot-use.entity.js';
import { LotEntity } from './pantry/lot.entity.js';
import { PreparationEntity } from './pantry/preparation.entity.js';
import { config } from './platform/config.js';

const CONNECTIONS = 10;
/** Nothing that is asked of the database may hold the others up for longer, ms. Only serving has them: a migration takes as long as it takes. */
const patience = {
  statement_timeout: 15_000,
  lock_timeout: 5_000,
  idle_in_transaction_session_timeout: 10_000,
  query_timeout: 20_000,
};

/**
 * A connection that is cut is an answer, never the end of the server. As the pool hands one out it stops listening, and who takes it
 * listens a moment later: a cut that was told in that moment went unheard, and unheard it ends the process.
 */
class HeardClient extends Client {
  constructor(...options: ConstructorParameters<typeof Client>) {
    super(...options);
    this.on('error', () => undefined);
  }
}

/** Entities and migrations are named one by one: globs do not work in ES modules. */
export function databaseOptions(url: string, more: Readonly<Record<string, number>> = {}): DataSourceOptions {
  return {
    type: 'postgres',
    url,
    synchronize: false,
    logging: ['error'],
    entities: [
      KitchenEntity,
      IngredientEntity,
      LotEntity,
      LotUseEntity,
      PreparationEntity,
      BlendEntity,
      FormulaEntity,
      DraftEntity,
      FormulaVersionEntity,
      BakeEntity,
      BakeEventEntity,
      FileEntity,
      UnderWayEntity,
    ],
    migrations: [
      FirstTables1700000000000,
      Pantry1764000000000,
      Runs1764200000000,
      Judged1764500000000,
      Busy1764600000000,
      Kitchens1764700000000,
      Files1764800000000,
    ],
    uuidExtension: 'pgcrypto',
    installExtensions: false,
    applicationName: 'north-leaf',
    extra: { Client: HeardClient, max: CONNECTIONS, connectionTimeoutMillis: 5000, ...more },
  };
}

export const servingOptions = (): DataSourceOptions => databaseOptions(config.databaseUrl, patience);

/** A database brought up to date, emptied first when asked to (tests only), and opened to the role that serves. The caller closes it. */
export async function openDatabase(url = config.ownerUrl, { empty = false } = {}): Promise<DataSource> {
  const database = await new DataSource(databaseOptions(url)).initialize();
  if (empty) await database.query('DROP SCHEMA IF EXISTS pgboss CASCADE; DROP SCHEMA public CASCADE; CREATE SCHEMA public');
  await database.runMigrations({ transaction: 'each' });
  await openToServer(database);
  return database;
}

/** Rows, and no more: the role that serves can neither change a table nor take away a trigger that guards one. */
export async function openToServer(database: DataSource): Promise<void> {
  await database.query(`DO $$ DECLARE place text; BEGIN
    IF EXISTS (SELECT FROM pg_roles WHERE rolname = 'northleaf_server') THEN
      FOR place IN SELECT nspname FROM pg_namespace WHERE nspname IN ('public', 'pgboss') LOOP
        EXECUTE format('GRANT USAGE ON SCHEMA %I TO northleaf_server', place);
        EXECUTE format('GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA %I TO northleaf_server', place);
        EXECUTE format('GRANT USAGE ON ALL SEQUENCES IN SCHEMA %I TO northleaf_server', place);
      END LOOP;
      REVOKE INSERT, UPDATE, DELETE ON "migrations" FROM northleaf_server;
    END IF;
  END $$`);
}
