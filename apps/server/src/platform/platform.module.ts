import { Global, Module } from '@nestjs/common';
import { HealthController } from './health.controller.js';
import { KitchenScope } from './kitchen-scope.js';

@Global()
@Module({ controllers: [HealthController], providers: [KitchenScope], exports: [KitchenScope] })
export class PlatformModule {}
