import { Body, Controller, Delete, Get, Param, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { airBodySchema, glutenLimitBodySchema, guestBodySchema, measureBodySchema, vagueMeasureNames } from '@north-leaf/contracts';
import { ApiError } from '../platform/errors.js';
import { KitchenService } from './kitchen.service.js';
import type { Guest, Kitchen } from '@north-leaf/core';
import type { AirBody, GlutenLimitBody, MeasureBody } from '@north-leaf/contracts';

@ApiTags('kitchen')
@Controller('kitchen')
export class KitchenController {
  constructor(private readonly kitchen: KitchenService) {}

  @Get() current(): Promise<Kitchen> {
    return this.kitchen.current();
  }

  @Put('gluten-limit') setGlutenLimit(@Body({ schema: glutenLimitBodySchema }) { mgPerKg }: GlutenLimitBody): Promise<Kitchen> {
    return this.kitchen.setGlutenLimit(mgPerKg);
  }

  @Put('air') setAir(@Body({ schema: airBodySchema }) air: AirBody): Promise<Kitchen> {
    return this.kitchen.setAir(air);
  }

  @Put('measures/:name') setMeasure(
    @Param('name') name: string,
    @Body({ schema: measureBodySchema }) { value }: MeasureBody,
  ): Promise<Kitchen> {
    if (!(vagueMeasureNames as readonly string[]).includes(name)) throw new ApiError('notFound', 'There is no such measure.');
    return this.kitchen.setMeasure(name, value);
  }

  @Put('guests/:id') storeGuest(@Param('id') id: string, @Body({ schema: guestBodySchema }) guest: Guest): Promise<Kitchen> {
    if (guest.id !== id)
      throw new ApiError('invalid', 'id: must be the id of the address', [
        { path: 'id', code: 'input', message: 'must be the id of the address' },
      ]);
    return this.kitchen.storeGuest(guest);
  }
  @Delete('guests/:id') removeGuest(@Param('id') id: string): Promise<Kitchen> {
    return this.kitchen.removeGuest(id);
  }
}
