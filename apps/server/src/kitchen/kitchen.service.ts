import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { KitchenEntity } from './kitchen.entity.js';
import type { Kitchen } from '@north-leaf/core';

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
}
