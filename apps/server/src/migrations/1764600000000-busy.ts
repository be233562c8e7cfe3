import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * Every row is known by its kitchen and its id, so that an id of one kitchen says nothing of another's. What a list shows stands in its
 * own row, and what is looked up has an index: reads grow with what is shown, not with what was ever stored.
 */
export class Busy1764600000000 implements MigrationInterface {
  name = 'Busy1764600000000';

  async up(query: QueryRunner): Promise<void> {
    const run = async (...statements: readonly string[]) => {
      for (const statement of statements) await query.query(statement);
    };
    await run(
      `ALTER TABLE "bake_events" DROP CONSTRAINT "bake_events_bakeId_fkey"`,
      `ALTER TABLE "bake_photos" DROP CONSTRAINT "bake_photos_bakeId_fkey"`,
      `ALTER TABLE "lot_uses" DROP CONSTRAINT "lot_uses_bakeId_fkey"`,
      `ALTER TABLE "bakes" DROP CONSTRAINT "bakes_of_version"`,
      `ALTER TABLE "formula_drafts" DROP CONSTRAINT "formula_drafts_formulaId_fkey"`,
      `ALTER TABLE "formula_versions" DROP CONSTRAINT "formula_versions_formulaId_fkey", DROP CONSTRAINT "formula_versions_number"`,
      `ALTER TABLE "formulas" DROP CONSTRAINT "formulas_pkey", ADD PRIMARY KEY ("kitchenId", "id")`,
      `ALTER TABLE "formula_drafts" DROP CONSTRAINT "formula_drafts_pkey", ADD PRIMARY KEY ("kitchenId", "formulaId"),
        ADD FOREIGN KEY ("kitchenId", "formulaId") REFERENCES "formulas" ON DELETE CASCADE`,
      `ALTER TABLE "formula_versions" DROP CONSTRAINT "formula_versions_pkey", ADD PRIMARY KEY ("kitchenId", "id"),
        ADD CONSTRAINT "formula_versions_number" UNIQUE ("kitchenId", "formulaId", "version"),
        ADD FOREIGN KEY ("kitchenId", "formulaId") REFERENCES "formulas" ON DELETE CASCADE`,
      `ALTER TABLE "bakes" DROP CONSTRAINT "bakes_pkey", ADD PRIMARY KEY ("kitchenId", "id"),
        ADD CONSTRAINT "bakes_of_version" FOREIGN KEY ("kitchenId", "formulaId", "version")
          REFERENCES "formula_versions" ("kitchenId", "formulaId", "version")`,
      `ALTER TABLE "bake_events" DROP CONSTRAINT "bake_events_pkey", ADD PRIMARY KEY ("kitchenId", "id"),
        ADD FOREIGN KEY ("kitchenId", "bakeId") REFERENCES "bakes" ON DELETE CASCADE`,
      `ALTER TABLE "bake_photos" DROP CONSTRAINT "bake_photos_pkey", ADD PRIMARY KEY ("kitchenId", "id"),
        ADD FOREIGN KEY ("kitchenId", "bakeId") REFERENCES "bakes" ON DELETE CASCADE`,
      `ALTER TABLE "lot_uses" DROP CONSTRAINT "lot_uses_pkey", ADD PRIMARY KEY ("kitchenId", "bakeId", "rowKey", "lotId"),
        ADD FOREIGN KEY ("kitchenId", "bakeId") REFERENCES "bakes" ON DELETE CASCADE`,
      `ALTER TABLE "blends" DROP CONSTRAINT "blends_pkey", ADD PRIMARY KEY ("kitchenId", "id", "version")`,
      `DROP INDEX "bake_events_by_bake", "bake_events_of_kind", "formulas_by_kitchen"`,
      `CREATE INDEX "bake_events_by_bake" ON "bake_events" ("kitchenId", "bakeId", "at", "id")`,
      `CREATE INDEX "bake_events_felt" ON "bake_events" ("kitchenId", "bakeId") WHERE ("what"->>'kind') = 'felt'`,
      `CREATE INDEX "bakes_of_formula" ON "bakes" ("kitchenId", "formulaId", "number")`,
      `CREATE INDEX "bake_photos_of_bake" ON "bake_photos" ("kitchenId", "bakeId")`,
      `CREATE INDEX "formula_versions_of_blend" ON "formula_versions" ("kitchenId", ("formula"->'blend'->>'name'))`,
      `CREATE INDEX "formulas_by_name" ON "formulas" ("kitchenId", "name", "id")`,
    );
    // What the list of formulas says of the newest version and of its bakes. 0 likes: nobody said.
    await run(
      `ALTER TABLE "formulas" ADD "blendName" varchar(120) NOT NULL DEFAULT '', ADD "doughOf" jsonb, ADD "savedAt" timestamptz NOT NULL DEFAULT now(),
        ADD "savedBy" varchar(20) NOT NULL DEFAULT '', ADD "bakes" integer NOT NULL DEFAULT 0,
        ADD "likedSum" integer NOT NULL DEFAULT 0, ADD "likedCount" integer NOT NULL DEFAULT 0`,
      `UPDATE "formulas" f SET "blendName" = coalesce(v."formula"->'blend'->>'name', ''), "doughOf" = v."formula"->'doughOf', "savedAt" = v."savedAt",
        "savedBy" = v."coreVersion" FROM "formula_versions" v
        WHERE v."kitchenId" = f."kitchenId" AND v."formulaId" = f."id" AND v."version" = f."newestVersion"`,
      `UPDATE "formulas" f SET "bakes" = t.n FROM (SELECT "kitchenId", "formulaId", count(*) n FROM "bakes" GROUP BY 1, 2) t
        WHERE t."kitchenId" = f."kitchenId" AND t."formulaId" = f."id"`,
      `UPDATE "formulas" f SET "likedSum" = t.dots, "likedCount" = t.n FROM (
        SELECT b."kitchenId", b."formulaId", sum((e."what"->>'liked')::int) dots, count(*) n FROM "bakes" b
        JOIN "bake_events" e ON e."kitchenId" = b."kitchenId" AND e."bakeId" = b."id" AND e."what"->>'kind' = 'rated' AND e."what" ? 'liked'
        WHERE NOT EXISTS (SELECT FROM "bake_events" c WHERE c."kitchenId" = e."kitchenId" AND c."bakeId" = e."bakeId" AND c."corrects" = e."id")
        GROUP BY 1, 2) t WHERE t."kitchenId" = f."kitchenId" AND t."formulaId" = f."id"`,
    );
    // Runs that have not ended, so that looking for them is not looking through every bake.
    await run(
      `CREATE TABLE "runs_under_way" ("kitchenId" uuid NOT NULL, "bakeId" uuid NOT NULL, PRIMARY KEY ("kitchenId", "bakeId"),
        FOREIGN KEY ("kitchenId", "bakeId") REFERENCES "bakes" ON DELETE CASCADE)`,
      `INSERT INTO "runs_under_way" SELECT b."kitchenId", b."id" FROM "bakes" b WHERE b."steps" IS NOT NULL AND NOT EXISTS (
        SELECT FROM "bake_events" e WHERE e."kitchenId" = b."kitchenId" AND e."bakeId" = b."id" AND e."what"->>'kind' = 'ended'
        AND NOT EXISTS (SELECT FROM "bake_events" c WHERE c."kitchenId" = e."kitchenId" AND c."bakeId" = e."bakeId" AND c."corrects" = e."id"))`,
    );
    // What lots have lost since they were counted, kept as bakes take from them.
    await run(
      `ALTER TABLE "lots" ADD "usedG" double precision NOT NULL DEFAULT 0`,
      `UPDATE "lots" l SET "usedG" = (SELECT coalesce(sum(u."usedG"), 0) FROM "lot_uses" u
        WHERE u."kitchenId" = l."kitchenId" AND u."lotId" = l."id" AND u."at" > l."countedAt")`,
    );
  }

