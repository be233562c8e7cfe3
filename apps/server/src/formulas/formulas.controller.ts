import { Body, Controller, Delete, Get, HttpCode, Param, ParseIntPipe, ParseUUIDPipe, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { SkipThrottle } from '@nestjs/throttler';
import { crumbBodySchema, draftBodySchema, newFormulaBodySchema, versionBodySchema } from '@north-leaf/contracts';
import { FormulasService } from './formulas.service.js';
import type {
  CrumbBody,
  Draft,
  DraftBody,
  FormulaDetail,
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

  @Get(':id') detail(@Param('id', ParseUUIDPipe) id: string): Promise<FormulaDetail> {
    return this.formulas.detail(id);
  }

  @Get(':id/versions/:version') version(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('version', ParseIntPipe) version: number,
  ): Promise<FormulaVersion> {
    return this.formulas.version(id, version);
  }

  @Put(':id') create(
    @Param('id', ParseUUIDPipe) id: string,
    @Body({ schema: newFormulaBodySchema }) body: NewFormulaBody,
  ): Promise<SavedVersion> {
    return this.formulas.create(id, body);
  }

  /** Stored every second while a baker types, so no limit on how often. */
  @SkipThrottle()
  @Put(':id/draft')
  storeDraft(@Param('id', ParseUUIDPipe) id: string, @Body({ schema: draftBodySchema }) body: DraftBody): Promise<Draft> {
    return this.formulas.storeDraft(id, body);
  }

  @Delete(':id/draft') @HttpCode(204) discardDraft(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.formulas.discardDraft(id);
  }

  @Put(':id/versions/:version/crumb/:ingredientId') asCrumb(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('version', ParseIntPipe) version: number,
    @Param('ingredientId', ParseUUIDPipe) ingredientId: string,
    @Body({ schema: crumbBodySchema }) { name }: CrumbBody,
  ): Promise<Stored> {
    return this.formulas.asCrumb(id, version, ingredientId, name);
  }

  @Put(':id/versions/:versionId') saveVersion(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('versionId', ParseUUIDPipe) versionId: string,
    @Body({ schema: versionBodySchema }) body: VersionBody,
  ): Promise<SavedVersion> {
    return this.formulas.saveVersion(id, versionId, body);
  }
}
