import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { Lot } from '@north-leaf/core';

@Entity('lots')
export class LotEntity {
  @PrimaryColumn('uuid') kitchenId: string;
  @PrimaryColumn({ type: 'varchar', length: 60 }) id: string;
  @Column({ type: 'varchar', length: 60 }) ingredientId: string;
  @Column('jsonb') document: Lot;
}
