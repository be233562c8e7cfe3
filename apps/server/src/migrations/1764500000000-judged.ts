import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What today's core says of a version that an older one judged stands beside the version, which never changes. */
export class Judged1764500000000 implements MigrationInterface {
  name = 'Judged1764500000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(`ALTER TABLE "formulas" ADD "judged" jsonb`);
  }

  async down(query: QueryRunner): Promise<void> {
    await query.query(`ALTER TABLE "formulas" DROP "judged"`);
  }
}
