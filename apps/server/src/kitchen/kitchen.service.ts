import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository, type EntityManager } from 'typeorm';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { KitchenEntity } from './kitchen.entity.js';
import type { AirBody } from '@north-leaf/contracts';
import type { Guest, Kitchen, Learned } from '@north-leaf/core';

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

  /** Today's air; benches and racks stand in it, so they are as warm. */
  setAir({ humidityShare, roomC }: AirBody): Promise<Kitchen> {
    return this.change((kitchen) => ({
      ...kitchen,
      humidityShare,
      roomC,
      places: kitchen.places.map((place) => (place.kind === 'bench' || place.kind === 'rack' ? { ...place, atC: roomC } : place)),
    }));
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

  /** What was learned of one thing, in place of what was known of it; null forgets it. */
  setLearned(what: Learned['what'], about: string, learned: Learned | null, manager: EntityManager): Promise<Kitchen> {
    return this.changeIn(manager, (kitchen) => ({
      ...kitchen,
      learned: [...kitchen.learned.filter((one) => one.what !== what || one.about !== about), ...(learned ? [learned] : [])],
    }));
  }

  /** One change at a time, of the kitchen as it stands, so that two of different things both hold. */
  private async change(to: (kitchen: Kitchen) => Kitchen): Promise<Kitchen> {
    return this.kitchens.manager.transaction((manager) => this.changeIn(manager, to));
  }

  private async changeIn(manager: EntityManager, to: (kitchen: Kitchen) => Kitchen): Promise<Kitchen> {
    const id = await this.scope.id();
    const row = await manager.findOneOrFail(KitchenEntity, { where: { id }, lock: { mode: 'pessimistic_write' } });
    const document = to(row.document);
    await manager.update(KitchenEntity, { id }, { document: document as never });
    return document;
  }
}
