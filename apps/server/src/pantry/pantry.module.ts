import { Module } from '@nestjs/common';
import { KitchenModule } from '../kitchen/kitchen.module.js';
import { tables } from '../platform/table.js';
import { IngredientEntity } from './ingredient.entity.js';
import { LotUseEntity } from './lot-use.entity.js';
import { LotEntity } from './lot.entity.js';
import { PantryController } from './pantry.controller.js';
import { PantryService } from './pantry.service.js';
import { PreparationEntity } from './preparation.entity.js';

@Module({
  imports: [KitchenModule],
  controllers: [PantryController],
  providers: [PantryService, ...tables(IngredientEntity, LotEntity, LotUseEntity, PreparationEntity)],
  exports: [PantryService],
})
export class PantryModule {}
