import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { KitchenEntity } from './kitchen.entity.js';
import type { Guest, Kitchen } from '@north-leaf/core';

@Injectable()
export class KitchenService {
  constructor(
    @InjectRepository(KitchenEntity) private readonly kitchens: Repository<KitchenEntity>,
    private readonly scope: KitchenScope,
  ) {}

  async current(): Promise<Kitchen> {
    const { document } = await this.kitchens.findOneByOrFail({ id: await this.scope.id() });
    return document;
  }

  setGlutenLimit(mgPerKg: number): Promise<Kitchen> {
    return this.change((kitchen) => ({ ...kitchen, glutenLimitMgPerKg: mgPerKg }));
  }

  /** Adds a guest or writes over the one of the same id. */
  storeGuest(guest: Guest): Promise<Kitchen> {
    return this.change((kitchen) => {
      const guests = kitchen.guests ?? [];
      const known = guests.some(({ id }) => id === guest.id);
      return { ...kitchen, guests: known ? guests.map((one) => (one.id === guest.id ? guest : one)) : [...guests, guest] };
    });
  }

  removeGuest(id: string): Promise<Kitchen> {
    return this.change((kitchen) => ({ ...kitchen, guests: (kitchen.guests ?? []).filter((guest) => guest.id !== id) }));
  }

  setMeasure(name: string, value: number): Promise<Kitchen> {
    return this.change((kitchen) => ({ ...kitchen, measures: { ...kitchen.measures, [name]: value } }));
  }

  /** One change at a time, of the kitchen as it stands, so that two of different things both hold. */
  private async change(to: (kitchen: Kitchen) => Kitchen): Promise<Kitchen> {
    const id = await this.scope.id();
    return this.kitchens.manager.transaction(async (manager) => {
      const row = await manager.findOneOrFail(KitchenEntity, { where: { id }, lock: { mode: 'pessimistic_write' } });
      const document = to(row.document);
      await manager.update(KitchenEntity, { id }, { document: document as never });
      return document;
    });
  }
}
