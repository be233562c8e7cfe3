import { Module } from '@nestjs/common';
import { EvaluatorModule } from '../evaluator/evaluator.module.js';
import { FilesModule } from '../files/files.module.js';
import { FormulasModule } from '../formulas/formulas.module.js';
import { KitchenModule } from '../kitchen/kitchen.module.js';
import { PantryModule } from '../pantry/pantry.module.js';
import { tables } from '../platform/table.js';
import { SolverModule } from '../solver/solver.module.js';
import { BakeEventEntity } from './bake-event.entity.js';
import { BakeEntity } from './bake.entity.js';
import { BakesController } from './bakes.controller.js';
import { BakesService } from './bakes.service.js';
import { LearningService } from './learning.service.js';
import { UnderWayEntity } from './under-way.entity.js';

@Module({
  imports: [EvaluatorModule, FilesModule, FormulasModule, KitchenModule, PantryModule, SolverModule],
  controllers: [BakesController],
  providers: [BakesService, LearningService, ...tables(BakeEntity, BakeEventEntity, UnderWayEntity)],
})
export class BakesModule {}
