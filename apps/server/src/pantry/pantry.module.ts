import { Module } from '@nestjs/common';
import { FilesModule } from '../files/files.module.js';
import { KitchenModule } from '../kitchen/kitchen.module.js';
import { tables } from '../platform/table.js';
import { IngredientEntity } from './ingredient.entity.js';
import { LotUseEntity } from './lot-use.entity.js';
import { LotEntity } from './lot.entity.js';
import { PantryController } from './pantry.controller.js';
import { PapersController } from './papers.controller.js';
import { PantryService } from './pantry.service.js';
import { PreparationEntity } from './preparation.entity.js';

@Module({
  imports: [FilesModule, KitchenModule],
  controllers: [PantryController, PapersController],
  providers: [PantryService, ...tables(IngredientEntity, LotEntity, LotUseEntity, PreparationEntity)],
  exports: [PantryService],
})
export class PantryModule {}
