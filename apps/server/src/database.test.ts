import { randomUUID } from 'node:crypto';
import { demoKitchen } from '@north-leaf/core';
import { aDatabase } from './testing/a-database.js';
import type { DataSource } from 'typeorm';

const { ownerUrl: url } = aDatabase('empty');

type Connection = { emit(event: 'error', error: Error): boolean; release(): void };
let database: DataSource;
const count = async (table: string) => Number((await database.query<{ n: string }[]>(`SELECT count(*) AS n FROM "${table}"`))[0]!.n);

beforeEach(async () => {
  const { openDatabase } = await import('./database.js');
  database = await openDatabase(url, { empty: true });
}, 30_000);
afterEach(() => database.destroy());

describe('the database', () => {
  it('is brought up to date once: a second time there is nothing to do', async () => {
    expect(await database.runMigrations()).toHaveLength(0);
  });

  it('a connection that is cut as the pool hands it out does not end the process', async () => {
    const { master } = database.driver as unknown as { master: { connect(): Promise<Connection> } };
    const connection = await master.connect();
    expect(() => connection.emit('error', new Error('terminating connection due to administrator command'))).not.toThrow();
    connection.release();
  });

  it('can be taken back to nothing and up again', async () => {
    const steps = database.migrations.length;
    for (let step = 0; step < steps; step++) await database.undoLastMigration();
    const tables = await database.query<{ name: string }[]>(
      `SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public'`,
    );
    expect(tables.map(({ name }) => name)).toEqual(['migrations']);
    expect(await database.runMigrations()).toHaveLength(steps);
  });

  it('pictures of bakes move to the one place and back', async () => {
    const { seedDemo } = await import('./installation/demo.js');
    await seedDemo(database, { small: true });
    const [bake] = await database.query<{ id: string; kitchenId: string }[]>('SELECT "id", "kitchenId" FROM "bakes" LIMIT 1');
    const id = randomUUID();
    await database.query(`INSERT INTO "files" VALUES ($1, $2, 'bake', $3, '\\xff', now()), ($1, $4, 'lot', 'x', '\\xfe', now())`, [
      bake!.kitchenId,
      id,
      bake!.id,
      randomUUID(),
    ]);
    await database.undoLastMigration();
    expect(await database.query('SELECT "id", "bakeId" FROM "bake_photos"')).toEqual([{ id, bakeId: bake!.id }]);
    await database.runMigrations();
    expect(await database.query('SELECT "id", "of", "ofId" FROM "files"')).toEqual([{ id, of: 'bake', ofId: bake!.id }]);
  });

  it('every table but the kitchens has a kitchen, and goes when it goes', async () => {
    const { seedDemo } = await import('./installation/demo.js');
    await seedDemo(database, { small: true });
    const tables = await database.query<{ name: string }[]>(
      `SELECT table_name AS name FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'kitchenId' ORDER BY 1`,
    );
    expect(tables.map(({ name }) => name)).toEqual([
      'bake_events',
      'bakes',
      'blends',
      'files',
      'formula_drafts',
      'formula_versions',
      'formulas',
      'ingredients',
      'lot_uses',
      'lots',
      'preparations',
      'runs_under_way',
    ]);
  });

  it('is seeded once, whole: a second seed adds nothing', async () => {
    const { seedDemo } = await import('./installation/demo.js');
    await seedDemo(database, { small: true });
    const before = await Promise.all(['kitchens', 'lots', 'formulas', 'formula_versions', 'bakes', 'bake_events'].map(count));
    await seedDemo(database, { small: true });
    expect(await Promise.all(['kitchens', 'lots', 'formulas', 'formula_versions', 'bakes', 'bake_events'].map(count))).toEqual(before);
    expect(before.slice(0, 1)).toEqual([1]);
    expect(before[3]).toBe(3);
  });

  it('a seed that fails half-way leaves nothing behind', async () => {
    const { seedDemo } = await import('./installation/demo.js');
    await database.query('ALTER TABLE "bake_events" ADD CONSTRAINT "never" CHECK (false)');
    await expect(seedDemo(database, { small: true })).rejects.toThrow();
    expect(await count('kitchens')).toBe(0);
  });

  it('refuses to change a version or an event, and a bake of a version that is not there', async () => {
    const { seedDemo } = await import('./installation/demo.js');
    await seedDemo(database, { small: true });
    await expect(database.query('UPDATE "bake_events" SET "at" = now()')).rejects.toThrow(/never changed/);
    await expect(
      database.query(`INSERT INTO "bakes" VALUES ($1, $2, 99, $3, 42, 1, 20, 0.5, now())`, [randomUUID(), demoKitchen.id, randomUUID()]),
    ).rejects.toThrow(/bakes_of_version/);
  });
});
