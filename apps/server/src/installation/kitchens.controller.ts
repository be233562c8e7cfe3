import { Body, Controller, Get, Param, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { newKitchenBodySchema, type ListedKitchen, type NewKitchenBody } from '@north-leaf/contracts';
import { Answers } from '../platform/answers/answers.js';
import { UuidPipe } from '../platform/http/pipes.js';
import { KitchensService } from './kitchens.service.js';
import type { Kitchen } from '@north-leaf/core';

@ApiTags('kitchens')
@Controller('kitchens')
export class KitchensController {
  constructor(private readonly kitchens: KitchensService) {}

  @Answers('GET /kitchens') @Get() list(): Promise<readonly ListedKitchen[]> {
    return this.kitchens.list();
  }

  @Answers('PUT /kitchens/:id') @Put(':id') begin(
    @Param('id', new UuidPipe()) id: string,
    @Body({ schema: newKitchenBodySchema }) body: NewKitchenBody,
  ): Promise<Kitchen> {
    return this.kitchens.begin(id, body);
  }

  @Answers('PUT /kitchens/:id/open') @Put(':id/open') open(@Param('id', new UuidPipe()) id: string): Promise<Kitchen> {
    return this.kitchens.open(id);
  }
}
