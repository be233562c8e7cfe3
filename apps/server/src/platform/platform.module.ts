import { Global, Module } from '@nestjs/common';
import { Clock } from './clock.js';
import { HealthController } from './http/health.controller.js';
import { KitchenScope } from './kitchen-scope.js';
import { Later } from './later.js';
import { NewsController } from './news/news.controller.js';
import { NewsService } from './news/news.js';

@Global()
@Module({
  controllers: [HealthController, NewsController],
  providers: [Clock, KitchenScope, Later, NewsService],
  exports: [Clock, KitchenScope, Later, NewsService],
})
export class PlatformModule {}
