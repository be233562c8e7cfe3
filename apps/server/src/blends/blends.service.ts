import { Injectable } from '@nestjs/common';
import { families, fromBlend, InputError, labelItemOf, liftBlend, type Formula, type Label } from '@north-leaf/core';
import { KitchenService } from '../kitchen/kitchen.service.js';
import { PantryService } from '../pantry/pantry.service.js';
import { Clock } from '../platform/clock.js';
import { ApiError } from '../platform/http/errors.js';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { sameJson } from '../platform/same-json.js';
import { InjectTable, Table } from '../platform/table.js';
import { SolverService } from '../solver/solver.service.js';
import { BlendEntity } from './blend.entity.js';
import type {
  BlendBody,
  BoxLabel,
  FindBlendsBody,
  FoundBlends,
  ImitateBody,
  LibraryBlend,
  PantryBook,
  ReadLabel,
  Stored,
} from '@north-leaf/contracts';

@Injectable()
export class BlendsService {
  constructor(
    private readonly scope: KitchenScope,
    private readonly kitchen: KitchenService,
    private readonly pantry: PantryService,
    private readonly solver: SolverService,
    private readonly clock: Clock,
    @InjectTable(BlendEntity) private readonly blends: Table<BlendEntity>,
  ) {}

  /** The newest version of every blend, by name. */
  async list(): Promise<LibraryBlend[]> {
    const newest = await this.scope.query<Omit<BlendEntity, 'kitchenId'>>(
      `SELECT DISTINCT ON ("id") * FROM "blends" WHERE "kitchenId" = $1 ORDER BY "id", "version" DESC`,
      [await this.scope.id()],
    );
    return newest
      .map((row) => libraryOf({ ...row, document: liftBlend(row.document) }))
      .sort((a, b) => a.blend.name.localeCompare(b.blend.name));
  }

  /** Stored as the next version; the same content again is the version there is. */
  async save(id: string, { blend }: BlendBody): Promise<LibraryBlend> {
    fromBlend(id, 1, blend, await this.pantry.whole());
    return this.scope.transaction(async () => {
      await this.scope.lock(`blend:${id}`);
      const [held] = await this.blends.find({ where: { id }, order: { version: 'DESC' }, take: 1 });
      if (held && sameJson(held.document, blend)) return libraryOf(held);
      const row = { id, version: (held?.version ?? 0) + 1, name: blend.name, document: blend, savedAt: this.clock.now() };
      await this.blends.insert(row);
      return libraryOf(row);
    });
  }

  /** A ready blend as an ingredient: weighed by one key, known by its flours. */
  async asIngredient(id: string, version: number, revision: number): Promise<Stored> {
    const found = await this.blends.findOne({ id, version });
    if (!found) throw new ApiError('notFound', `This blend has no version ${version}.`);
    return this.pantry.storeOwn(id, revision, fromBlend(id, version, found.document, await this.pantry.whole()));
  }

  async find({ formula, search }: FindBlendsBody, signal: AbortSignal): Promise<FoundBlends> {
    const [kitchen, pantry] = await this.surroundings(formula);
    return this.solver.run({ kind: 'findBlends', formula, kitchen, pantry, search }, signal);
  }

  async readLabel(box: BoxLabel, signal: AbortSignal): Promise<ReadLabel> {
    const reading = await this.solver.run({ kind: 'readLabel', label: labelOf(box, await this.pantry.whole()) }, signal);
    if (reading.status !== 'read') return reading;
    const { samples: _samples, ...answer } = reading;
    return answer;
  }

  async imitate({ formula, search, label }: ImitateBody, signal: AbortSignal): Promise<FoundBlends> {
    const [kitchen, pantry] = await this.surroundings(formula);
    return this.solver.run({ kind: 'imitate', formula, kitchen, pantry, search, label: labelOf(label, pantry) }, signal);
  }

  private async surroundings(formula: Formula) {
    if (!Object.hasOwn(families, formula.family)) throw new InputError('formula.family', 'is not a family that North Leaf knows');
    return [await this.kitchen.current(), await this.pantry.whole()] as const;
  }
}

function labelOf({ items, panel, rule, basisG, tolerance }: BoxLabel, { ingredients }: PantryBook): Label {
  return {
    items: items.map(({ ingredientId, ...over }, i) => {
      const ingredient = ingredients[ingredientId];
      if (!ingredient) throw new InputError(`items[${i}].ingredientId`, `is not in the pantry: ${ingredientId}`);
      return labelItemOf(ingredient, rule, over);
    }),
    panel,
    rule,
    basisG,
    tolerance,
  };
}

const libraryOf = ({ id, version, savedAt, document }: Omit<BlendEntity, 'kitchenId'>): LibraryBlend => ({
  id,
  version,
  savedAt: savedAt.toISOString(),
  blend: document,
});
