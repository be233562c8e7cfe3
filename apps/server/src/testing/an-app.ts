import { Test } from '@nestjs/testing';
import { getDataSourceToken } from '@nestjs/typeorm';
import { Client } from 'pg';
import request from 'supertest';
import { aDatabase } from './a-database.js';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { DataSource } from 'typeorm';

export type AnApp = {
  readonly app: NestExpressApplication;
  readonly database: DataSource;
  readonly http: () => ReturnType<typeof request>;
  /** A statement that the serving role may not make. */
  readonly asOwner: (sql: string, parameters?: readonly unknown[]) => Promise<void>;
};

/** The whole server on a freshly seeded database of this worker's own. */
export async function anApp(): Promise<AnApp> {
  const { ownerUrl } = aDatabase('made');
  const { AppModule } = await import('../app.module.js');
  const { configureApp } = await import('../app.js');
  const built = await Test.createTestingModule({ imports: [AppModule] }).compile();
  const app = configureApp(built.createNestApplication<NestExpressApplication>({ logger: false, bodyParser: false }));
  await app.listen(0, '127.0.0.1');
  const asOwner = async (sql: string, parameters: readonly unknown[] = []) => {
    const client = new Client({ connectionString: ownerUrl });
    await client.connect();
    await client.query(sql, [...parameters]).finally(() => client.end());
  };
  return { app, database: app.get(getDataSourceToken()), http: () => request(app.getHttpServer()), asOwner };
}

/** Until what was asked gives what is waited for: learning goes on after the answer. */
export async function until<T>(ask: () => Promise<T>, is: (answer: T) => boolean, seconds = 20): Promise<T> {
  for (const end = Date.now() + seconds * 1000; ;) {
    const answer = await ask();
    if (is(answer) || Date.now() > end) return answer;
    await new Promise((rest) => setTimeout(rest, 100));
  }
}
