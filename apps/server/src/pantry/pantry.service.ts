import { Injectable } from '@nestjs/common';
import {
  batchOf,
  fromPreparation,
  liftLot,
  liftPreparation,
  InputError,
  publishedIngredients,
  reachedIds,
  stockUses,
  wholeParts,
  withCorrections,
  type AsBaked,
  type Formula,
  type Ingredient,
  type IngredientChange,
  type Lot,
  type Pantry,
  type Preparation,
  type OwnIngredient,
  refusalOf,
  replyTo,
} from '@north-leaf/core';
import { Clock } from '../platform/clock.js';
import { ApiError, invalid } from '../platform/http/errors.js';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { NewsService } from '../platform/news/news.js';
import { sameJson } from '../platform/same-json.js';
import { InjectTable, type OfKitchen, Table } from '../platform/table.js';
import { IngredientEntity, liftWritten, type KitchenIngredient } from './ingredient.entity.js';
import { LotUseEntity } from './lot-use.entity.js';
import { LotEntity } from './lot.entity.js';
import { PreparationEntity } from './preparation.entity.js';
import type { BatchBody, LotBody, PantryBook, Revisions, Stored } from '@north-leaf/contracts';
import type { FindOptionsWhere } from 'typeorm';

/** A row that is edited in place, its revision counting every write. */
type Revised = OfKitchen & { id: string; revision: number };

@Injectable()
export class PantryService {
  constructor(
    private readonly scope: KitchenScope,
    private readonly clock: Clock,
    private readonly news: NewsService,
    @InjectTable(IngredientEntity) private readonly written: Table<IngredientEntity>,
    @InjectTable(LotEntity) private readonly lots: Table<LotEntity>,
    @InjectTable(LotUseEntity) private readonly uses: Table<LotUseEntity>,
    @InjectTable(PreparationEntity) private readonly preparations: Table<PreparationEntity>,
  ) {}

  /** The published ingredients with this kitchen's corrections, its own and its preparations, and its lots as they are now. */
  async whole(): Promise<PantryBook> {
    const { zone, written, lotRows, preparationRows } = await this.rows();
    const published: Record<string, Ingredient> = { ...publishedIngredients() };
    for (const { id, document } of written) {
      if ('own' in document) published[id] = document.own;
      else if (published[id]) published[id] = withCorrections(published[id], document.change);
    }
    const lots = Object.fromEntries(lotRows.map((row) => [row.id, lotNow(row)]));
    const preparations = preparationRows.map(({ document }) => document);
    const { ingredients, broken } = withPreparations({ ingredients: published, lots }, preparations);
    return {
      ingredients,
      lots,
      on: this.clock.dayIn(zone),
      preparations,
      revisions: { lots: revisionsOf(lotRows), ingredients: revisionsOf(written), preparations: revisionsOf(preparationRows) },
      broken: Object.fromEntries(Object.entries(broken).map(([id, { path, message }]) => [id, `${path}: ${message}`])),
    };
  }

  /** Everything a pantry is made of, by one statement: it is read in most of what a bench says. */
  private async rows() {
    const rows = await this.scope.query<PantryRow>(
      `SELECT 'lot' AS "of", "id", "document", "revision", "usedG" FROM "lots" WHERE "kitchenId" = $1
       UNION ALL SELECT 'ingredient', "id", "document", "revision", 0 FROM "ingredients" WHERE "kitchenId" = $1
       UNION ALL SELECT 'preparation', "id", "document", "revision", 0 FROM "preparations" WHERE "kitchenId" = $1
       UNION ALL SELECT 'zone', "document"->>'zone', 'null', 0, 0 FROM "kitchens" WHERE "id" = $1
       ORDER BY "of", "id"`,
      [await this.scope.id()],
    );
    const those = <D>(which: PantryRow['of'], lift: (stored: D) => D) =>
      rows.flatMap(({ of, document, ...row }) => (of === which ? [{ ...row, document: lift(document as D) }] : []));
    const zone = rows.find((row) => row.of === 'zone')?.id;
    if (zone === undefined) throw new ApiError('notFound', 'This kitchen is not here.');
    return {
      zone,
      written: those('ingredient', liftWritten),
      lotRows: those('lot', liftLot),
      preparationRows: those('preparation', liftPreparation),
    };
  }

  /** The same without what stands in the published table as it is: who has that table puts the two together. */
  async beside(): Promise<PantryBook> {
    const book = await this.whole();
    const published = publishedIngredients();
    return { ...book, ingredients: Object.fromEntries(Object.entries(book.ingredients).filter(([id, one]) => published[id] !== one)) };
  }

