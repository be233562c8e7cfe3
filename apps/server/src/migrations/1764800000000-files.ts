import type { MigrationInterface, QueryRunner } from 'typeorm';

/** One place for every picture, whatever it belongs to; those of bakes move there. */
export class Files1764800000000 implements MigrationInterface {
  name = 'Files1764800000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(`CREATE TABLE "files" (
      "kitchenId" uuid NOT NULL REFERENCES "kitchens" ON DELETE CASCADE, "id" uuid NOT NULL,
      "of" varchar(20) NOT NULL, "ofId" varchar(60) NOT NULL, "jpeg" bytea NOT NULL, "storedAt" timestamptz NOT NULL,
      PRIMARY KEY ("kitchenId", "id"))`);
    await query.query(`CREATE INDEX "files_of" ON "files" ("kitchenId", "of", "ofId")`);
    await query.query(`INSERT INTO "files" ("kitchenId", "id", "of", "ofId", "jpeg", "storedAt")
      SELECT p."kitchenId", p."id", 'bake', p."bakeId"::text, p."jpeg", COALESCE(e."at", now()) FROM "bake_photos" p
      LEFT JOIN "bake_events" e ON e."kitchenId" = p."kitchenId" AND e."id" = p."id"`);
    await query.query(`DROP TABLE "bake_photos"`);
  }

  /** Pictures of labels had no place before. */
  async down(query: QueryRunner): Promise<void> {
    await query.query(`CREATE TABLE "bake_photos" (
      "id" uuid NOT NULL, "kitchenId" uuid NOT NULL REFERENCES "kitchens" ON DELETE CASCADE, "bakeId" uuid NOT NULL, "jpeg" bytea NOT NULL,
      CONSTRAINT "bake_photos_pkey" PRIMARY KEY ("kitchenId", "id"),
      CONSTRAINT "bake_photos_kitchenId_bakeId_fkey" FOREIGN KEY ("kitchenId", "bakeId") REFERENCES "bakes" ON DELETE CASCADE)`);
    await query.query(`CREATE INDEX "bake_photos_of_bake" ON "bake_photos" ("kitchenId", "bakeId")`);
    await query.query(`INSERT INTO "bake_photos" ("id", "kitchenId", "bakeId", "jpeg")
      SELECT "id", "kitchenId", "ofId"::uuid, "jpeg" FROM "files" WHERE "of" = 'bake'`);
    await query.query(`DROP TABLE "files"`);
  }
}
