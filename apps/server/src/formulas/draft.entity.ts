import { liftFormula } from '@north-leaf/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { lifting } from '../platform/lifting.js';
import type { Typed } from '@north-leaf/contracts';
import type { Formula } from '@north-leaf/core';

@Entity('formula_drafts')
export class DraftEntity {
  @PrimaryColumn('uuid') formulaId: string;
  @PrimaryColumn('uuid') kitchenId: string;
  @Column({ type: 'integer', nullable: true }) basedOn: number | null;
  @Column('integer') revision: number;
  @Column('jsonb', { transformer: lifting(liftFormula) }) formula: Formula;
  @Column('jsonb') typed: Typed;
  @Column('timestamptz') storedAt: Date;
}
