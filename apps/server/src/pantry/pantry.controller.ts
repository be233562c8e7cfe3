import { Body, Controller, Delete, Get, HttpCode, Param, Put, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../platform/answers/answers.js';
import { coreVersion } from '@north-leaf/core';
import {
  batchBodySchema,
  ingredientChangeBodySchema,
  lotBodySchema,
  ownIngredientBodySchema,
  preparationBodySchema,
} from '@north-leaf/contracts';
import { IdPipe } from '../platform/http/pipes.js';
import { PantryService } from './pantry.service.js';
import type {
  BatchBody,
  IngredientChangeBody,
  LotBody,
  OwnIngredientBody,
  PantryBook,
  PreparationBody,
  Stored,
} from '@north-leaf/contracts';

@ApiTags('pantry')
@Controller('pantry')
export class PantryController {
  constructor(private readonly pantry: PantryService) {}

  /** `have`: the release of the published table that the asker has; the same one is not sent again. */
  @Answers('GET /pantry') @Get() whole(@Query('have') have?: string): Promise<PantryBook> {
    return have === coreVersion ? this.pantry.beside() : this.pantry.whole();
  }

  @Answers('PUT /pantry/lots/:id') @Put('lots/:id') storeLot(
    @Param('id', new IdPipe()) id: string,
    @Body({ schema: lotBodySchema }) body: LotBody,
  ): Promise<Stored> {
    return this.pantry.storeLot(id, body);
  }
  @Answers('DELETE /pantry/lots/:id') @Delete('lots/:id') @HttpCode(204) removeLot(@Param('id', new IdPipe()) id: string): Promise<void> {
    return this.pantry.removeLot(id);
  }

  @Answers('PUT /pantry/ingredients/:id/change') @Put('ingredients/:id/change') correct(
    @Param('id', new IdPipe()) id: string,
    @Body({ schema: ingredientChangeBodySchema }) { revision, change }: IngredientChangeBody,
  ): Promise<Stored> {
    return this.pantry.correct(id, revision, change);
  }
  @Answers('PUT /pantry/ingredients/:id/own') @Put('ingredients/:id/own') storeOwn(
    @Param('id', new IdPipe()) id: string,
    @Body({ schema: ownIngredientBodySchema }) { revision, ingredient }: OwnIngredientBody,
  ): Promise<Stored> {
    return this.pantry.storeOwn(id, revision, ingredient);
  }
  /** A published ingredient goes back to the table's values; one's own is removed. */
  @Answers('DELETE /pantry/ingredients/:id') @Delete('ingredients/:id') @HttpCode(204) removeIngredient(
    @Param('id', new IdPipe()) id: string,
  ): Promise<void> {
    return this.pantry.removeIngredient(id);
  }

  @Answers('PUT /pantry/preparations/:id') @Put('preparations/:id') storePreparation(
    @Param('id', new IdPipe()) id: string,
    @Body({ schema: preparationBodySchema }) { revision, preparation }: PreparationBody,
  ): Promise<Stored> {
    return this.pantry.storePreparation(id, revision, preparation);
  }
  /** A batch becomes a lot with its day, and what it was made of leaves its lots; the same id again is the same batch. */
  @Answers('PUT /pantry/preparations/:id/batches/:lotId') @Put('preparations/:id/batches/:lotId') makeBatch(
    @Param('id', new IdPipe()) id: string,
    @Param('lotId', new IdPipe()) lotId: string,
    @Body({ schema: batchBodySchema }) body: BatchBody,
  ): Promise<Stored> {
    return this.pantry.makeBatch(id, lotId, body);
  }
  /** It was never made: its lots have theirs back. */
  @Answers('DELETE /pantry/preparations/:id/batches/:lotId') @Delete('preparations/:id/batches/:lotId') @HttpCode(204) unmakeBatch(
    @Param('id', new IdPipe()) id: string,
    @Param('lotId', new IdPipe()) lotId: string,
  ): Promise<void> {
    return this.pantry.unmakeBatch(id, lotId);
  }
  @Answers('DELETE /pantry/preparations/:id') @Delete('preparations/:id') @HttpCode(204) removePreparation(
    @Param('id', new IdPipe()) id: string,
  ): Promise<void> {
    return this.pantry.removePreparation(id);
  }
}
