import { Injectable } from '@nestjs/common';
import { In, type EntityManager } from 'typeorm';
import { thirstOfBlend, type FeltDough, type HandWord } from '@north-leaf/core';
import { FormulasService } from '../formulas/formulas.service.js';
import { KitchenService } from '../kitchen/kitchen.service.js';
import { PantryService } from '../pantry/pantry.service.js';
import { ApiError } from '../platform/errors.js';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { BakeEventEntity } from './bake-event.entity.js';
import { BakeEntity } from './bake.entity.js';
import type { Bake, BakeBody, BakeEvent, FormulaListItem, FormulaVersion } from '@north-leaf/contracts';

@Injectable()
export class BakesService {
  constructor(
    private readonly scope: KitchenScope,
    private readonly formulas: FormulasService,
    private readonly pantry: PantryService,
    private readonly kitchen: KitchenService,
  ) {}

  /** Newest first. */
  async list(formulaId?: string): Promise<Bake[]> {
    const bakes = await (
      await this.scope.table(BakeEntity)
    ).find({ where: formulaId === undefined ? {} : { formulaId }, order: { number: 'DESC' } });
    const events = await this.eventsOf(bakes.map(({ id }) => id));
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
    return this.scope.transaction(async (manager) => {
      const bakes = await this.scope.table(BakeEntity, manager);
      // One recording at a time counts the next number: without the lock two would take the same.
      await manager.query('SELECT pg_advisory_xact_lock(hashtext($1))', [`bakes:${await this.scope.id()}`]);
      const held = await bakes.findOne({ id });
      if (!held) {
        if (!(await this.formulas.hasVersion(body.formulaId, body.version, manager))) {
          throw new ApiError('invalid', 'This formula has no such version.', [
            { path: 'version', code: 'input', message: `there is no version ${body.version}` },
          ]);
        }
        const { formulaId, version, factor, roomC, humidityShare } = body;
        const [last] = await bakes.find({ order: { number: 'DESC' }, take: 1 });
        const startedAt = new Date(body.events[0]?.at ?? Date.now());
        await bakes.insert({ id, number: (last?.number ?? 0) + 1, formulaId, version, factor, roomC, humidityShare, startedAt });
        await this.add(id, body.events, manager);
        await this.takeStock(id, manager);
        if (body.events.some(isFelt)) await this.learnThirst(body, manager);
      }
      return this.one(id, manager);
    });
  }

  /** Each event once, in any order; the answer lists what is stored. */
  async addEvents(id: string, events: readonly BakeEvent[]): Promise<readonly BakeEvent[]> {
    return this.scope.transaction(async (manager) => {
      const bake = await this.one(id, manager);
      await this.add(id, events, manager);
      // A correction may take a hand's word back as well as give one.
      if (events.some((event) => isFelt(event) || event.corrects !== undefined || event.what.kind === 'weighed'))
        await this.learnThirst(bake, manager);
      if (events.some(({ what }) => what.kind === 'weighed')) await this.takeStock(id, manager);
      return (await this.one(id, manager)).events;
    });
  }

  /** What the bake took from the lots, worked out from its version and what was weighed. */
  private async takeStock(id: string, manager: EntityManager): Promise<void> {
    const bake = await this.one(id, manager);
    const { formula } = await this.formulas.version(bake.formulaId, bake.version);
    await this.pantry.take(id, formula, bake.factor, weighedOf(bake.events), manager);
  }

  /** Works the thirst of a blend out anew, from every bake of it in which a hand judged the dough. */
  private async learnThirst({ formulaId, version }: Pick<Bake, 'formulaId' | 'version'>, manager: EntityManager): Promise<void> {
    const { name } = (await this.formulas.version(formulaId, version)).formula.blend;
    const bakes = await (await this.scope.table(BakeEntity, manager)).find({ order: { number: 'ASC' } });
    const events = await this.eventsOf(
      bakes.map(({ id }) => id),
      manager,
    );
    const versions = new Map<string, FormulaVersion>();
    const doughs: FeltDough[] = [];
    for (const bake of bakes.map((one) => bakeOf(one, events))) {
      const word = feltIn(bake.events);
      if (!word) continue;
      const which = `${bake.formulaId} ${bake.version}`;
      const known = versions.get(which) ?? (await this.formulas.version(bake.formulaId, bake.version));
      versions.set(which, known);
      const { formula, kitchen, pantry } = known;
      if (formula.blend.name !== name) continue;
      const { id: bakeId, factor, humidityShare } = bake;
      doughs.push({ bakeId, formula, kitchen, pantry, factor, humidityShare, weighed: weighedOf(bake.events), word });
    }
    await this.kitchen.setLearned('thirstFactor', name, thirstOfBlend(name, doughs), manager);
  }

  private async add(bakeId: string, events: readonly BakeEvent[], manager: EntityManager): Promise<void> {
    const table = await this.scope.table(BakeEventEntity, manager);
    const known = new Set((await table.find({ where: { id: In(events.map(({ id }) => id)) } })).map(({ id }) => id));
    for (const { id, at, corrects, what } of events) {
      if (known.has(id)) continue;
      known.add(id);
      await table.insert({ id, bakeId, at: new Date(at), corrects: corrects ?? null, what });
    }
  }

  private async one(id: string, manager: EntityManager): Promise<Bake> {
    const found = await (await this.scope.table(BakeEntity, manager)).findOne({ id });
    if (!found) throw new ApiError('notFound', 'This bake is not here.');
    return bakeOf(found, await this.eventsOf([id], manager));
  }

  private async eventsOf(bakeIds: readonly string[], manager?: EntityManager): Promise<BakeEventEntity[]> {
    if (bakeIds.length === 0) return [];
    return (await this.scope.table(BakeEventEntity, manager)).find({
      where: { bakeId: In([...bakeIds]) },
      order: { at: 'ASC', id: 'ASC' },
    });
  }
}

function bakeOf(
  { id, number, formulaId, version, factor, roomC, humidityShare, startedAt }: BakeEntity,
  events: readonly BakeEventEntity[],
): Bake {
  return {
    id,
    number,
    formulaId,
    version,
    factor,
    roomC,
    humidityShare,
    startedAt: startedAt.toISOString(),
    events: events
      .filter(({ bakeId }) => bakeId === id)
      .map((event) => ({
        id: event.id,
        at: event.at.toISOString(),
        ...(event.corrects === null ? {} : { corrects: event.corrects }),
        what: event.what,
      })),
  };
}

const likedOf = ({ events }: Bake): number[] =>
  events.flatMap(({ what }) => (what.kind === 'rated' && what.liked !== undefined ? [what.liked] : []));

const isFelt = ({ what }: BakeEvent) => what.kind === 'felt';

/** The last word of the hand that nobody took back. */
function feltIn(events: readonly BakeEvent[]): HandWord | null {
  const corrected = new Set(events.flatMap(({ corrects }) => corrects ?? []));
  return events.reduce<HandWord | null>((word, { id, what }) => (what.kind === 'felt' && !corrected.has(id) ? what.word : word), null);
}

/** Grams of each row, additions summed; an event that another corrects does not count. */
function weighedOf(events: readonly BakeEvent[]): Record<string, number> {
  const corrected = new Set(events.flatMap(({ corrects }) => corrects ?? []));
  const sums: Record<string, number> = {};
  for (const { id, what } of events) {
    if (what.kind === 'weighed' && !corrected.has(id)) sums[what.rowKey] = (sums[what.rowKey] ?? 0) + what.addedG;
  }
  return sums;
}
