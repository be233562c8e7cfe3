import { Controller, Get } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { KitchenService } from './kitchen.service.js';
import type { Kitchen } from '@north-leaf/core';

@ApiTags('kitchen')
@Controller('kitchen')
export class KitchenController {
  constructor(private readonly kitchen: KitchenService) {}

  @Get() current(): Promise<Kitchen> {
    return this.kitchen.current();
  }
}
