import { Body, Controller, Get, Header, HttpCode, Param, Post, Put, Query, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { SkipThrottle } from '@nestjs/throttler';
import { Answers } from '../platform/answers/answers.js';
import { bakeBodySchema, eventsBodySchema, startBodySchema } from '@north-leaf/contracts';
import { IdPipe, LimitPipe, UuidPipe, WholePipe } from '../platform/http/pipes.js';
import { BakesService } from './bakes.service.js';
import type { BakeEvent } from '@north-leaf/core';
import type { Bake, BakeBody, BakesPart, Run, StartBody } from '@north-leaf/contracts';

@ApiTags('bakes')
@Controller('bakes')
export class BakesController {
  constructor(private readonly bakes: BakesService) {}

  @Answers('GET /bakes') @Get() list(
    @Query('formulaId', new UuidPipe('optional')) formulaId: string | null,
    /** Only those that took from this lot. */ @Query('lotId', new IdPipe('optional')) lotId: string | null,
    /** The number of the last one seen. */ @Query('before', new WholePipe(1, 'optional')) before: number | null,
    @Query('limit', new LimitPipe(50)) limit: number,
  ): Promise<BakesPart> {
    return this.bakes.list({ formulaId, lotId }, before, limit);
  }

  /** Runs that have begun and not ended. */
  @SkipThrottle()
  @Answers('GET /bakes/running')
  @Get('running')
  running(): Promise<Run[]> {
    return this.bakes.running();
  }

  @SkipThrottle()
  @Answers('GET /bakes/:id')
  @Get(':id')
  run(@Param('id', new UuidPipe()) id: string): Promise<Run> {
    return this.bakes.run(id);
  }

  @Answers('PUT /bakes/:id/run') @Put(':id/run') start(
    @Param('id', new UuidPipe()) id: string,
    @Body({ schema: startBodySchema }) body: StartBody,
  ): Promise<Run> {
    return this.bakes.start(id, body);
  }

  @Answers('PUT /bakes/:id') @Put(':id') record(
    @Param('id', new UuidPipe()) id: string,
    @Body({ schema: bakeBodySchema }) body: BakeBody,
  ): Promise<Bake> {
    return this.bakes.record(id, body);
  }

  /** The bytes of a picture; what is stored is drawn anew from them. The same id again is the same picture. */
  @Answers('PUT /bakes/:id/photos/:photoId')
  @Put(':id/photos/:photoId')
  @HttpCode(200)
  addPhoto(
    @Param('id', new UuidPipe()) id: string,
    @Param('photoId', new UuidPipe()) photoId: string,
    @Body() bytes: unknown,
  ): Promise<readonly BakeEvent[]> {
    return this.bakes.addPhoto(id, photoId, bytes);
  }

  @Get(':id/photos/:photoId')
  @Header('Content-Type', 'image/jpeg')
  @Header('Cache-Control', 'private, max-age=31536000, immutable')
  async photo(@Param('id', new UuidPipe()) id: string, @Param('photoId', new UuidPipe()) photoId: string): Promise<StreamableFile> {
    return new StreamableFile(await this.bakes.photo(id, photoId));
  }

  @SkipThrottle()
  @Answers('POST /bakes/:id/events')
  @Post(':id/events')
  @HttpCode(200)
  addEvents(
    @Param('id', new UuidPipe()) id: string,
    @Body({ schema: eventsBodySchema }) events: readonly BakeEvent[],
  ): Promise<readonly BakeEvent[]> {
    return this.bakes.addEvents(id, events);
  }
}
