import { Body, Controller, Get, Header, HttpCode, Param, ParseUUIDPipe, Post, Put, Query, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { SkipThrottle } from '@nestjs/throttler';
import { bakeBodySchema, eventsBodySchema, startBodySchema } from '@north-leaf/contracts';
import { BakesService } from './bakes.service.js';
import type { BakeEvent } from '@north-leaf/core';
import type { Bake, BakeBody, FormulaListItem, Run, StartBody } from '@north-leaf/contracts';

@ApiTags('bakes')
@Controller()
export class BakesController {
  constructor(private readonly bakes: BakesService) {}

  @Get('formulas') formulas(): Promise<FormulaListItem[]> {
    return this.bakes.listFormulas();
  }

  @Get('bakes') list(
    @Query('formulaId', new ParseUUIDPipe({ optional: true })) formulaId?: string,
    /** Only those that took from this lot. */ @Query('lotId') lotId?: string,
  ): Promise<Bake[]> {
    return this.bakes.list(formulaId, lotId);
  }

  /** Runs that have begun and not ended. */
  @SkipThrottle()
  @Get('bakes/running')
  running(): Promise<Run[]> {
    return this.bakes.running();
  }

  @SkipThrottle()
  @Get('bakes/:id')
  run(@Param('id', ParseUUIDPipe) id: string): Promise<Run> {
    return this.bakes.run(id);
  }

  @Put('bakes/:id/run') start(@Param('id', ParseUUIDPipe) id: string, @Body({ schema: startBodySchema }) body: StartBody): Promise<Run> {
    return this.bakes.start(id, body);
  }

  @Put('bakes/:id') record(@Param('id', ParseUUIDPipe) id: string, @Body({ schema: bakeBodySchema }) body: BakeBody): Promise<Bake> {
    return this.bakes.record(id, body);
  }

  /** The bytes of a picture; what is stored is drawn anew from them. The same id again is the same picture. */
  @Put('bakes/:id/photos/:photoId')
  @HttpCode(200)
  addPhoto(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('photoId', ParseUUIDPipe) photoId: string,
    @Body() bytes: unknown,
  ): Promise<readonly BakeEvent[]> {
    return this.bakes.addPhoto(id, photoId, bytes);
  }

  @Get('bakes/:id/photos/:photoId')
  @Header('Content-Type', 'image/jpeg')
  @Header('Cache-Control', 'private, max-age=31536000, immutable')
  async photo(@Param('id', ParseUUIDPipe) id: string, @Param('photoId', ParseUUIDPipe) photoId: string): Promise<StreamableFile> {
    return new StreamableFile(await this.bakes.photo(id, photoId));
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