  /** Only what a formula names, and what that is made of: what is stored with its version. */
  async for(formula: Formula): Promise<Pantry> {
    const { ingredients, lots, on } = await this.whole();
    const ids = reachedIds(
      ingredients,
      [...formula.blend.rows, ...formula.rows].map(({ ingredientId }) => ingredientId),
    );
    return {
      ingredients: Object.fromEntries(Object.entries(ingredients).filter(([id]) => ids.has(id))),
      lots: Object.fromEntries(Object.entries(lots).filter(([, { ingredientId }]) => ids.has(ingredientId))),
      on,
    };
  }

  async storeLot(id: string, { revision, lot, recounted }: LotBody): Promise<Stored> {
    if (lot.id !== id) throw invalid('lot.id', 'must be the id of the address');
    const { ingredients } = await this.whole();
    const ingredient = ingredients[lot.ingredientId];
    if (!ingredient) throw invalid('lot.ingredientId', 'is not in the pantry');
    if (lot.acceptedWithoutReport !== undefined && ingredient.gluten !== 'free') {
      throw invalid('lot.acceptedWithoutReport', `${ingredient.name} needs a report: grain can be in it`);
    }
    return this.store(this.lots, id, revision, (held) => ({
      ingredientId: lot.ingredientId,
      // What was not counted anew stays what was counted, whatever the page last showed of it.
      document: recounted || !held ? lot : withOnHand(lot, held.document.onHandG),
      countedAt: recounted || !held ? this.clock.now() : held.countedAt,
      usedG: recounted || !held ? 0 : held.usedG,
    }));
  }

  async correct(id: string, revision: number, change: IngredientChange): Promise<Stored> {
    const published = publishedOf(id);
    if (!published) throw new ApiError('notFound', 'This ingredient is not in the published table; edit it as your own.');
    withCorrections(published, change);
    return this.store(this.written, id, revision, () => ({ document: { change } as KitchenIngredient }));
  }

  async storeOwn(id: string, revision: number, ingredient: OwnIngredient | Ingredient): Promise<Stored> {
    if (publishedOf(id)) throw new ApiError('conflict', 'This id belongs to a published ingredient: correct that one.');
    const sum = wholeParts.reduce((total, part) => total + ingredient.composition[part], 0);
    if (Math.abs(sum - 1) > 0.02) throw invalid('ingredient.composition', `parts must sum to 100 g, they sum to ${(sum * 100).toFixed(1)}`);
    const own: Ingredient = { basis: 'label', source: 'entered here, from its label', ...ingredient, id };
    return this.store(this.written, id, revision, () => ({ document: { own } as KitchenIngredient }));
  }

  async storePreparation(id: string, revision: number, preparation: Preparation): Promise<Stored> {
    if (preparation.id !== id) throw invalid('preparation.id', 'must be the id of the address');
    const book = await this.whole();
    const others = book.preparations.filter((one) => one.id !== id);
    // Worked out among the others: what cannot be made, or would be made of itself, is refused here.
    const { broken } = withPreparations({ ingredients: withoutMade(book.ingredients), lots: book.lots }, [...others, preparation]);
    if (broken[id] !== undefined) throw invalid(`preparation.${broken[id].path}`, broken[id].message);
    return this.store(this.preparations, id, revision, () => ({ document: preparation }));
  }

  async makeBatch(preparationId: string, lotId: string, { times, code, placeId }: BatchBody): Promise<Stored> {
    return this.scope.transaction(async () => {
      // Two at once would both find the lots full: one batch after another.
      await this.scope.lock('batches');
      const held = await this.lots.findOne({ id: lotId });
      if (held) {
        if (held.ingredientId === preparationId && held.document.madeOf) return { id: lotId, revision: held.revision };
        throw new ApiError('conflict', 'This lot is something else.');
      }
      const book = await this.whole();
      const preparation = book.preparations.find(({ id }) => id === preparationId);
      if (!preparation) throw new ApiError('notFound', 'This preparation is not here any more.');
      const made = replyTo(() => batchOf(preparation, { id: lotId, code, times, ...(placeId === undefined ? {} : { placeId }) }, book));
      if (!made.ok) throw invalid(`preparation.${made.refused.path}`, made.refused.message);
      const document = made.answer;
      await this.lots.insert({ id: lotId, ingredientId: preparationId, document, revision: 1, countedAt: this.clock.now(), usedG: 0 });
      await this.takeFor(document, 1);
      await this.news.tell({ what: 'pantry' });
      return { id: lotId, revision: 1 };
    });
  }

  async unmakeBatch(preparationId: string, lotId: string): Promise<void> {
    await this.scope.transaction(async () => {
      await this.scope.lock('batches');
      const held = await this.lots.findOne({ id: lotId, ingredientId: preparationId });
      if (!held) return;
      if (held.usedG > 0) throw new ApiError('conflict', 'Some of this batch was used already: put its weight right instead.');
      await this.lots.delete({ id: lotId });
      await this.takeFor(held.document, -1);
    });
    await this.news.tell({ what: 'pantry' });
  }

