import { Body, Controller, Delete, Get, Param, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../platform/answers/answers.js';
import {
  airBodySchema,
  glutenLimitBodySchema,
  guestBodySchema,
  judgementsBodySchema,
  kitchenThingSchemas,
  learnedBodySchema,
  aboutBodySchema,
  marketBodySchema,
  matBodySchema,
  measureBodySchema,
  nameBodySchema,
  ovenHeatBodySchema,
} from '@north-leaf/contracts';
import { plainName, vagueMeasureNames } from '@north-leaf/core';
import { ApiError, invalid } from '../platform/http/errors.js';
import { IdPipe } from '../platform/http/pipes.js';
import { KitchenService } from './kitchen.service.js';
import type { Cutter, Guest, Kitchen, KitchenList, KitchenThings, Oven, Pan, Place, Tray } from '@north-leaf/core';
import type {
  AirBody,
  GlutenLimitBody,
  JudgementsBody,
  LearnedBody,
  AboutBody,
  MarketBody,
  MatBody,
  MeasureBody,
  NameBody,
  OvenHeatBody,
} from '@north-leaf/contracts';

@ApiTags('kitchen')
@Controller('kitchen')
export class KitchenController {
  constructor(private readonly kitchen: KitchenService) {}

  @Answers('GET /kitchen') @Get() current(): Promise<Kitchen> {
    return this.kitchen.current();
  }

  @Answers('PUT /kitchen/gluten-limit') @Put('gluten-limit') setGlutenLimit(
    @Body({ schema: glutenLimitBodySchema }) { mgPerKg }: GlutenLimitBody,
  ): Promise<Kitchen> {
    return this.kitchen.setGlutenLimit(mgPerKg);
  }

  @Answers('PUT /kitchen/air') @Put('air') setAir(@Body({ schema: airBodySchema }) air: AirBody): Promise<Kitchen> {
    return this.kitchen.setAir(air);
  }

  @Answers('PUT /kitchen/mat') @Put('mat') setMat(@Body({ schema: matBodySchema }) mat: MatBody): Promise<Kitchen> {
    return this.kitchen.setMat(mat);
  }
  @Answers('DELETE /kitchen/mat') @Delete('mat') forgetMat(): Promise<Kitchen> {
    return this.kitchen.setMat(null);
  }

  @Answers('PUT /kitchen/measures/:name') @Put('measures/:name') setMeasure(
    @Param('name', new IdPipe('required', 200)) name: string,
    @Body({ schema: measureBodySchema }) { value }: MeasureBody,
  ): Promise<Kitchen> {
    if (!(vagueMeasureNames as readonly string[]).includes(name)) throw new ApiError('notFound', 'There is no such measure.');
    return this.kitchen.setMeasure(name, value);
  }

  @Answers('PUT /kitchen/guests/:id') @Put('guests/:id') storeGuest(
    @Param('id', new IdPipe()) id: string,
    @Body({ schema: guestBodySchema }) guest: Guest,
  ): Promise<Kitchen> {
    mustBeOf(id, guest);
    return this.kitchen.storeGuest(guest);
  }
  @Answers('DELETE /kitchen/guests/:id') @Delete('guests/:id') removeGuest(@Param('id', new IdPipe()) id: string): Promise<Kitchen> {
    return this.kitchen.removeGuest(id);
  }

  @Answers('PUT /kitchen/market') @Put('market') setMarket(@Body({ schema: marketBodySchema }) body: MarketBody): Promise<Kitchen> {
    return this.kitchen.setMarket(body);
  }

  @Answers('PUT /kitchen/about') @Put('about') setAbout(@Body({ schema: aboutBodySchema }) body: AboutBody): Promise<Kitchen> {
    return this.kitchen.setAbout(body);
  }

  @Answers('PUT /kitchen/names/:name') @Put('names/:name') setName(
    @Param('name', new IdPipe('required', 200)) name: string,
    @Body({ schema: nameBodySchema }) { ingredientId }: NameBody,
  ): Promise<Kitchen> {
    const plain = plainName(name).slice(0, 120);
    if (plain === '') throw invalid('name', 'must have a letter');
    return this.kitchen.setName(plain, ingredientId);
  }
  @Answers('DELETE /kitchen/names/:name') @Delete('names/:name') forgetName(
    @Param('name', new IdPipe('required', 200)) name: string,
  ): Promise<Kitchen> {
    return this.kitchen.forgetName(plainName(name));
  }

  @Answers('PUT /kitchen/judgements') @Put('judgements') setJudgements(
    @Body({ schema: judgementsBodySchema }) judgements: JudgementsBody,
  ): Promise<Kitchen> {
    return this.kitchen.setJudgements(judgements);
  }

  @Answers('PUT /kitchen/learned') @Put('learned') treatLearned(@Body({ schema: learnedBodySchema }) body: LearnedBody): Promise<Kitchen> {
    return this.kitchen.treatLearned(body);
  }

  @Answers('PUT /kitchen/ovens/:id') @Put('ovens/:id') storeOven(
    @Param('id', new IdPipe()) id: string,
    @Body({ schema: kitchenThingSchemas.ovens }) oven: Oven,
  ): Promise<Kitchen> {
    return this.store('ovens', id, oven);
  }
  @Answers('PUT /kitchen/places/:id') @Put('places/:id') storePlace(
    @Param('id', new IdPipe()) id: string,
    @Body({ schema: kitchenThingSchemas.places }) place: Place,
  ): Promise<Kitchen> {
    return this.store('places', id, place);
  }
  @Answers('PUT /kitchen/trays/:id') @Put('trays/:id') storeTray(
    @Param('id', new IdPipe()) id: string,
    @Body({ schema: kitchenThingSchemas.trays }) tray: Tray,
  ): Promise<Kitchen> {
    return this.store('trays', id, tray);
  }
  @Answers('PUT /kitchen/pans/:id') @Put('pans/:id') storePan(
    @Param('id', new IdPipe()) id: string,
    @Body({ schema: kitchenThingSchemas.pans }) pan: Pan,
  ): Promise<Kitchen> {
    return this.store('pans', id, pan);
  }
  @Answers('PUT /kitchen/cutters/:id') @Put('cutters/:id') storeCutter(
    @Param('id', new IdPipe()) id: string,
    @Body({ schema: kitchenThingSchemas.cutters }) cutter: Cutter,
  ): Promise<Kitchen> {
    return this.store('cutters', id, cutter);
  }

  @Answers('PUT /kitchen/ovens/:id/heat') @Put('ovens/:id/heat') setHeat(
    @Param('id', new IdPipe()) id: string,
    @Body({ schema: ovenHeatBodySchema }) heat: OvenHeatBody,
  ): Promise<Kitchen> {
    return this.kitchen.setOvenHeat(id, heat);
  }
  @Answers('DELETE /kitchen/ovens/:id/heat') @Delete('ovens/:id/heat') forgetHeat(@Param('id', new IdPipe()) id: string): Promise<Kitchen> {
    return this.kitchen.setOvenHeat(id, null);
  }

  @Answers('DELETE /kitchen/:list/:id') @Delete(':list/:id') removeThing(
    @Param('list', new IdPipe()) list: string,
    @Param('id', new IdPipe()) id: string,
  ): Promise<Kitchen> {
    if (!Object.hasOwn(kitchenThingSchemas, list)) throw new ApiError('notFound', 'There is no such list in a kitchen.');
    return this.kitchen.removeThing(list as KitchenList, id);
  }

  private store<K extends KitchenList>(list: K, id: string, thing: KitchenThings[K]): Promise<Kitchen> {
    mustBeOf(id, thing);
    return this.kitchen.storeThing(list, thing);
  }
}

/** What is stored at an address is what the address names. */
function mustBeOf(id: string, thing: { readonly id: string }): void {
  if (thing.id === id) return;
  throw invalid('id', 'must be the id of the address');
}
