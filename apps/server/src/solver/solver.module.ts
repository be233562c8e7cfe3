import { Module } from '@nestjs/common';
import { SolverService } from './solver.service.js';

@Module({ providers: [SolverService], exports: [SolverService] })
export class SolverModule {}
