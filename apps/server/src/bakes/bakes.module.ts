import { Module } from '@nestjs/common';
import { FormulasModule } from '../formulas/formulas.module.js';
import { KitchenModule } from '../kitchen/kitchen.module.js';
import { PantryModule } from '../pantry/pantry.module.js';
import { BakesController } from './bakes.controller.js';
import { BakesService } from './bakes.service.js';

@Module({ imports: [FormulasModule, KitchenModule, PantryModule], controllers: [BakesController], providers: [BakesService] })
export class BakesModule {}
