import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A run's plan is part of the bake's header; an event may belong to one of its steps. */
export class Runs1764200000000 implements MigrationInterface {
  name = 'Runs1764200000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(`ALTER TABLE "bakes" ADD "steps" jsonb, ADD "begins" jsonb`);
    await query.query(`ALTER TABLE "bake_events" ADD "stepKey" varchar(60)`);
    await query.query(`CREATE TRIGGER "bakes_unchanged" BEFORE UPDATE ON "bakes" FOR EACH ROW EXECUTE FUNCTION "refuse_change"()`);
    await query.query(`CREATE INDEX "bake_events_of_kind" ON "bake_events" ("kitchenId", ("what"->>'kind'))`);
    // Bytes as they were made anew here: whatever else a camera wrote into the file is gone.
    await query.query(`CREATE TABLE "bake_photos" (
      "id" uuid PRIMARY KEY, "kitchenId" uuid NOT NULL REFERENCES "kitchens" ON DELETE CASCADE,
      "bakeId" uuid NOT NULL REFERENCES "bakes" ON DELETE CASCADE, "jpeg" bytea NOT NULL)`);
  }

  async down(query: QueryRunner): Promise<void> {
    await query.query(`DROP TABLE "bake_photos"`);
    await query.query(`DROP INDEX "bake_events_of_kind"`);
    await query.query(`DROP TRIGGER "bakes_unchanged" ON "bakes"`);
    await query.query(`ALTER TABLE "bake_events" DROP "stepKey"`);
    await query.query(`ALTER TABLE "bakes" DROP "steps", DROP "begins"`);
  }
}
