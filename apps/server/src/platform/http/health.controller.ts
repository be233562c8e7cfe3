import { Controller, Get } from '@nestjs/common';
import { SkipThrottle } from '@nestjs/throttler';
import { InjectDataSource } from '@nestjs/typeorm';
import { Answers } from '../answers/answers.js';
import { coreVersion } from '@north-leaf/core';
import { DataSource } from 'typeorm';
import { ApiError } from './errors.js';

@SkipThrottle()
@Controller('health')
export class HealthController {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  @Answers('GET /health') @Get() async health(): Promise<{ status: 'ok'; database: 'ok'; coreVersion: string }> {
    try {
      await this.database.query('SELECT 1');
    } catch {
      throw new ApiError('unavailable', 'The database does not answer.');
    }
    return { status: 'ok', database: 'ok', coreVersion };
  }
}
