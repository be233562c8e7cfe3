import { Module } from '@nestjs/common';
import { FormulasModule } from '../formulas/formulas.module.js';
import { KitchenModule } from '../kitchen/kitchen.module.js';
import { PantryModule } from '../pantry/pantry.module.js';
import { SolverModule } from '../solver/solver.module.js';
import { BakesController } from './bakes.controller.js';
import { BakesService } from './bakes.service.js';
import { LearningService } from './learning.service.js';

@Module({
  imports: [FormulasModule, KitchenModule, PantryModule, SolverModule],
  controllers: [BakesController],
  providers: [BakesService, LearningService],
})
export class BakesModule {}
