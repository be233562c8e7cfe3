import { Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { In, IsNull, Not, type EntityManager } from 'typeorm';
import {
  asBaked,
  evaluate,
  factorOfKept,
  findingsOf,
  InputError,
  runSteps,
  runState,
  scaled,
  stepsFrom,
  type BakeEvent,
  type Begins,
} from '@north-leaf/core';
import { FormulasService } from '../formulas/formulas.service.js';
import { KitchenService } from '../kitchen/kitchen.service.js';
import { PantryService } from '../pantry/pantry.service.js';
import { Clock } from '../platform/clock.js';
import { ApiError } from '../platform/errors.js';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { BakePhotoEntity } from './bake-photo.entity.js';
import { madeAnew } from './photo.js';
import { BakeEventEntity } from './bake-event.entity.js';
import { BakeEntity } from './bake.entity.js';
import { isFelt, LearningService, teaches } from './learning.service.js';
import { bakeOf, eventRows, eventsIn } from './rows.js';
import type { Bake, BakeBody, FormulaListItem, PantryBook, Run, StartBody } from '@north-leaf/contracts';

@Injectable()
export class BakesService {
  constructor(
    private readonly scope: KitchenScope,
    private readonly formulas: FormulasService,
    private readonly pantry: PantryService,
    private readonly kitchen: KitchenService,
    private readonly clock: Clock,
    private readonly learning: LearningService,
  ) {}

  /** Newest first. */
  async list(formulaId?: string, lotId?: string): Promise<Bake[]> {
    const ofLot = lotId === undefined ? null : await this.pantry.bakesOf(lotId);
    const where = { ...(formulaId === undefined ? {} : { formulaId }), ...(ofLot ? { id: In(ofLot) } : {}) };
    const bakes = await (await this.scope.table(BakeEntity)).find({ where, order: { number: 'DESC' } });
    const events = await eventRows(
      this.scope,
      bakes.map(({ id }) => id),
    );
    return bakes.map((bake) => bakeOf(bake, events));
  }

  /** The formulas with how often each was baked and how it was liked. */
  async listFormulas(): Promise<FormulaListItem[]> {
    const [formulas, bakes] = await Promise.all([this.formulas.list(), this.list()]);
    return formulas.map((formula) => {
      const own = bakes.filter(({ formulaId }) => formulaId === formula.id);
      const liked = own.flatMap(likedOf);
      return { ...formula, bakes: own.length, liked: liked.length > 0 ? liked.reduce((sum, dots) => sum + dots, 0) / liked.length : null };
    });
  }

  /** Stores header and events together; the same id again gives what is stored. */
  async record(id: string, body: BakeBody): Promise<Bake> {
    const stored = await this.scope.transaction(async (manager) => {
      if (!(await this.isHeld(id, manager))) {
        await this.refuseUnknown(body.formulaId, body.version, manager);
        const { formulaId, version, factor, roomC, humidityShare } = body;
        const startedAt = new Date(body.events[0]?.at ?? this.clock.now());
        await this.insert({ id, formulaId, version, factor, roomC, humidityShare, startedAt, steps: null, begins: null }, manager);
        await this.add(id, body.events, manager);
        await this.takeStock(id, manager);
        if (body.events.some(isFelt)) await this.learning.learnThirst(body, manager);
      }
      return this.one(id, manager);
    });
    if (body.events.some(teaches)) this.learning.learnLater(body);
    return stored;
  }

  /**
   * Begins a run: the version in the kitchen and with the lots of this moment becomes its steps. The same id again gives what is stored.
   * What is unsafe has to be confirmed, each with its reason.
   */
  async start(id: string, body: StartBody): Promise<Run> {
    const { formulaId, version, looks, confirmed } = body;
    return this.scope.transaction(async (manager) => {
      if (!(await this.isHeld(id, manager))) {
        await this.refuseUnknown(formulaId, version, manager);
        const { formula: written } = await this.formulas.version(formulaId, version);
        const [kitchen, pantry] = [await this.kitchen.current(), await this.pantry.whole(manager)];
        const begins = body.begins ? this.begun(body.begins, pantry, formulaId, version) : null;
        const factor = begins
          ? (factorOfKept(begins.what, begins.amountG, evaluate(written, kitchen, pantry)) ?? body.factor)
          : body.factor;
        const formula = scaled(written, factor);
        const evaluation = evaluate(formula, kitchen, pantry);
        const open = findingsOf(evaluation).find(({ unsafe, code }) => unsafe && !confirmed.some((one) => one.code === code));
        if (open) {
          const problem = { path: 'confirmed', code: open.code, message: 'needs a reason before the run begins' };
          throw new ApiError('invalid', 'Something here is not safe: confirm it with a reason, or change the formula.', [problem]);
        }
        const whole = stepsOrRefusal(() => runSteps(formula, kitchen, pantry, evaluation, looks));
        const steps = begins ? stepsFrom(whole, begins.what) : whole;
        const startedAt = this.clock.now();
        const { roomC, humidityShare } = kitchen;
        await this.insert({ id, formulaId, version, factor, roomC, humidityShare, startedAt, steps, begins }, manager);
        const at = startedAt.toISOString();
        const events: BakeEvent[] = [
          { id: randomUUID(), at, what: { kind: 'began' } },
          ...confirmed.map(({ code, reason }): BakeEvent => ({ id: randomUUID(), at, what: { kind: 'confirmed', code, reason } })),
        ];
        await this.add(id, events, manager);
        if (begins) await this.takeStock(id, manager);
      }
      return this.runOf(await this.entity(id, manager), await eventRows(this.scope, [id], manager));
    });
  }

  /** Runs under way, the latest first. */
  async running(): Promise<Run[]> {
    const begun = await (
      await this.scope.table(BakeEntity)
    ).find({ where: { steps: Not(IsNull()) }, order: { number: 'DESC' }, take: 200 });
    const events = await eventRows(
      this.scope,
      begun.map(({ id }) => id),
    );
    const { scaleStepG } = await this.kitchen.current();
    const under = begun.filter(({ id, steps }) => runState(steps!, eventsIn(events, id), scaleStepG).state !== 'ended');
    return Promise.all(under.map((bake) => this.runOf(bake, events)));
  }

  async run(id: string): Promise<Run> {
    return this.runOf(await this.entity(id), await eventRows(this.scope, [id]));
  }

  /** Each event once, in any order; the answer lists what is stored. */
  async addEvents(id: string, events: readonly BakeEvent[]): Promise<readonly BakeEvent[]> {
    await this.keepLeftOvers(id, events);
    const bake = await this.scope.transaction(async (manager) => {
      // Two devices of one run send the same things: one after the other, so that each finds what is stored.
      await manager.query('SELECT pg_advisory_xact_lock(hashtext($1))', [`bake:${id}`]);
      const bake = await this.one(id, manager);
      await this.add(id, events, manager);
      // A correction may take a hand's word back as well as give one.
      if (events.some((event) => isFelt(event) || event.corrects !== undefined || event.what.kind === 'weighed'))
        await this.learning.learnThirst(bake, manager);
      if (events.some(({ what }) => what.kind === 'weighed')) await this.takeStock(id, manager);
      return this.one(id, manager);
    });
    if (events.some(teaches)) this.learning.learnLater(bake);
    return bake.events;
  }

  /** The lot that a run begins from: one that a bake of the same version left, and that holds something. */
  private begun({ lotId, what }: Begins, pantry: PantryBook, formulaId: string, version: number): KeptBegins {
    const lot = pantry.lots[lotId];
    const of = lot && pantry.ingredients[lot.ingredientId]?.madeFrom;
    const fits = lot?.from?.what === what && of !== undefined && 'formulaId' in of && of.formulaId === formulaId && of.version === version;
    if (!fits || !(lot.onHandG !== undefined && lot.onHandG > 0)) {
      const message = fits ? 'holds nothing any more' : 'is not a lot that a bake of this version left';
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
    if (!Buffer.isBuffer(bytes)) {
      throw new ApiError('invalid', 'The photo is missing.', [{ path: 'photo', code: 'input', message: 'must be the bytes of a picture' }]);
    }
    await this.run(id);
    const table = await this.scope.table(BakePhotoEntity);
    if ((await table.count({ id: photoId })) === 0) {
      if ((await table.count({ bakeId: id })) >= MOST_PHOTOS) throw new ApiError('invalid', `A bake has at most ${MOST_PHOTOS} photos.`);
      await table.insert({ id: photoId, bakeId: id, jpeg: await madeAnew(bytes) });
    }
    return this.addEvents(id, [{ id: photoId, at: this.clock.now().toISOString(), what: { kind: 'photographed', photoId } }]);
  }

  async photo(bakeId: string, id: string): Promise<Buffer> {
    const found = await (await this.scope.table(BakePhotoEntity)).findOne({ id, bakeId });
    if (!found) throw new ApiError('notFound', 'This photo is not here.');
    return found.jpeg;
  }

  /** What the bake took from the lots, worked out from its version and what was weighed. Of a run, only what was weighed has been taken. */
  private async takeStock(id: string, manager: EntityManager): Promise<void> {
    const bake = await this.entity(id, manager);
    const events = eventsIn(await eventRows(this.scope, [id], manager), id);
    const { formula } = await this.formulas.version(bake.formulaId, bake.version);
    const made = asBaked(formula, events);
    const none = bake.steps === null ? {} : Object.fromEntries([...formula.blend.rows, ...formula.rows].map(({ key }) => [key, 0]));
    const besides = bake.begins ? [{ rowKey: 'begins', lotId: bake.begins.lotId, usedG: bake.begins.amountG }] : [];
    await this.pantry.take(id, made.formula, bake.factor, { ...none, ...made.weighed }, manager, besides);
  }

  private async isHeld(id: string, manager: EntityManager): Promise<boolean> {
    // One recording at a time counts the next number: without the lock two would take the same.
    await manager.query('SELECT pg_advisory_xact_lock(hashtext($1))', [`bakes:${await this.scope.id()}`]);
    return (await (await this.scope.table(BakeEntity, manager)).count({ id })) > 0;
  }

  private async insert(bake: Omit<BakeEntity, 'number' | 'kitchenId'>, manager: EntityManager): Promise<void> {
    const bakes = await this.scope.table(BakeEntity, manager);
    const [last] = await bakes.find({ order: { number: 'DESC' }, take: 1 });
    await bakes.insert({ ...bake, number: (last?.number ?? 0) + 1 });
  }

  private async refuseUnknown(formulaId: string, version: number, manager: EntityManager): Promise<void> {
    if (await this.formulas.hasVersion(formulaId, version, manager)) return;
    throw new ApiError('invalid', 'This formula has no such version.', [
      { path: 'version', code: 'input', message: `there is no version ${version}` },
    ]);
  }

  private async runOf(bake: BakeEntity, events: readonly BakeEventEntity[]): Promise<Run> {
    const { formula } = await this.formulas.version(bake.formulaId, bake.version);
    return { ...bakeOf(bake, events), formulaName: formula.name, steps: bake.steps ?? [], ...(bake.begins ? { begins: bake.begins } : {}) };
  }

  private async add(bakeId: string, events: readonly BakeEvent[], manager: EntityManager): Promise<void> {
    const table = await this.scope.table(BakeEventEntity, manager);
    const known = new Set((await table.find({ where: { id: In(events.map(({ id }) => id)) } })).map(({ id }) => id));
    for (const { id, at, stepKey, corrects, what } of events) {
      if (known.has(id)) continue;
      known.add(id);
      await table.insert({ id, bakeId, at: new Date(at), stepKey: stepKey ?? null, corrects: corrects ?? null, what });
    }
  }

  private async one(id: string, manager: EntityManager): Promise<Bake> {
    return bakeOf(await this.entity(id, manager), await eventRows(this.scope, [id], manager));
  }

  private async entity(id: string, manager?: EntityManager): Promise<BakeEntity> {
    const found = await (await this.scope.table(BakeEntity, manager)).findOne({ id });
    if (!found) throw new ApiError('notFound', 'This bake is not here.');
    return found;
  }
}

/** A formula that cannot be worked out today is refused at its field. */
function stepsOrRefusal<T>(make: () => T): T {
  try {
    return make();
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const problem = { path: error.path, code: 'input', message: error.message };
    throw new ApiError('invalid', `It cannot be run as it is: ${error.path} ${error.message}.`, [problem]);
  }
}

const likedOf = ({ events }: Bake): number[] =>
  events.flatMap(({ what }) => (what.kind === 'rated' && what.liked !== undefined ? [what.liked] : []));

type KeptBegins = Begins & { readonly amountG: number };

const MOST_PHOTOS = 24;