  /** What a batch was made of leaves its lots, or (-1) comes back; lots in one order, as everywhere. */
  private async takeFor({ madeOf = [] }: Lot, times: 1 | -1): Promise<void> {
    await this.scope.query(
      `WITH held AS (SELECT "id" FROM "lots" WHERE "kitchenId" = $1 AND "id" = ANY($2::text[]) ORDER BY "id" FOR NO KEY UPDATE)
       UPDATE "lots" l SET "usedG" = l."usedG" + m."movedG" FROM unnest($2::text[], $3::float8[]) AS m("id", "movedG"), held
       WHERE l."kitchenId" = $1 AND l."id" = m."id" AND held."id" = l."id"`,
      [await this.scope.id(), madeOf.map(({ lotId }) => lotId), madeOf.map(({ usedG }) => usedG * times)],
    );
  }

  /** Gone is gone twice as well: a lot, correction or preparation that is not there needs no removing. */
  async removeLot(id: string): Promise<void> {
    await this.lots.delete({ id });
    await this.news.tell({ what: 'pantry' });
  }
  async removeIngredient(id: string): Promise<void> {
    await this.refuseWhileUsed(id);
    await this.written.delete({ id });
    await this.news.tell({ what: 'pantry' });
  }
  async removePreparation(id: string): Promise<void> {
    await this.refuseWhileUsed(id);
    await this.preparations.delete({ id });
    await this.news.tell({ what: 'pantry' });
  }

  /** Writes what a bake took from the lots, over what it was thought to have taken before. Within a transaction. */
  async take(
    bakeId: string,
    { formula, factor }: { readonly formula: Formula; readonly factor: number },
    weighed: Readonly<Record<string, number>>,
    { bags, besides = [] }: { readonly bags: AsBaked['bags']; readonly besides?: readonly Taken[] },
  ): Promise<void> {
    const before = await this.uses.find({ where: { bakeId } });
    // A correction happened when the bake did: a count made since then still stands.
    const at = before[0]?.at ?? this.clock.now();
    const pantry = await this.whole();
    // A bake of long ago may name what the pantry has no more: then nothing can be taken.
    const known = [...formula.blend.rows, ...formula.rows].every(({ ingredientId }) => pantry.ingredients[ingredientId]);
    const now = known ? [...together(stockUses({ formula, factor }, weighed, pantry, bags)), ...besides] : [];
    if (sameUses(before, now)) return;
    const moved = new Map<string, number>();
    for (const { lotId, usedG } of before) moved.set(lotId, (moved.get(lotId) ?? 0) - usedG);
    for (const { lotId, usedG } of now) moved.set(lotId, (moved.get(lotId) ?? 0) + usedG);
    const changed = [...moved].filter(([, movedG]) => movedG !== 0);
    // One statement: a bench says this at every weighing. Lots are held in one order, whoever takes: two bakes that take from the
    // same bags never wait for each other in a ring.
    await this.scope.query(
      `WITH used AS (SELECT * FROM unnest($4::text[], $5::text[], $6::float8[]) AS u("rowKey", "lotId", "usedG")),
       gone AS (DELETE FROM "lot_uses" l WHERE l."kitchenId" = $1 AND l."bakeId" = $2
         AND NOT EXISTS (SELECT FROM used u WHERE u."rowKey" = l."rowKey" AND u."lotId" = l."lotId")),
       kept AS (INSERT INTO "lot_uses" ("kitchenId", "bakeId", "at", "rowKey", "lotId", "usedG")
         SELECT $1, $2, $3, "rowKey", "lotId", "usedG" FROM used
         ON CONFLICT ("kitchenId", "bakeId", "rowKey", "lotId") DO UPDATE SET "usedG" = excluded."usedG"),
       held AS (SELECT "id" FROM "lots" WHERE "kitchenId" = $1 AND "id" = ANY($7::text[]) ORDER BY "id" FOR NO KEY UPDATE)
       UPDATE "lots" l SET "usedG" = l."usedG" + m."movedG" FROM unnest($7::text[], $8::float8[]) AS m("id", "movedG"), held
       WHERE l."kitchenId" = $1 AND l."id" = m."id" AND held."id" = l."id" AND l."countedAt" < $3`,
      [
        await this.scope.id(),
        bakeId,
        at,
        ...(['rowKey', 'lotId', 'usedG'] as const).map((one) => now.map((use) => use[one])),
        changed.map(([lotId]) => lotId),
        changed.map(([, movedG]) => movedG),
      ],
    );
  }

