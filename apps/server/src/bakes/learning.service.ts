import { Injectable, type OnApplicationBootstrap, type OnModuleInit } from '@nestjs/common';
import {
  feelsByWarmth,
  goodsWhats,
  isOutdated,
  lastOf,
  liftFormula,
  liftKitchen,
  MOST_LOADS,
  packOf,
  standingEvents,
  thirstOfBlend,
  weighedOf,
  type BakeEvent,
  type FeltDough,
  type Formula,
  type Kitchen,
  type Learned,
  type RecordedBake,
  type RunStep,
} from '@north-leaf/core';
import { FormulasService } from '../formulas/formulas.service.js';
import { KitchenService } from '../kitchen/kitchen.service.js';
import { PantryService } from '../pantry/pantry.service.js';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { Later, type LaterJobs } from '../platform/later.js';
import { SolverService } from '../solver/solver.service.js';
import { eventsOf } from './rows.js';
import type { FormulaVersion } from '@north-leaf/contracts';

/** Bakes that are looked through for what they teach: older ones tell of another kitchen. */
const LOOKED_AT = 60;

type BakeRow = {
  readonly id: string;
  readonly formulaId: string;
  readonly version: number;
  readonly factor: number;
  readonly roomC: number;
  readonly humidityShare: number;
  readonly startedAt: Date;
  readonly steps: readonly RunStep[] | null;
};

/** What a kitchen learns from its bakes, worked out anew from the latest of them, after the answer. */
@Injectable()
export class LearningService implements OnModuleInit, OnApplicationBootstrap {
  constructor(
    private readonly scope: KitchenScope,
    private readonly formulas: FormulasService,
    private readonly pantry: PantryService,
    private readonly kitchen: KitchenService,
    private readonly solver: SolverService,
    private readonly later: Later,
  ) {}

  onModuleInit(): void {
    this.later.does('thirst', (about) => this.learnThirst(about));
    this.later.does('bakes', (about) => this.learnFromBakes(about));
  }

  /** What was learned with an oven model that is not today's is worked out anew, formula by formula, from the bakes there are. */
  async onApplicationBootstrap(): Promise<void> {
    const kitchens = await this.scope.query<{ id: string; document: Kitchen }>('SELECT "id", "document" FROM "kitchens"');
    for (const { id, document } of kitchens) {
      // A weighed tray is no bake: it has to be weighed again.
      if (!liftKitchen(document).learned.some((one) => isOutdated(one) && one.what !== 'ovenHeatFactor')) continue;
      await this.scope.enter(async () => {
        const formulas = await this.scope.query<LaterJobs['bakes']>(
          `SELECT DISTINCT ON ("formulaId") "formulaId", "version" FROM (SELECT * FROM "bakes" WHERE "kitchenId" = $1 ORDER BY "number" DESC LIMIT $2) b
           ORDER BY "formulaId", "number" DESC`,
          [id, LOOKED_AT],
        );
        for (const about of formulas) await this.later.ask('bakes', about.formulaId, about);
      }, id);
    }
  }

