import { Module } from '@nestjs/common';
import { KitchenModule } from '../kitchen/kitchen.module.js';
import { PantryModule } from '../pantry/pantry.module.js';
import { tables } from '../platform/table.js';
import { SolverModule } from '../solver/solver.module.js';
import { BlendEntity } from './blend.entity.js';
import { BlendsController } from './blends.controller.js';
import { BlendsService } from './blends.service.js';

@Module({
  imports: [KitchenModule, PantryModule, SolverModule],
  controllers: [BlendsController],
  providers: [BlendsService, ...tables(BlendEntity)],
})
export class BlendsModule {}
