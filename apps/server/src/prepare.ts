import { config } from './platform/config.js';
import { prepareLater } from './platform/later.js';
import { openDatabase, openToServer } from './database.js';
import { seedDemo } from './installation/demo.js';

/** Brings the database up to date; `--demo` puts the demo into an empty one. Tests only: `--seed` a small demo, `--empty` clears it first. */
const database = await openDatabase(undefined, { empty: process.argv.includes('--empty') });
const small = process.argv.includes('--seed');
if (small || process.argv.includes('--demo')) await seedDemo(database, { small });
await prepareLater(config.ownerUrl);
await openToServer(database);
await database.destroy();
