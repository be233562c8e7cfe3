import 'reflect-metadata';
import { DataSource, type DataSourceOptions } from 'typeorm';
import { BakeEventEntity } from './bakes/bake-event.entity.js';
import { BakePhotoEntity } from './bakes/bake-photo.entity.js';
import { BakeEntity } from './bakes/bake.entity.js';
import { BlendEntity } from './blends/blend.entity.js';
import { DraftEntity } from './formulas/draft.entity.js';
import { FormulaVersionEntity } from './formulas/formula-version.entity.js';
import { FormulaEntity } from './formulas/formula.entity.js';
import { KitchenEntity } from './kitchen/kitchen.entity.js';
import { FirstTables1700000000000 } from './migrations/1700000000000-first-tables.js';
import { Pantry1764000000000 } from './migrations/1764000000000-pantry.js';
import { Judged1764500000000 } from './migrations/1764500000000-judged.js';
import { Runs1764200000000 } from './migrations/1764200000000-runs.js';
import { IngredientEntity } from './pantry/ingredient.entity.js';
import { LotUseEntity } from './pantry/lot-use.entity.js';
import { LotEntity } from './pantry/lot.entity.js';
import { PreparationEntity } from './pantry/preparation.entity.js';
import { config } from './platform/config.js';

/** Entities and migrations are named one by one: globs do not work in ES modules. */
export function databaseOptions(url = config.databaseUrl): DataSourceOptions {
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
      BakePhotoEntity,
    ],
    migrations: [FirstTables1700000000000, Pantry1764000000000, Runs1764200000000, Judged1764500000000],
    uuidExtension: 'pgcrypto',
    installExtensions: false,
    applicationName: 'north-leaf',
    extra: { max: 10, connectionTimeoutMillis: 5000 },
  };
}

/** A database brought up to date, emptied first when asked to (tests only). The caller closes it. */
export async function openDatabase(url?: string, { empty = false } = {}): Promise<DataSource> {
  const database = await new DataSource(databaseOptions(url)).initialize();
  if (empty) await database.query('DROP SCHEMA public CASCADE; CREATE SCHEMA public');
  await database.runMigrations({ transaction: 'each' });
  return database;
}
