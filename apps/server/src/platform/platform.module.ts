import { Global, Module } from '@nestjs/common';
import { Clock } from './clock.js';
import { HealthController } from './health.controller.js';
import { KitchenScope } from './kitchen-scope.js';
import { Later } from './later.js';

@Global()
@Module({ controllers: [HealthController], providers: [Clock, KitchenScope, Later], exports: [Clock, KitchenScope, Later] })
export class PlatformModule {}
