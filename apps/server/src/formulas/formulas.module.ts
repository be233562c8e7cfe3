import { Module } from '@nestjs/common';
import { EvaluatorModule } from '../evaluator/evaluator.module.js';
import { KitchenModule } from '../kitchen/kitchen.module.js';
import { PantryModule } from '../pantry/pantry.module.js';
import { tables } from '../platform/table.js';
import { DraftEntity } from './draft.entity.js';
import { FormulaVersionEntity } from './formula-version.entity.js';
import { FormulaEntity } from './formula.entity.js';
import { FormulasController } from './formulas.controller.js';
import { FormulasService } from './formulas.service.js';

@Module({
  imports: [EvaluatorModule, KitchenModule, PantryModule],
  controllers: [FormulasController],
  providers: [FormulasService, ...tables(DraftEntity, FormulaVersionEntity, FormulaEntity)],
  exports: [FormulasService],
})
export class FormulasModule {}
