import { Module } from '@nestjs/common';
import { KitchenModule } from '../kitchen/kitchen.module.js';
import { PantryModule } from '../pantry/pantry.module.js';
import { FormulasController } from './formulas.controller.js';
import { FormulasService } from './formulas.service.js';

@Module({
  imports: [KitchenModule, PantryModule],
  controllers: [FormulasController],
  providers: [FormulasService],
  exports: [FormulasService],
})
export class FormulasModule {}
