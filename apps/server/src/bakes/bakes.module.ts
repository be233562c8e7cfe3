import { Module } from '@nestjs/common';
import { FormulasModule } from '../formulas/formulas.module.js';
import { BakesController } from './bakes.controller.js';
import { BakesService } from './bakes.service.js';

@Module({ imports: [FormulasModule], controllers: [BakesController], providers: [BakesService] })
export class BakesModule {}
