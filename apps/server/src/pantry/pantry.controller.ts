import { Controller, Get } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { PantryService } from './pantry.service.js';
import type { Pantry } from '@north-leaf/core';

@ApiTags('pantry')
@Controller('pantry')
export class PantryController {
  constructor(private readonly pantry: PantryService) {}

  @Get() whole(): Promise<Pantry> {
    return this.pantry.whole();
  }
}
