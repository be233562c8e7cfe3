import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { Preparation } from '@north-leaf/core';

@Entity('preparations')
export class PreparationEntity {
  @PrimaryColumn('uuid') kitchenId: string;
  @PrimaryColumn({ type: 'varchar', length: 60 }) id: string;
  @Column('jsonb') document: Preparation;
  @Column('integer') revision: number;
}
