import { Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import {
  asBaked,
  isStillDoughOf,
  runState,
  standingEvents,
  type BakeEvent,
  type Begins,
  type Formula,
  type GoodOfDough,
} from '@north-leaf/core';
import { EvaluatorService } from '../evaluator/evaluator.service.js';
import { FormulasService, type Tally } from '../formulas/formulas.service.js';
import { KitchenService } from '../kitchen/kitchen.service.js';
import { PantryService } from '../pantry/pantry.service.js';
import { Clock } from '../platform/clock.js';
import { ApiError, invalid } from '../platform/http/errors.js';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { Later } from '../platform/later.js';
import { NewsService } from '../platform/news/news.js';
import { InjectTable, Table } from '../platform/table.js';
import { FilesService } from '../files/files.service.js';
import { BakeEventEntity } from './bake-event.entity.js';
import { BakeEntity } from './bake.entity.js';
import { isFelt, teaches } from './learning.service.js';
import { bakeOf, eventsOf, heldEvents, inOrder } from './rows.js';
import { UnderWayEntity } from './under-way.entity.js';
import type { Bake, BakeBody, BakesPart, PantryBook, Run, StartBody } from '@north-leaf/contracts';

/** A lot, and the batches and left doughs that were made of it, and of these: Monday's milk is in Wednesday's tarts by way of Tuesday's custard. */
const MADE_OF_LOT = (lot: string) => `WITH RECURSIVE of_lot("id") AS (
    SELECT ${lot}::text UNION SELECT l."id"::text FROM "lots" l JOIN of_lot o
      ON l."document" @> jsonb_build_object('madeOf', jsonb_build_array(jsonb_build_object('lotId', o."id")))
      OR l."document"->'from'->>'bakeId' IN (
        SELECT u."bakeId"::text FROM "lot_uses" u WHERE u."kitchenId" = $1 AND u."lotId" = o."id" AND u."usedG" > 0)
      WHERE l."kitchenId" = $1
  ) SELECT "id" FROM of_lot`;

@Injectable()
export class BakesService {
  constructor(
    private readonly scope: KitchenScope,
    private readonly formulas: FormulasService,
    private readonly pantry: PantryService,
    private readonly kitchen: KitchenService,
    private readonly evaluator: EvaluatorService,
    private readonly clock: Clock,
    private readonly later: Later,
    private readonly news: NewsService,
    private readonly files: FilesService,
    @InjectTable(BakeEntity) private readonly bakes: Table<BakeEntity>,
    @InjectTable(BakeEventEntity) private readonly events: Table<BakeEventEntity>,
    @InjectTable(UnderWayEntity) private readonly underWay: Table<UnderWayEntity>,
  ) {}

  /** Newest first, so many at a time; `before` is the number of the last one seen. */
  async list(of: { formulaId: string | null; lotId: string | null }, before: number | null, limit: number): Promise<BakesPart> {
    const parameters = [await this.scope.id(), of.formulaId, of.lotId];
    const rows = await this.scope.query<BakeEntity & { formulaName: string; waterKeys: string[] | null }>(
      `SELECT b."id", b."number", b."formulaId", b."version", b."factor", b."roomC", b."humidityShare", b."startedAt", f."name" AS "formulaName",
         jsonb_path_query_array(v."formula", '$.rows[*] ? (@.ingredientId == "water").key') AS "waterKeys"
       FROM (SELECT * FROM "bakes" WHERE "kitchenId" = $1 AND ($2::uuid IS NULL OR "formulaId" = $2) AND ($4::int IS NULL OR "number" < $4)
         AND ($3::text IS NULL OR "id" IN (SELECT "bakeId" FROM "lot_uses" WHERE "kitchenId" = $1 AND "lotId" IN (${MADE_OF_LOT('$3')}) AND "usedG" > 0))
         ORDER BY "number" DESC LIMIT $5) b
       JOIN "formulas" f ON f."kitchenId" = $1 AND f."id" = b."formulaId"
       JOIN "formula_versions" v ON v."kitchenId" = $1 AND v."formulaId" = b."formulaId" AND v."version" = b."version"
       ORDER BY b."number" DESC`,
      [...parameters, before, limit + 1],
    );
    const shown = rows.slice(0, limit);
    const ids = shown.map(({ id }) => id);
    // What happened to the goods, without the steps of the run that led there.
    const events = await eventsOf(this.scope, ids, OF_THE_RUN);
    return {
      items: shown.map((row) => ({ ...bakeOf(row, events(row.id)), formulaName: row.formulaName, waterKeys: row.waterKeys ?? [] })),
      total: await this.total(of),
      next: rows.length > limit ? String(shown.at(-1)!.number) : null,
    };
  }

  /** Counted where counting is short: all bakes by the last number, those of a formula by its tally, those of a lot by its uses. */
  private async total({ formulaId, lotId }: { formulaId: string | null; lotId: string | null }): Promise<number> {
    const kitchenId = await this.scope.id();
    const [counted] = await (lotId !== null
      ? this.scope.query<{ n: number }>(
          `SELECT count(DISTINCT "bakeId")::int AS n FROM "lot_uses" WHERE "kitchenId" = $1 AND "lotId" IN (${MADE_OF_LOT('$2')}) AND "usedG" > 0`,
          [kitchenId, lotId],
        )
      : formulaId !== null
        ? this.scope.query<{ n: number }>(`SELECT "bakes" AS n FROM "formulas" WHERE "kitchenId" = $1 AND "id" = $2`, [
            kitchenId,
            formulaId,
          ])
        : this.scope.query<{ n: number }>(`SELECT coalesce(max("number"), 0)::int AS n FROM "bakes" WHERE "kitchenId" = $1`, [kitchenId]));
    return counted?.n ?? 0;
  }

  /** Stores header and events together; the same id again gives what is stored. */
  async record(id: string, body: BakeBody): Promise<Bake> {
    return this.scope.transaction(async () => {
      const { formulaId, version, factor, roomC, humidityShare } = body;
      if (!(await this.isHeld(id, { formulaId, version, factor, roomC, humidityShare }, 'record'))) {
        await this.refuseUnknown(formulaId, version);
        const startedAt = new Date(body.events[0]?.at ?? this.clock.now());
        await this.insert({ id, formulaId, version, factor, roomC, humidityShare, startedAt, steps: null, begins: null });
        await this.add(await this.header(id), body.events);
        if (!body.events.some(({ what }) => what.kind === 'weighed')) await this.takeStock(await this.header(id), body.events);
      }
      return bakeOf(await this.entity(id), (await eventsOf(this.scope, [id]))(id));
    });
  }

  /**
   * Begins a run: the version in the kitchen and with the lots of this moment becomes its steps. The same id again gives what is stored.
   * What is unsafe has to be confirmed, each with its reason.
   */
  async start(id: string, body: StartBody): Promise<Run> {
    const { formulaId, version, confirmed } = body;
    const held = await this.bakes.findOne({ id });
    // Worked out before anything is held: others weigh meanwhile.
    const begun = held ? null : await this.worked(body);
    return this.scope.transaction(async () => {
      if (!(await this.isHeld(id, { formulaId, version }, 'run'))) {
        if (!begun) throw new ApiError('unavailable', 'This run was being stored. Try again.');
        const { factor, steps, begins, kitchen } = begun;
        // Worked out before: another run may have begun from the same lot meanwhile.
        if (begins && (await this.begun(body.begins!, await this.pantry.whole(), formulaId, version)).amountG !== begins.amountG)
          throw new ApiError('conflict', 'Somebody took from this lot meanwhile. Look at what is left and start again.');
        const startedAt = this.clock.now();
        const { roomC, humidityShare } = kitchen;
        await this.insert({ id, formulaId, version, factor, roomC, humidityShare, startedAt, steps, begins });
        const at = startedAt.toISOString();
        const events: BakeEvent[] = [
          { id: randomUUID(), at, what: { kind: 'began' } },
          ...confirmed.map(({ code, reason }): BakeEvent => ({ id: randomUUID(), at, what: { kind: 'confirmed', code, reason } })),
        ];
        await this.underWay.insert({ bakeId: id });
        await this.add(await this.header(id), events);
        if (begins) await this.takeStock(await this.header(id), events);
      }
      return this.run(id);
    });
  }

  private async worked({ formulaId, version, looks, confirmed, factor, begins: wanted, goods: sharing = [] }: StartBody) {
    await this.refuseUnknown(formulaId, version);
    const formula = await this.formulas.formulaOf(formulaId, version);
    const [kitchen, pantry] = [await this.kitchen.current(), await this.pantry.whole()];
    if (wanted && sharing.length > 0)
      throw invalid('goods', 'cannot share a dough that is mixed already: leave out one of begins and goods');
    const begins = wanted ? await this.begun(wanted, pantry, formulaId, version) : null;
    const goods = await this.goodsOf(formulaId, version, sharing);
    const begun = await this.evaluator.run({
      kind: 'begin',
      formula,
      kitchen,
      pantry,
      begins,
      goods,
      factor,
      looks,
      confirmed: confirmed.map(({ code }) => code),
    });
    if ('unsafe' in begun) {
      const problem = { path: 'confirmed', code: begun.unsafe, message: 'needs a reason before the run begins' };
      throw new ApiError('invalid', 'Something here is not safe: confirm it with a reason, or change the formula.', [problem]);
    }
    return { ...begun, begins, kitchen };
  }

  /** Runs under way, the latest first. */
  async running(): Promise<Run[]> {
    const rows = await this.scope.query<BakeEntity & { formulaName: string }>(
      `SELECT b.*, v."formula"->>'name' AS "formulaName" FROM "runs_under_way" w
       JOIN "bakes" b ON b."kitchenId" = w."kitchenId" AND b."id" = w."bakeId"
       JOIN "formula_versions" v ON v."kitchenId" = b."kitchenId" AND v."formulaId" = b."formulaId" AND v."version" = b."version"
       WHERE w."kitchenId" = $1 ORDER BY b."number" DESC LIMIT 200`,
      [await this.scope.id()],
    );
    const events = await eventsOf(
      this.scope,
      rows.map(({ id }) => id),
    );
    return rows.map((row) => runOf(row, row.formulaName, events(row.id)));
  }

  async run(id: string): Promise<Run> {
    const bake = await this.entity(id);
    const { name } = await this.formulas.formulaOf(bake.formulaId, bake.version);
    return runOf(bake, name, (await eventsOf(this.scope, [id]))(id));
  }

  /** Each event once, in any order; the answer is what is stored under the ids that were sent. */
  async addEvents(id: string, events: readonly BakeEvent[]): Promise<readonly BakeEvent[]> {
    await this.keepLeftOvers(id, events);
    return this.scope.transaction(async () => {
      // Two devices of one run send the same things: one after the other, so that each finds what is stored.
      return this.add(await this.header(id, 'held'), events);
    });
  }

  /** Goods that are mixed together: each of this dough still, with the name it goes by. */
  private async goodsOf(formulaId: string, version: number, goods: NonNullable<StartBody['goods']>): Promise<readonly GoodOfDough[]> {
    const named: GoodOfDough[] = [];
    for (const [i, good] of goods.entries()) {
      await this.refuseUnknown(good.formulaId, good.version, `goods[${i}].version`);
      const formula = await this.formulas.formulaOf(good.formulaId, good.version);
      if (!(await this.takesDoughOf(formula, good, { formulaId, version })))
        throw invalid(`goods[${i}]`, `is not of this dough: ${formula.name} v${good.version} takes another, or was changed since`);
      named.push({ ...good, name: formula.name });
    }
    return named;
  }

  /** Whether a version is made of the dough of another: its own, or one that it follows and has not changed since. */
  private async takesDoughOf(formula: Formula, good: VersionOf, source: VersionOf): Promise<boolean> {
    if (good.formulaId === source.formulaId && good.version === source.version) return true;
    if (formula.doughOf?.formulaId !== source.formulaId) return false;
    if (!(await this.formulas.hasVersion(source.formulaId, source.version))) return false;
    return isStillDoughOf(formula, await this.formulas.formulaOf(source.formulaId, source.version));
  }

  /** The lot that a run begins from: one that a bake of the same version left, or of the dough that it follows, and that holds something. */
  private async begun({ lotId, what }: Begins, pantry: PantryBook, formulaId: string, version: number): Promise<KeptBegins> {
    const lot = pantry.lots[lotId];
    const of = lot && pantry.ingredients[lot.ingredientId]?.madeFrom;
    const left = lot?.from?.what === what && of?.formulaId !== undefined;
    const source: VersionOf | null = left ? { formulaId: of.formulaId, version: of.version } : null;
    const good = { formulaId, version };
    const isOwn = source?.formulaId === formulaId && source.version === version;
    const fits =
      isOwn ||
      (what === 'dough' && source !== null && (await this.takesDoughOf(await this.formulas.formulaOf(formulaId, version), good, source)));
    if (!fits || !(lot?.onHandG !== undefined && lot.onHandG > 0)) {
      const message = fits ? 'holds nothing any more' : 'is not a lot that a bake of this version or of its dough left';
      throw new ApiError('invalid', `The lot ${message}.`, [{ path: 'begins.lotId', code: 'input', message }]);
    }
    return { lotId, what, amountG: lot.onHandG };
  }

  /** What bakes left becomes lots of the pantry before it is on record: said again it is the same lot. */
  private async keepLeftOvers(bakeId: string, events: readonly BakeEvent[]): Promise<void> {
    const left = events.flatMap(({ what }) => (what.kind === 'leftOver' ? [what] : []));
    if (left.length === 0) return;
    const { number, formulaId, version } = await this.entity(bakeId);
    for (const { lotId, what, amountG, placeId, useByOn } of left) {
      if ((await this.pantry.whole()).lots[lotId]) continue;
      const ingredientId = await this.formulas.asLeftOver(formulaId, version, what);
      // What is dry once baked may be smelled and tasted; dough, egg and what needs the cold may not.
      const day = (await this.formulas.isDryOnceBaked(formulaId, version, what)) ? { bestByOn: useByOn } : { useByOn };
      const lot = { id: lotId, ingredientId, code: `bake ${number}`, onHandG: amountG, ...day, placeId, from: { bakeId, what } };
      await this.pantry.storeLot(lotId, { revision: 0, recounted: true, lot });
    }
  }

  /** A picture of a bake, drawn anew, and the event that says so. */
  async addPhoto(id: string, photoId: string, bytes: unknown): Promise<readonly BakeEvent[]> {
    await this.entity(id);
    const at = this.clock.now().toISOString();
    return this.files.store({ of: 'bake', ofId: id }, photoId, bytes, async () => {
      const event: BakeEvent = { id: photoId, at, what: { kind: 'photographed', photoId } };
      return this.add(await this.header(id, 'held'), [event]);
    });
  }

  photo(bakeId: string, id: string): Promise<Buffer> {
    return this.files.read({ of: 'bake', ofId: bakeId }, id);
  }

  /** What the bake took from the lots, worked out from its version and what was weighed. Of a run, only what was weighed has been taken. */
  private async takeStock(bake: Header, events: readonly BakeEvent[]): Promise<void> {
    const formula = await this.formulas.formulaOf(bake.formulaId, bake.version);
    const made = asBaked(formula, events);
    const none = !bake.isRun ? {} : Object.fromEntries([...formula.blend.rows, ...formula.rows].map(({ key }) => [key, 0]));
    const besides = bake.begins ? [{ rowKey: 'begins', lotId: bake.begins.lotId, usedG: bake.begins.amountG }] : [];
    await this.pantry.take(
      bake.id,
      { formula: made.formula, factor: bake.factor },
      { ...none, ...made.weighed },
      { bags: made.bags, besides },
    );
  }

  /** Whether a bake of this id is there already, as the same; another under its id is refused. Holds the count of bakes from here on. */
  private async isHeld(id: string, as: Partial<BakeEntity>, how: 'record' | 'run'): Promise<boolean> {
    // One recording at a time counts the next number: without the lock two would take the same.
    await this.scope.lock('bakes');
    const held = await this.bakes.findOne({ id });
    if (!held) return false;
    const same = Object.entries(as).every(([key, value]) => held[key as keyof BakeEntity] === value);
    if (!same || (held.steps === null) !== (how === 'record')) throw new ApiError('conflict', 'This id belongs to another bake.');
    return true;
  }

  private async insert(bake: Omit<BakeEntity, 'number' | 'kitchenId'>): Promise<void> {
    const [last] = await this.bakes.find({ order: { number: 'DESC' }, take: 1, select: { number: true } });
    await this.bakes.insert({ ...bake, number: (last?.number ?? 0) + 1 });
    await this.formulas.tally(bake.formulaId, { bakes: 1, likedSum: 0, likedCount: 0 });
  }

  private async refuseUnknown(formulaId: string, version: number, path = 'version'): Promise<void> {
    if (await this.formulas.hasVersion(formulaId, version)) return;
    throw new ApiError('invalid', 'This formula has no such version.', [
      { path, code: 'input', message: `there is no version ${version}` },
    ]);
  }

  /** Stores what is not stored yet, and all that follows from it; gives what is stored of these. Within a transaction that holds the bake. */
  private async add(bake: Header, events: readonly BakeEvent[]): Promise<readonly BakeEvent[]> {
    if (events.length === 0) return [];
    const sent = new Map<string, BakeEvent>();
    for (const event of events) if (!sent.has(event.id)) sent.set(event.id, { ...event, at: new Date(event.at).toISOString() });
    const stored = await this.events.insertNew(
      [...sent.values()].map(({ id, at, stepKey, corrects, what }) => ({
        id,
        bakeId: bake.id,
        at: new Date(at),
        stepKey: stepKey ?? null,
        corrects: corrects ?? null,
        what,
      })),
      'id',
    );
    const fresh = stored.map(({ id }) => sent.get(id)!);
    // What was there before is answered as it is stored.
    for (const { id } of fresh) sent.delete(id);
    const held = sent.size === 0 ? [] : await this.stored([...sent.keys()], bake.id, events);
    if (fresh.some(matters)) await this.follow(bake, fresh);
    if (fresh.length > 0) await this.news.tell({ what: 'bake', id: bake.id });
    return inOrder([...held, ...fresh]);
  }

  /** Events of this bake that are on record already; one of another bake's is refused. */
  private async stored(ids: readonly string[], bakeId: string, events: readonly BakeEvent[]): Promise<readonly BakeEvent[]> {
    const held = await heldEvents(this.scope, `"id" = ANY($2::uuid[])`, [ids]);
    refuseTaken(held, bakeId, events);
    return held.get(bakeId) ?? [];
  }

  /** What follows from new events: how the formula is liked, what the lots have lost, whether the run is over, what is to be learned. */
  private async follow(bake: Header, fresh: readonly BakeEvent[]): Promise<void> {
    const ids = new Set(fresh.map(({ id }) => id));
    const after = (await eventsOf(this.scope, [bake.id]))(bake.id);
    const has = (kind: BakeEvent['what']['kind']) => fresh.some(({ what }) => what.kind === kind);
    const corrected = fresh.some(({ corrects }) => corrects !== undefined);
    // The formula before the lots, as everywhere: two that hold them in another order would wait for each other.
    if (has('rated') || corrected) {
      const before = after.filter(({ id }) => !ids.has(id));
      await this.formulas.tally(bake.formulaId, likedMore(before, after));
    }
    if (has('weighed') || has('swapped') || has('added') || corrected) await this.takeStock(bake, after);
    if (bake.isRun && (has('ended') || corrected)) await this.markEnded(bake.id, after);
    const about = { formulaId: bake.formulaId, version: bake.version };
    // Only where a hand has spoken: a weight alone says nothing of the blend's thirst.
    if (has('felt') || (after.some(isFelt) && (has('weighed') || corrected))) await this.later.ask('thirst', bake.formulaId, about);
    if (fresh.some(teaches)) await this.later.ask('bakes', bake.formulaId, about);
  }

  private async markEnded(bakeId: string, events: readonly BakeEvent[]): Promise<void> {
    const { scaleStepG } = await this.kitchen.current();
    const { steps } = await this.entity(bakeId);
    const ended = runState(steps!, events, scaleStepG).state === 'ended';
    await this.underWay.delete({ bakeId });
    if (!ended) await this.underWay.insert({ bakeId });
  }

  /** A bake without the steps of its run, which are large and mostly not asked for. `held`: nobody else adds to it until the transaction ends. */
  private async header(id: string, how: 'read' | 'held' = 'read'): Promise<Header> {
    const [found] = await this.scope.query<Header>(
      `SELECT "id", "formulaId", "version", "factor", "begins", "steps" IS NOT NULL AS "isRun" FROM "bakes"
       WHERE "kitchenId" = $1 AND "id" = $2 ${how === 'held' ? 'FOR NO KEY UPDATE' : ''}`,
      [await this.scope.id(), id],
    );
    if (!found) throw new ApiError('notFound', 'This bake is not here.');
    return found;
  }

  private async entity(id: string): Promise<BakeEntity> {
    const found = await this.bakes.findOne({ id });
    if (!found) throw new ApiError('notFound', 'This bake is not here.');
    return found;
  }
}

/** An id that another bake has cannot be stored here, and must not be answered as if it had been. */
function refuseTaken(held: ReadonlyMap<string, readonly BakeEvent[]>, bakeId: string, events: readonly BakeEvent[]): void {
  const taken = [...held].find(([of]) => of !== bakeId)?.[1][0];
  if (!taken) return;
  const path = `[${events.findIndex(({ id }) => id === taken.id)}].id`;
  throw new ApiError('conflict', 'An event of this id belongs to another bake.', [
    { path, code: 'input', message: 'belongs to another bake' },
  ]);
}

/** Something else follows from it. */
const matters = (event: BakeEvent): boolean =>
  ['weighed', 'swapped', 'added', 'rated', 'ended', 'felt'].includes(event.what.kind) || event.corrects !== undefined || teaches(event);

function runOf(bake: BakeEntity, formulaName: string, events: readonly BakeEvent[]): Run {
  return { ...bakeOf(bake, events), formulaName, steps: bake.steps ?? [], ...(bake.begins ? { begins: bake.begins } : {}) };
}

/** By how much a bake is liked more, or by more, than before. */
function likedMore(before: readonly BakeEvent[], after: readonly BakeEvent[]): Tally {
  const [was, is] = [likedOf(before), likedOf(after)];
  const sum = (dots: readonly number[]) => dots.reduce((all, one) => all + one, 0);
  return { bakes: 0, likedSum: sum(is) - sum(was), likedCount: is.length - was.length };
}
const likedOf = (events: readonly BakeEvent[]): number[] =>
  standingEvents(events).flatMap(({ what }) => (what.kind === 'rated' && what.liked !== undefined ? [what.liked] : []));

type Header = Pick<BakeEntity, 'id' | 'formulaId' | 'version' | 'factor' | 'begins'> & { readonly isRun: boolean };
type VersionOf = { readonly formulaId: string; readonly version: number };
type KeptBegins = Begins & { readonly amountG: number };

/** How a run was led, in no list of bakes. */
const OF_THE_RUN: readonly BakeEvent['what']['kind'][] = [
  'began',
  'confirmed',
  'leftOver',
  'looked',
  'looksPlanned',
  'paused',
  'photographed',
  'resumed',
  'skipped',
  'stepBegan',
  'stepEnded',
];
