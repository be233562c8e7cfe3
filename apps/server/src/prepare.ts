import { openDatabase } from './database.js';
import { seedDemo } from './seed.js';

/** Brings the database up to date; `--seed` puts the demo into an empty one, `--empty` clears it first (tests only). */
const database = await openDatabase();
if (process.argv.includes('--empty')) {
  await database.dropDatabase();
  await database.runMigrations({ transaction: 'each' });
}
if (process.argv.includes('--seed')) await seedDemo(database);
await database.destroy();
