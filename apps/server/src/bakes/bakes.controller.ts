import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Post, Put, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { SkipThrottle } from '@nestjs/throttler';
import { bakeBodySchema, eventsBodySchema } from '@north-leaf/contracts';
import { BakesService } from './bakes.service.js';
import type { Bake, BakeBody, BakeEvent, FormulaListItem } from '@north-leaf/contracts';

@ApiTags('bakes')
@Controller()
export class BakesController {
  constructor(private readonly bakes: BakesService) {}

  @Get('formulas') formulas(): Promise<FormulaListItem[]> {
    return this.bakes.listFormulas();
  }

  @Get('bakes') list(@Query('formulaId', new ParseUUIDPipe({ optional: true })) formulaId?: string): Promise<Bake[]> {
    return this.bakes.list(formulaId);
  }

  @Put('bakes/:id') record(@Param('id', ParseUUIDPipe) id: string, @Body({ schema: bakeBodySchema }) body: BakeBody): Promise<Bake> {
    return this.bakes.record(id, body);
  }

  @SkipThrottle()
  @Post('bakes/:id/events')
  @HttpCode(200)
  addEvents(
    @Param('id', ParseUUIDPipe) id: string,
    @Body({ schema: eventsBodySchema }) events: readonly BakeEvent[],
  ): Promise<readonly BakeEvent[]> {
    return this.bakes.addEvents(id, events);
  }
}
