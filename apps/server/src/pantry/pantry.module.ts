import { Module } from '@nestjs/common';
import { KitchenModule } from '../kitchen/kitchen.module.js';
import { PantryController } from './pantry.controller.js';
import { PantryService } from './pantry.service.js';

@Module({ imports: [KitchenModule], controllers: [PantryController], providers: [PantryService], exports: [PantryService] })
export class PantryModule {}
