import { Module } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { ThrottlerGuard, ThrottlerModule } from '@nestjs/throttler';
import { TypeOrmModule } from '@nestjs/typeorm';
import { BakesModule } from './bakes/bakes.module.js';
import { BlendsModule } from './blends/blends.module.js';
import { servingOptions } from './database.js';
import { FormulasModule } from './formulas/formulas.module.js';
import { KitchenModule } from './kitchen/kitchen.module.js';
import { PantryModule } from './pantry/pantry.module.js';
import { KitchensModule } from './installation/kitchens.module.js';
import { PlatformModule } from './platform/platform.module.js';

@Module({
  imports: [
    TypeOrmModule.forRootAsync({ useFactory: () => ({ ...servingOptions(), retryAttempts: 3, retryDelay: 500 }) }),
    ThrottlerModule.forRoot([{ ttl: 60_000, limit: 1200 }]),
    PlatformModule,
    KitchenModule,
    PantryModule,
    BlendsModule,
    FormulasModule,
    BakesModule,
    KitchensModule,
  ],
  providers: [{ provide: APP_GUARD, useClass: ThrottlerGuard }],
})
export class AppModule {}