  async down(query: QueryRunner): Promise<void> {
    const run = async (...statements: readonly string[]) => {
      for (const statement of statements) await query.query(statement);
    };
    await run(
      `ALTER TABLE "lots" DROP "usedG"`,
      `DROP TABLE "runs_under_way"`,
      `DROP INDEX "formulas_by_name"`,
      `ALTER TABLE "formulas" DROP "blendName", DROP "doughOf", DROP "savedAt", DROP "savedBy", DROP "bakes", DROP "likedSum", DROP "likedCount"`,
      `DROP INDEX "bake_events_by_bake", "bake_events_felt", "bakes_of_formula", "bake_photos_of_bake", "formula_versions_of_blend"`,
      `ALTER TABLE "blends" DROP CONSTRAINT "blends_pkey", ADD PRIMARY KEY ("id", "version")`,
      `ALTER TABLE "lot_uses" DROP CONSTRAINT "lot_uses_kitchenId_bakeId_fkey", DROP CONSTRAINT "lot_uses_pkey", ADD PRIMARY KEY ("bakeId", "rowKey", "lotId")`,
      `ALTER TABLE "bake_photos" DROP CONSTRAINT "bake_photos_kitchenId_bakeId_fkey", DROP CONSTRAINT "bake_photos_pkey", ADD PRIMARY KEY ("id")`,
      `ALTER TABLE "bake_events" DROP CONSTRAINT "bake_events_kitchenId_bakeId_fkey", DROP CONSTRAINT "bake_events_pkey", ADD PRIMARY KEY ("id")`,
      `ALTER TABLE "bakes" DROP CONSTRAINT "bakes_of_version", DROP CONSTRAINT "bakes_pkey", ADD PRIMARY KEY ("id")`,
      `ALTER TABLE "formula_drafts" DROP CONSTRAINT "formula_drafts_kitchenId_formulaId_fkey", DROP CONSTRAINT "formula_drafts_pkey", ADD PRIMARY KEY ("formulaId")`,
      `ALTER TABLE "formula_versions" DROP CONSTRAINT "formula_versions_kitchenId_formulaId_fkey", DROP CONSTRAINT "formula_versions_pkey",
        DROP CONSTRAINT "formula_versions_number", ADD PRIMARY KEY ("id"), ADD CONSTRAINT "formula_versions_number" UNIQUE ("formulaId", "version")`,
      `ALTER TABLE "formulas" DROP CONSTRAINT "formulas_pkey", ADD PRIMARY KEY ("id")`,
      `ALTER TABLE "formula_drafts" ADD FOREIGN KEY ("formulaId") REFERENCES "formulas" ON DELETE CASCADE`,
      `ALTER TABLE "formula_versions" ADD FOREIGN KEY ("formulaId") REFERENCES "formulas" ON DELETE CASCADE`,
      `ALTER TABLE "bakes" ADD CONSTRAINT "bakes_of_version" FOREIGN KEY ("formulaId", "version") REFERENCES "formula_versions" ("formulaId", "version")`,
      `ALTER TABLE "bake_events" ADD FOREIGN KEY ("bakeId") REFERENCES "bakes" ON DELETE CASCADE`,
      `ALTER TABLE "bake_photos" ADD FOREIGN KEY ("bakeId") REFERENCES "bakes" ON DELETE CASCADE`,
      `ALTER TABLE "lot_uses" ADD FOREIGN KEY ("bakeId") REFERENCES "bakes" ON DELETE CASCADE`,
      `CREATE INDEX "bake_events_by_bake" ON "bake_events" ("bakeId", "at")`,
      `CREATE INDEX "bake_events_of_kind" ON "bake_events" ("kitchenId", ("what"->>'kind'))`,
      `CREATE INDEX "formulas_by_kitchen" ON "formulas" ("kitchenId", "name")`,
    );
  }
}
