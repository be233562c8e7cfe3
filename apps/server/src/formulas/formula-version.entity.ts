import { liftFormula, liftKitchen, liftPantry } from '@north-leaf/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { lifting } from '../platform/lifting.js';
import type { SetAside, StageStates } from '@north-leaf/contracts';
import type { Evaluation, Formula, Kitchen, Pantry } from '@north-leaf/core';

/** Never changed once written: input, everything read, result and the core's version together. */
@Entity('formula_versions')
export class FormulaVersionEntity {
  @PrimaryColumn('uuid') id: string;
  @Column('uuid') formulaId: string;
  @PrimaryColumn('uuid') kitchenId: string;
  @Column('integer') version: number;
  @Column({ type: 'integer', nullable: true }) basedOn: number | null;
  @Column({ type: 'varchar', length: 500 }) why: string;
  @Column('timestamptz') savedAt: Date;
  @Column({ type: 'varchar', length: 20 }) coreVersion: string;
  @Column('jsonb') states: StageStates;
  @Column('jsonb', { transformer: lifting(liftFormula) }) formula: Formula;
  @Column('jsonb', { transformer: lifting(liftKitchen) }) kitchen: Kitchen;
  @Column('jsonb', { transformer: lifting(liftPantry) }) pantry: Pantry;
  @Column('jsonb') evaluation: Evaluation;
  @Column('jsonb') setAside: readonly SetAside[];
}
