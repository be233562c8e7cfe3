import { Global, Module } from '@nestjs/common';
import { Clock } from './clock.js';
import { HealthController } from './health.controller.js';
import { KitchenScope } from './kitchen-scope.js';

@Global()
@Module({ controllers: [HealthController], providers: [Clock, KitchenScope], exports: [Clock, KitchenScope] })
export class PlatformModule {}
