import { Module } from '@nestjs/common';
import { FormulasModule } from '../formulas/formulas.module.js';
import { PantryModule } from '../pantry/pantry.module.js';
import { BakesController } from './bakes.controller.js';
import { BakesService } from './bakes.service.js';

@Module({ imports: [FormulasModule, PantryModule], controllers: [BakesController], providers: [BakesService] })
export class BakesModule {}