  /** Works the thirst of a blend out anew, from the words that hands said of doughs of it and what was in the bowl by then. */
  private async learnThirst({ formulaId, version }: LaterJobs['thirst']): Promise<void> {
    const { name } = (await this.formulas.formulaOf(formulaId, version)).blend;
    const kitchenNow = await this.kitchen.current();
    const since = learnedSince(kitchenNow, 'thirstFactor', name);
    const bakes = await this.scope.query<BakeRow>(
      `SELECT b.* FROM "bakes" b JOIN "formula_versions" v
         ON v."kitchenId" = b."kitchenId" AND v."formulaId" = b."formulaId" AND v."version" = b."version"
       WHERE b."kitchenId" = $1 AND v."formula"->'blend'->>'name' = $2 AND b."startedAt" > $3
         AND EXISTS (SELECT FROM "bake_events" e WHERE e."kitchenId" = b."kitchenId" AND e."bakeId" = b."id" AND (e."what"->>'kind') = 'felt')
       ORDER BY b."number" DESC LIMIT $4`,
      [await this.scope.id(), name, since || '-infinity', LOOKED_AT],
    );
    const events = await eventsOf(
      this.scope,
      bakes.map(({ id }) => id),
    );
    const versions = new Map<string, FormulaVersion>();
    const doughs: FeltDough[] = [];
    for (const bake of bakes.reverse()) {
      const stood = standingEvents(events(bake.id));
      // Another ingredient in the bowl says nothing of this blend's own thirst.
      if (!stood.some(isFelt) || stood.some(({ what }) => what.kind === 'swapped')) continue;
      const which = `${bake.formulaId} ${bake.version}`;
      const known = versions.get(which) ?? (await this.formulas.version(bake.formulaId, bake.version));
      versions.set(which, known);
      const { formula, kitchen, pantry } = known;
      const { id: bakeId, humidityShare } = bake;
      const resized = stood.findLast(({ what }) => what.kind === 'scaled')?.what;
      const factor = bake.factor * (resized?.kind === 'scaled' ? resized.factor : 1);
      stood.forEach(({ what }, i) => {
        if (what.kind !== 'felt') return;
        // What was only warm says nothing of the blend.
        const doughC = lastOf(stood.slice(0, i), (one) => (one.kind === 'measured' && one.what === 'doughC' ? one.value : undefined));
        if (feelsByWarmth(what.word, bake.steps ?? [], doughC)) return;
        doughs.push({ bakeId, formula, kitchen, pantry, factor, humidityShare, weighed: weighedOf(stood.slice(0, i)), word: what.word });
      });
    }
    await this.kitchen.setLearned('thirstFactor', name, dated(thirstOfBlend(name, doughs), bakes), kitchenNow);
  }

  /** Oven and texture, worked out anew from their latest bakes, beside the server's own thread. */
  private async learnFromBakes({ formulaId, version }: LaterJobs['bakes']): Promise<void> {
    const formula = await this.formulas.formulaOf(formulaId, version);
    const [kitchen, pantry] = [await this.kitchen.current(), await this.pantry.whole()];
    const rows = await this.scope.query<BakeRow & { formula: Formula }>(
      `SELECT b.*, v."formula" FROM (SELECT * FROM "bakes" WHERE "kitchenId" = $1 ORDER BY "number" DESC LIMIT $2) b
       JOIN "formula_versions" v ON v."kitchenId" = b."kitchenId" AND v."formulaId" = b."formulaId" AND v."version" = b."version"
       ORDER BY b."number"`,
      [await this.scope.id(), LOOKED_AT],
    );
    const events = await eventsOf(
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
    for (const row of rows) {
      const known = liftFormula(row.formula);
      const { id: bakeId, factor, roomC, humidityShare } = row;
      const bake = { bakeId, formula: known, factor, roomC, humidityShare, events: events(bakeId), steps: row.steps };
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
    const learned = await this.solver.run(job);
    await this.scope.transaction(async () => {
      await this.kitchen.setLearned('oven', ovenId, dated(learned.find(({ what }) => what === 'oven') ?? null, rows), kitchen);
      for (const what of goodsWhats) {
        const about = aboutOf(what);
        const found = learned.find((one) => one.what === what && one.about === about) ?? null;
        await this.kitchen.setLearned(what, about, dated(found, rows), kitchen);
      }
    });
  }
}

/** Events from which an oven or a mouth is learned. */
export const teaches = ({ what, corrects }: BakeEvent) =>
  ['measured', 'rated', 'looked', 'noticed', 'ended'].includes(what.kind) || corrects !== undefined;

/** With the days of the bakes it is from, so that it can be said since when it holds. */
function dated(learned: Learned | null, bakes: readonly Pick<BakeRow, 'id' | 'startedAt'>[]): Learned | null {
  if (!learned) return null;
  const at = bakes
    .filter(({ id }) => learned.bakeIds.includes(id))
    .map(({ startedAt }) => startedAt.toISOString())
    .sort();
  return at.length === 0 ? learned : { ...learned, firstAt: at[0]!, lastAt: at.at(-1)! };
}

/** Since when bakes count for something learned; empty: from the first. */
const learnedSince = ({ learned }: Kitchen, what: Learned['what'], about: string): string =>
  learned.find((one) => one.what === what && one.about === about)?.since ?? '';

/** A word of the hand. */
export const isFelt = ({ what }: BakeEvent) => what.kind === 'felt';
