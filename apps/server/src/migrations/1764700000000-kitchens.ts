import type { MigrationInterface, QueryRunner } from 'typeorm';

/** An installation may hold several kitchens; the one that was opened last is the one that is seen. */
export class Kitchens1764700000000 implements MigrationInterface {
  name = 'Kitchens1764700000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(`ALTER TABLE "kitchens" ADD "openedAt" timestamptz`);
  }

  async down(query: QueryRunner): Promise<void> {
    await query.query(`ALTER TABLE "kitchens" DROP "openedAt"`);
  }
}
