import { Injectable } from '@nestjs/common';
import { newKitchen, type Kitchen } from '@north-leaf/core';
import { KitchenEntity } from '../kitchen/kitchen.entity.js';
import { KitchenService } from '../kitchen/kitchen.service.js';
import { ApiError } from '../platform/http/errors.js';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { NewsService } from '../platform/news/news.js';
import { putDemo } from './demo.js';
import type { ListedKitchen, NewKitchenBody } from '@north-leaf/contracts';

/** More than any house begins; keeps a loop of presses from filling the disk. */
const MOST_KITCHENS = 50;

/** The kitchens of this installation, of which one stands open. Nothing of the others is lost by it. */
@Injectable()
export class KitchensService {
  constructor(
    private readonly scope: KitchenScope,
    private readonly kitchen: KitchenService,
    private readonly news: NewsService,
  ) {}

  list(): Promise<ListedKitchen[]> {
    return this.scope.query<ListedKitchen>(
      `SELECT k."id", k."document"->>'name' AS "name", row_number() OVER (ORDER BY k."openedAt" DESC NULLS LAST, k."createdAt") = 1 AS "open",
         (SELECT count(*)::int FROM "formulas" f WHERE f."kitchenId" = k."id") AS "formulas",
         (SELECT count(*)::int FROM "bakes" b WHERE b."kitchenId" = k."id") AS "bakes"
       FROM "kitchens" k ORDER BY k."createdAt"`,
    );
  }

  /** A kitchen with what most have in it, or the demo as it first was; it stands open then. The same id again is the same kitchen. */
  async begin(id: string, body: NewKitchenBody): Promise<Kitchen> {
    await this.scope.transaction(async () => {
      // Two that begin at once: the second sees the first's.
      await this.scope.query(`SELECT pg_advisory_xact_lock(hashtextextended('kitchens', 0))`);
      const there = await this.list();
      if (there.some((one) => one.id === id)) return;
      if (there.length >= MOST_KITCHENS) throw new ApiError('invalid', `An installation holds at most ${MOST_KITCHENS} kitchens.`);
      if (body.from === 'demo') return putDemo(this.scope.manager, id);
      const { from: _from, ...about } = body;
      const document = newKitchen({ id, ...about });
      await this.scope.manager.insert(KitchenEntity, { id, name: about.name, document: document as never });
    });
    return this.open(id);
  }

  /** Everybody who looks at the one that stood open is told. */
  async open(id: string): Promise<Kitchen> {
    const before = (await this.list()).find(({ open }) => open)?.id;
    if (!(await this.scope.open(id))) throw new ApiError('notFound', 'This kitchen is not here.');
    if (before !== undefined && before !== id) await this.scope.enter(() => this.news.tell({ what: 'otherKitchen' }), before);
    return this.scope.enter(() => this.kitchen.current(), id);
  }
}
