import { Injectable } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import {
  goodsWhats,
  MOST_LOADS,
  packOf,
  standingEvents,
  thirstOfBlend,
  weighedOf,
  type BakeEvent,
  type FeltDough,
  type Kitchen,
  type Learned,
  type RecordedBake,
} from '@north-leaf/core';
import { FormulasService } from '../formulas/formulas.service.js';
import { KitchenService } from '../kitchen/kitchen.service.js';
import { PantryService } from '../pantry/pantry.service.js';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { log } from '../platform/log.js';
import { SolverService } from '../solver/solver.service.js';
import { BakeEntity } from './bake.entity.js';
import { bakeOf, eventRows, eventsIn } from './rows.js';
import type { Bake, FormulaVersion } from '@north-leaf/contracts';

/** What a kitchen learns from its bakes, worked out anew from those it has. */
@Injectable()
export class LearningService {
  constructor(
    private readonly scope: KitchenScope,
    private readonly formulas: FormulasService,
    private readonly pantry: PantryService,
    private readonly kitchen: KitchenService,
    private readonly solver: SolverService,
  ) {}

  /** Learning goes on after the answer, one bake after the other. */
  private learning: Promise<void> = Promise.resolve();

  /** Works the thirst of a blend out anew, from every word that a hand said of a dough of it and what was in the bowl by then. */
  async learnThirst({ formulaId, version }: Pick<Bake, 'formulaId' | 'version'>, manager: EntityManager): Promise<void> {
    const { name } = (await this.formulas.version(formulaId, version)).formula.blend;
    const bakes = await (await this.scope.table(BakeEntity, manager)).find({ order: { number: 'ASC' } });
    const events = await eventRows(
      this.scope,
      bakes.map(({ id }) => id),
      manager,
    );
    const versions = new Map<string, FormulaVersion>();
    const since = learnedSince(await this.kitchen.current(), 'thirstFactor', name);
    const doughs: FeltDough[] = [];
    for (const bake of bakes.filter(({ startedAt }) => startedAt.toISOString() > since).map((one) => bakeOf(one, events))) {
      const stood = standingEvents(bake.events);
      // Another ingredient in the bowl says nothing of this blend's own thirst.
      if (!stood.some(isFelt) || stood.some(({ what }) => what.kind === 'swapped')) continue;
      const which = `${bake.formulaId} ${bake.version}`;
      const known = versions.get(which) ?? (await this.formulas.version(bake.formulaId, bake.version));
      versions.set(which, known);
      const { formula, kitchen, pantry } = known;
      if (formula.blend.name !== name) continue;
      const { id: bakeId, humidityShare } = bake;
      const resized = stood.findLast(({ what }) => what.kind === 'scaled')?.what;
      const factor = bake.factor * (resized?.kind === 'scaled' ? resized.factor : 1);
      stood.forEach(({ what }, i) => {
        if (what.kind !== 'felt') return;
        doughs.push({ bakeId, formula, kitchen, pantry, factor, humidityShare, weighed: weighedOf(stood.slice(0, i)), word: what.word });
      });
    }
    await this.kitchen.setLearned('thirstFactor', name, thirstOfBlend(name, doughs), manager);
  }

  /** Oven and goods, after the answer. */
  learnLater(bake: Pick<Bake, 'formulaId' | 'version'>): void {
    this.learning = this.learning
      .then(() => this.learn(bake))
      .catch((err: unknown) => log.error({ err }, 'nothing was learned from a bake'));
  }

  /** Oven and texture, worked out anew from their latest bakes, beside the server's own thread. */
  private async learn({ formulaId, version }: Pick<Bake, 'formulaId' | 'version'>): Promise<void> {
    const { formula } = await this.formulas.version(formulaId, version);
    const [kitchen, pantry] = [await this.kitchen.current(), await this.pantry.whole()];
    const rows = await (await this.scope.table(BakeEntity)).find({ order: { number: 'DESC' }, take: LOOKED_AT });
    const events = await eventRows(
      this.scope,
      rows.map(({ id }) => id),
    );
    const { ovenId } = formula.bake;
    const measuredAt = kitchen.ovens.find(({ id }) => id === ovenId)?.readings.reduce((last, { at }) => (at > last ? at : last), '') ?? '';
    const ovenSince = [measuredAt, learnedSince(kitchen, 'oven', ovenId)].sort().at(-1)!;
    const { pack } = formula.keep;
    const aboutOf = (what: Learned['what']) => (what === 'pack' ? packOf(pack, formula.family) : formula.family);
    const goodsSince = goodsWhats
      .map((what) => learnedSince(kitchen, what, aboutOf(what)))
      .sort()
      .at(-1)!;
    const ofOven: RecordedBake[] = [];
    const ofFamily: RecordedBake[] = [];
    for (const row of rows.reverse()) {
      const known = (await this.formulas.version(row.formulaId, row.version)).formula;
      const { id: bakeId, factor, roomC, humidityShare } = row;
      const bake = { bakeId, formula: known, factor, roomC, humidityShare, events: eventsIn(events, bakeId) };
      const at = row.startedAt.toISOString();
      if (known.bake.ovenId === ovenId && at > ovenSince) ofOven.push(bake);
      if (known.family === formula.family && at > goodsSince) ofFamily.push(bake);
    }
    const job = {
      kind: 'learn' as const,
      oven: { id: ovenId, bakes: ofOven.slice(-MOST_LOADS) },
      family: { id: formula.family, bakes: ofFamily.slice(-MOST_LOADS) },
      kitchen,
      pantry,
    };
    const learned = await this.solver.run(job, new AbortController().signal);
    await this.kitchen.setLearned('oven', ovenId, learned.find(({ what }) => what === 'oven') ?? null);
    for (const what of goodsWhats) {
      const about = aboutOf(what);
      await this.kitchen.setLearned(what, about, learned.find((one) => one.what === what && one.about === about) ?? null);
    }
  }
}

/** Bakes that are looked through for those of one oven or family. */
const LOOKED_AT = 60;

/** Events from which an oven or a mouth is learned. */
export const teaches = ({ what, corrects }: BakeEvent) =>
  ['measured', 'rated', 'looked', 'noticed', 'ended'].includes(what.kind) || corrects !== undefined;

/** Since when bakes count for something learned; empty: from the first. */
const learnedSince = ({ learned }: Kitchen, what: Learned['what'], about: string): string =>
  learned.find((one) => one.what === what && one.about === about)?.since ?? '';

/** A word of the hand. */
export const isFelt = ({ what }: BakeEvent) => what.kind === 'felt';
