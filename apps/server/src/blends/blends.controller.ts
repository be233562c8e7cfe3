import { Body, Controller, Get, HttpCode, Param, Post, Put, Query, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../platform/answers/answers.js';
import { blendBodySchema, boxLabelSchema, findBlendsBodySchema, imitateBodySchema } from '@north-leaf/contracts';
import { UuidPipe, VersionPipe, WholePipe } from '../platform/http/pipes.js';
import { goneSignal } from '../platform/http/gone.js';
import { BlendsService } from './blends.service.js';
import type { BlendBody, BoxLabel, FindBlendsBody, FoundBlends, ImitateBody, LibraryBlend, ReadLabel, Stored } from '@north-leaf/contracts';
import type { Response } from 'express';

@ApiTags('blends')
@Controller('blends')
export class BlendsController {
  constructor(private readonly blends: BlendsService) {}

  @Answers('GET /blends') @Get() list(): Promise<LibraryBlend[]> {
    return this.blends.list();
  }

  @Answers('PUT /blends/:id') @Put(':id') save(
    @Param('id', new UuidPipe()) id: string,
    @Body({ schema: blendBodySchema }) body: BlendBody,
  ): Promise<LibraryBlend> {
    return this.blends.save(id, body);
  }

  /** `revision` of the ingredient that was read; none for the first. */
  @Answers('PUT /blends/:id/versions/:version/as-ingredient') @Put(':id/versions/:version/as-ingredient') asIngredient(
    @Param('id', new UuidPipe()) id: string,
    @Param('version', new VersionPipe()) version: number,
    @Query('revision', new WholePipe(0, 'optional')) revision: number | null,
  ): Promise<Stored> {
    return this.blends.asIngredient(id, version, revision ?? 0);
  }

  /** Stopped as soon as whoever asked has gone. */
  @Answers('POST /blends/find') @Post('find') @HttpCode(200) find(
    @Body({ schema: findBlendsBodySchema }) body: FindBlendsBody,
    @Res({ passthrough: true }) response: Response,
  ): Promise<FoundBlends> {
    return this.blends.find(body, goneSignal(response));
  }

  @Answers('POST /blends/read-label') @Post('read-label') @HttpCode(200) readLabel(
    @Body({ schema: boxLabelSchema }) body: BoxLabel,
    @Res({ passthrough: true }) response: Response,
  ): Promise<ReadLabel> {
    return this.blends.readLabel(body, goneSignal(response));
  }

  @Answers('POST /blends/imitate') @Post('imitate') @HttpCode(200) imitate(
    @Body({ schema: imitateBodySchema }) body: ImitateBody,
    @Res({ passthrough: true }) response: Response,
  ): Promise<FoundBlends> {
    return this.blends.imitate(body, goneSignal(response));
  }
}
