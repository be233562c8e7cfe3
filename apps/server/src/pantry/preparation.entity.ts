import { liftPreparation } from '@north-leaf/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { lifting } from '../platform/lifting.js';
import type { Preparation } from '@north-leaf/core';

@Entity('preparations')
export class PreparationEntity {
  @PrimaryColumn('uuid') kitchenId: string;
  @PrimaryColumn({ type: 'varchar', length: 60 }) id: string;
  @Column('jsonb', { transformer: lifting(liftPreparation) }) document: Preparation;
  @Column('integer') revision: number;
}
