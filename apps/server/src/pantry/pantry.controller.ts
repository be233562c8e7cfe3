import { Body, Controller, Delete, Get, HttpCode, Param, Put, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../platform/answers/answers.js';
import { coreVersion } from '@north-leaf/core';
import { ingredientChangeBodySchema, lotBodySchema, ownIngredientBodySchema, preparationBodySchema } from '@north-leaf/contracts';
import { IdPipe } from '../platform/http/pipes.js';
import { PantryService } from './pantry.service.js';
import type { IngredientChangeBody, LotBody, OwnIngredientBody, PantryBook, PreparationBody, Stored } from '@north-leaf/contracts';

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
  @Answers('DELETE /pantry/preparations/:id') @Delete('preparations/:id') @HttpCode(204) removePreparation(
    @Param('id', new IdPipe()) id: string,
  ): Promise<void> {
    return this.pantry.removePreparation(id);
  }
}
