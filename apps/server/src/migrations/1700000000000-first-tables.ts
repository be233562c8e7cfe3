import type { MigrationInterface, QueryRunner } from 'typeorm';

export class FirstTables1700000000000 implements MigrationInterface {
  name = 'FirstTables1700000000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(`CREATE TABLE "kitchens" (
      "id" uuid PRIMARY KEY, "name" varchar(120) NOT NULL, "document" jsonb NOT NULL, "createdAt" timestamptz NOT NULL DEFAULT now())`);
    await query.query(`CREATE TABLE "ingredients" (
      "kitchenId" uuid NOT NULL REFERENCES "kitchens" ON DELETE CASCADE, "id" varchar(60) NOT NULL, "document" jsonb NOT NULL,
      PRIMARY KEY ("kitchenId", "id"))`);
    await query.query(`CREATE TABLE "lots" (
      "kitchenId" uuid NOT NULL REFERENCES "kitchens" ON DELETE CASCADE, "id" varchar(60) NOT NULL, "ingredientId" varchar(60) NOT NULL,
      "document" jsonb NOT NULL, PRIMARY KEY ("kitchenId", "id"))`);
    await query.query(`CREATE TABLE "blends" (
      "id" uuid PRIMARY KEY, "kitchenId" uuid NOT NULL REFERENCES "kitchens" ON DELETE CASCADE, "name" varchar(120) NOT NULL,
      "version" integer NOT NULL, "document" jsonb NOT NULL, CONSTRAINT "blends_name_version" UNIQUE ("kitchenId", "name", "version"))`);
    await query.query(`CREATE TABLE "formulas" (
      "id" uuid PRIMARY KEY, "kitchenId" uuid NOT NULL REFERENCES "kitchens" ON DELETE CASCADE, "name" varchar(120) NOT NULL,
      "family" varchar(60) NOT NULL, "newestVersion" integer NOT NULL, "createdAt" timestamptz NOT NULL DEFAULT now())`);
    await query.query(`CREATE INDEX "formulas_by_kitchen" ON "formulas" ("kitchenId", "name")`);
    await query.query(`CREATE TABLE "formula_drafts" (
      "formulaId" uuid PRIMARY KEY REFERENCES "formulas" ON DELETE CASCADE, "kitchenId" uuid NOT NULL REFERENCES "kitchens" ON DELETE CASCADE,
      "basedOn" integer, "revision" integer NOT NULL, "formula" jsonb NOT NULL, "typed" jsonb NOT NULL, "storedAt" timestamptz NOT NULL)`);
    await query.query(`CREATE TABLE "formula_versions" (
      "id" uuid PRIMARY KEY, "formulaId" uuid NOT NULL REFERENCES "formulas" ON DELETE CASCADE,
      "kitchenId" uuid NOT NULL REFERENCES "kitchens" ON DELETE CASCADE, "version" integer NOT NULL, "basedOn" integer,
      "why" varchar(500) NOT NULL, "savedAt" timestamptz NOT NULL, "coreVersion" varchar(20) NOT NULL, "states" jsonb NOT NULL,
      "formula" jsonb NOT NULL, "kitchen" jsonb NOT NULL, "pantry" jsonb NOT NULL, "evaluation" jsonb NOT NULL, "setAside" jsonb NOT NULL,
      CONSTRAINT "formula_versions_number" UNIQUE ("formulaId", "version"))`);
    // A version is what a bake was made from: the database itself refuses to alter one.
    await query.query(`CREATE FUNCTION "refuse_change"() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN RAISE EXCEPTION '% rows are never changed', TG_TABLE_NAME; END $$`);
    await query.query(
      `CREATE TRIGGER "formula_versions_unchanged" BEFORE UPDATE ON "formula_versions" FOR EACH ROW EXECUTE FUNCTION "refuse_change"()`,
    );
    await query.query(`CREATE TABLE "bakes" (
      "id" uuid PRIMARY KEY, "kitchenId" uuid NOT NULL REFERENCES "kitchens" ON DELETE CASCADE, "number" integer NOT NULL,
      "formulaId" uuid NOT NULL, "version" integer NOT NULL, "factor" double precision NOT NULL, "roomC" double precision NOT NULL,
      "humidityShare" double precision NOT NULL, "startedAt" timestamptz NOT NULL,
      CONSTRAINT "bakes_number" UNIQUE ("kitchenId", "number"),
      CONSTRAINT "bakes_of_version" FOREIGN KEY ("formulaId", "version") REFERENCES "formula_versions" ("formulaId", "version"))`);
    await query.query(`CREATE TABLE "bake_events" (
      "id" uuid PRIMARY KEY, "kitchenId" uuid NOT NULL REFERENCES "kitchens" ON DELETE CASCADE,
      "bakeId" uuid NOT NULL REFERENCES "bakes" ON DELETE CASCADE, "at" timestamptz NOT NULL, "corrects" uuid, "what" jsonb NOT NULL)`);
    await query.query(`CREATE INDEX "bake_events_by_bake" ON "bake_events" ("bakeId", "at")`);
    await query.query(
      `CREATE TRIGGER "bake_events_unchanged" BEFORE UPDATE ON "bake_events" FOR EACH ROW EXECUTE FUNCTION "refuse_change"()`,
    );
  }

  async down(query: QueryRunner): Promise<void> {
    for (const name of [
      'bake_events',
      'bakes',
      'formula_versions',
      'formula_drafts',
      'formulas',
      'blends',
      'lots',
      'ingredients',
      'kitchens',
    ]) {
      await query.query(`DROP TABLE "${name}"`);
    }
    await query.query(`DROP FUNCTION "refuse_change"`);
  }
}
