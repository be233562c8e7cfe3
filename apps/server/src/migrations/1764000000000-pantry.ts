import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Revisions for what is edited in place, preparations, blends in versions, and what each bake took from the lots. */
export class Pantry1764000000000 implements MigrationInterface {
  name = 'Pantry1764000000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(`ALTER TABLE "ingredients" ADD "revision" integer NOT NULL DEFAULT 1`);
    await query.query(`ALTER TABLE "lots" ADD "revision" integer NOT NULL DEFAULT 1, ADD "countedAt" timestamptz NOT NULL DEFAULT now()`);
    await query.query(`ALTER TABLE "blends" DROP CONSTRAINT "blends_name_version", DROP CONSTRAINT "blends_pkey"`);
    await query.query(`ALTER TABLE "blends" ADD "savedAt" timestamptz NOT NULL DEFAULT now(), ADD PRIMARY KEY ("id", "version")`);
    await query.query(`CREATE TRIGGER "blends_unchanged" BEFORE UPDATE ON "blends" FOR EACH ROW EXECUTE FUNCTION "refuse_change"()`);
    await query.query(`CREATE TABLE "preparations" (
      "kitchenId" uuid NOT NULL REFERENCES "kitchens" ON DELETE CASCADE, "id" varchar(60) NOT NULL, "document" jsonb NOT NULL,
      "revision" integer NOT NULL, PRIMARY KEY ("kitchenId", "id"))`);
    // Worked out from a bake's version and its events: written again when an event corrects a weight.
    await query.query(`CREATE TABLE "lot_uses" (
      "kitchenId" uuid NOT NULL REFERENCES "kitchens" ON DELETE CASCADE, "bakeId" uuid NOT NULL REFERENCES "bakes" ON DELETE CASCADE,
      "rowKey" varchar(60) NOT NULL, "lotId" varchar(60) NOT NULL, "usedG" double precision NOT NULL, "at" timestamptz NOT NULL,
      PRIMARY KEY ("bakeId", "rowKey", "lotId"))`);
    await query.query(`CREATE INDEX "lot_uses_by_lot" ON "lot_uses" ("kitchenId", "lotId", "at")`);
  }

  async down(query: QueryRunner): Promise<void> {
    await query.query(`DROP TABLE "lot_uses"`);
    await query.query(`DROP TABLE "preparations"`);
    await query.query(`DROP TRIGGER "blends_unchanged" ON "blends"`);
    await query.query(`ALTER TABLE "blends" DROP CONSTRAINT "blends_pkey", DROP "savedAt", ADD PRIMARY KEY ("id")`);
    await query.query(`ALTER TABLE "blends" ADD CONSTRAINT "blends_name_version" UNIQUE ("kitchenId", "name", "version")`);
    await query.query(`ALTER TABLE "lots" DROP "revision", DROP "countedAt"`);
    await query.query(`ALTER TABLE "ingredients" DROP "revision"`);
  }
}