  /** Only an ingredient that is nowhere a part may go: removing it would leave a preparation without its rows. */
  private async refuseWhileUsed(id: string): Promise<void> {
    if (publishedOf(id)) return;
    const { ingredients } = await this.whole();
    const user = Object.values(ingredients).find(({ parts }) => parts?.some(({ ingredientId }) => ingredientId === id));
    if (user) throw new ApiError('conflict', `${user.name} is made of it: take it out there first.`);
  }

  /**
   * Writes one row in place. A revision other than the one read means somebody was faster: nothing is written over theirs.
   * The same content again is an answer that got lost.
   */
  private async store<T extends Revised>(
    table: Table<T>,
    id: string,
    revision: number,
    row: (held: T | null) => Omit<T, 'kitchenId' | 'id' | 'revision'>,
  ): Promise<Stored> {
    return this.scope.transaction(async () => {
      // Locks the id itself: a row that is not there yet cannot be locked.
      await this.scope.lock(`pantry:${id}`);
      const where = { id } as FindOptionsWhere<T>;
      const held = await table.findOne(where);
      const next = { ...row(held), id, revision: (held?.revision ?? 0) + 1 };
      if ((held?.revision ?? 0) !== revision) {
        const { document } = (held ?? {}) as { document?: unknown };
        if (held && held.revision === revision + 1 && sameJson(document, (next as { document?: unknown }).document)) {
          return { id, revision: held.revision };
        }
        throw new ApiError('conflict', 'Somebody changed this meanwhile. Your entries are still here: load theirs and compare.');
      }
      if (held) await table.update(where, next as never);
      else await table.insert(next as never);
      await this.news.tell({ what: 'pantry' });
      return { id, revision: next.revision };
    });
  }
}

type Taken = { readonly rowKey: string; readonly lotId: string; readonly usedG: number };

type PantryRow = {
  readonly of: 'lot' | 'ingredient' | 'preparation' | 'zone';
  readonly id: string;
  readonly document: unknown;
  readonly revision: number;
  readonly usedG: number;
};

const sameUses = (before: readonly Taken[], now: readonly Taken[]): boolean => {
  const held = new Map(before.map(({ rowKey, lotId, usedG }) => [`${rowKey}/${lotId}`, usedG]));
  return before.length === now.length && now.every(({ rowKey, lotId, usedG }) => held.get(`${rowKey}/${lotId}`) === usedG);
};

/** Of one row and one lot one use: a row may be weighed in several goes. */
function together(uses: readonly Taken[]): Taken[] {
  const sums = new Map<string, Taken>();
  for (const use of uses) {
    const key = `${use.rowKey}/${use.lotId}`;
    sums.set(key, { ...use, usedG: use.usedG + (sums.get(key)?.usedG ?? 0) });
  }
  return [...sums.values()];
}

const publishedOf = (id: string): Ingredient | undefined =>
  Object.hasOwn(publishedIngredients(), id) ? publishedIngredients()[id] : undefined;
const revisionsOf = (rows: readonly { id: string; revision: number }[]): Revisions =>
  Object.fromEntries(rows.map(({ id, revision }) => [id, revision]));

function withOnHand(lot: Lot, onHandG: number | undefined): Lot {
  const { onHandG: _shown, ...rest } = lot;
  return onHandG === undefined ? rest : { ...rest, onHandG };
}

/** A lot with what the bakes since its last count have left of it. */
function lotNow({ document, usedG }: Pick<LotEntity, 'document' | 'usedG'>): Lot {
  if (document.onHandG === undefined) return document;
  return { ...document, onHandG: Math.max(0, Number((document.onHandG - usedG).toFixed(3))) };
}

const withoutMade = (ingredients: Pantry['ingredients']): Pantry['ingredients'] =>
  Object.fromEntries(Object.entries(ingredients).filter(([, { madeFrom }]) => !(madeFrom && 'preparationId' in madeFrom)));

/** The pantry with every preparation as an ingredient, those that others are made of first; a ring never gets its turn. */
function withPreparations(
  pantry: Pantry,
  preparations: readonly Preparation[],
): { ingredients: Record<string, Ingredient>; broken: Record<string, { path: string; message: string }> } {
  const ingredients: Record<string, Ingredient> = { ...pantry.ingredients };
  const broken: Record<string, { path: string; message: string }> = {};
  let waiting = [...preparations];
  for (let moved = true; moved;) {
    moved = false;
    for (const preparation of waiting) {
      try {
        ingredients[preparation.id] = fromPreparation(preparation, { ...pantry, ingredients });
        delete broken[preparation.id];
        moved = true;
      } catch (error) {
        if (!(error instanceof InputError)) throw error;
        broken[preparation.id] = refusalOf(error);
      }
    }
    waiting = waiting.filter(({ id }) => broken[id] !== undefined);
    if (waiting.length === 0) break;
  }
  return { ingredients, broken };
}
