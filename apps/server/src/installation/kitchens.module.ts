import { Module } from '@nestjs/common';
import { KitchenModule } from '../kitchen/kitchen.module.js';
import { KitchensController } from './kitchens.controller.js';
import { KitchensService } from './kitchens.service.js';

@Module({ imports: [KitchenModule], controllers: [KitchensController], providers: [KitchensService] })
export class KitchensModule {}
