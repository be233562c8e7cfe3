import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { Lot } from '@north-leaf/core';

/** `document.onHandG` is what was counted at `countedAt`; bakes since then have taken from it. */
@Entity('lots')
export class LotEntity {
  @PrimaryColumn('uuid') kitchenId: string;
  @PrimaryColumn({ type: 'varchar', length: 60 }) id: string;
  @Column({ type: 'varchar', length: 60 }) ingredientId: string;
  @Column('jsonb') document: Lot;
  @Column('integer') revision: number;
  @Column('timestamptz') countedAt: Date;
}
