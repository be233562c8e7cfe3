import { config } from './platform/config.js';
import { prepareLater } from './platform/later.js';
import { openDatabase, openToServer } from './database.js';
import { seedDemo } from './installation/demo.js';

/** Brings the database up to date; `--seed` puts the demo into an empty one, `--empty` clears it first (tests only). */
const database = await openDatabase(undefined, { empty: process.argv.includes('--empty') });
if (process.argv.includes('--seed')) await seedDemo(database);
await prepareLater(config.ownerUrl);
await openToServer(database);
await database.destroy();
