import { Module } from '@nestjs/common';
import { KitchenModule } from '../kitchen/kitchen.module.js';
import { PantryModule } from '../pantry/pantry.module.js';
import { SolverModule } from '../solver/solver.module.js';
import { BlendsController } from './blends.controller.js';
import { BlendsService } from './blends.service.js';

@Module({ imports: [KitchenModule, PantryModule, SolverModule], controllers: [BlendsController], providers: [BlendsService] })
export class BlendsModule {}
