import { Test } from '@nestjs/testing';
import { getDataSourceToken } from '@nestjs/typeorm';
import request from 'supertest';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { DataSource } from 'typeorm';

export type AnApp = {
  readonly app: NestExpressApplication;
  readonly database: DataSource;
  readonly http: () => ReturnType<typeof request>;
};

/** The whole server on a freshly seeded database of this worker's own. */
export async function anApp(): Promise<AnApp> {
  // The address must stand before the server's config is read.
  process.env['DATABASE_URL'] =
    `${process.env['TEST_DATABASE_URL'] ?? 'postgres://northleaf@127.0.0.1:55433/northleaf_test'}_${process.env['JEST_WORKER_ID'] ?? '1'}`;
  process.env['LOG_LEVEL'] = 'silent';
  const { openDatabase } = await import('../database.js');
  const { seedDemo } = await import('../seed.js');
  const prepared = await openDatabase(undefined, { empty: true });
  await seedDemo(prepared);
  await prepared.destroy();
  const { AppModule } = await import('../app.module.js');
  const { configureApp } = await import('../app.js');
  const built = await Test.createTestingModule({ imports: [AppModule] }).compile();
  const app = configureApp(built.createNestApplication<NestExpressApplication>({ logger: false, bodyParser: false }));
  await app.init();
  return { app, database: app.get(getDataSourceToken()), http: () => request(app.getHttpServer()) };
}
