import { Body, Controller, Delete, Get, HttpCode, Param, Put, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { SkipThrottle } from '@nestjs/throttler';
import { Answers } from '../platform/answers/answers.js';
import { crumbBodySchema, draftBodySchema, newFormulaBodySchema, versionBodySchema } from '@north-leaf/contracts';
import { LimitPipe, UuidPipe, VersionPipe } from '../platform/http/pipes.js';
import { FormulasService } from './formulas.service.js';
import type {
  CrumbBody,
  Draft,
  DraftBody,
  FormulaDetail,
  FormulaName,
  FormulasPart,
  FormulaVersion,
  NewFormulaBody,
  SavedVersion,
  Stored,
  VersionBody,
} from '@north-leaf/contracts';

@ApiTags('formulas')
@Controller('formulas')
export class FormulasController {
  constructor(private readonly formulas: FormulasService) {}

  @Answers('GET /formulas') @Get() list(
    /** The id of the last one seen. */ @Query('after', new UuidPipe('optional')) after: string | null,
    @Query('limit', new LimitPipe(100)) limit: number,
  ): Promise<FormulasPart> {
    return this.formulas.list(after, limit);
  }

  /** Of all of them, enough to choose one. */
  @Answers('GET /formulas/names') @Get('names') names(): Promise<FormulaName[]> {
    return this.formulas.names();
  }

  @Answers('GET /formulas/:id') @Get(':id') detail(@Param('id', new UuidPipe()) id: string): Promise<FormulaDetail> {
    return this.formulas.detail(id);
  }

  @Answers('GET /formulas/:id/versions/:version') @Get(':id/versions/:version') version(
    @Param('id', new UuidPipe()) id: string,
    @Param('version', new VersionPipe()) version: number,
  ): Promise<FormulaVersion> {
    return this.formulas.version(id, version);
  }

  @Answers('PUT /formulas/:id') @Put(':id') create(
    @Param('id', new UuidPipe()) id: string,
    @Body({ schema: newFormulaBodySchema }) body: NewFormulaBody,
  ): Promise<SavedVersion> {
    return this.formulas.create(id, body);
  }

  /** Stored every second while a baker types, so no limit on how often. */
  @SkipThrottle()
  @Answers('PUT /formulas/:id/draft')
  @Put(':id/draft')
  storeDraft(@Param('id', new UuidPipe()) id: string, @Body({ schema: draftBodySchema }) body: DraftBody): Promise<Draft> {
    return this.formulas.storeDraft(id, body);
  }

  @Answers('DELETE /formulas/:id/draft') @Delete(':id/draft') @HttpCode(204) discardDraft(
    @Param('id', new UuidPipe()) id: string,
  ): Promise<void> {
    return this.formulas.discardDraft(id);
  }

  @Answers('PUT /formulas/:id/versions/:version/crumb/:ingredientId') @Put(':id/versions/:version/crumb/:ingredientId') asCrumb(
    @Param('id', new UuidPipe()) id: string,
    @Param('version', new VersionPipe()) version: number,
    @Param('ingredientId', new UuidPipe()) ingredientId: string,
    @Body({ schema: crumbBodySchema }) { name }: CrumbBody,
  ): Promise<Stored> {
    return this.formulas.asCrumb(id, version, ingredientId, name);
  }

  @Answers('PUT /formulas/:id/versions/:versionId') @Put(':id/versions/:versionId') saveVersion(
    @Param('id', new UuidPipe()) id: string,
    @Param('versionId', new UuidPipe()) versionId: string,
    @Body({ schema: versionBodySchema }) body: VersionBody,
  ): Promise<SavedVersion> {
    return this.formulas.saveVersion(id, versionId, body);
  }
}
