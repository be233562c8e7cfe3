import { liftLot } from '@north-leaf/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { lifting } from '../platform/lifting.js';
import type { Lot } from '@north-leaf/core';

/** `document.onHandG` is what was counted at `countedAt`; bakes since then have taken from it. */
@Entity('lots')
export class LotEntity {
  @PrimaryColumn('uuid') kitchenId: string;
  @PrimaryColumn({ type: 'varchar', length: 60 }) id: string;
  @Column({ type: 'varchar', length: 60 }) ingredientId: string;
  @Column('jsonb', { transformer: lifting(liftLot) }) document: Lot;
  @Column('integer') revision: number;
  @Column('timestamptz') countedAt: Date;
  /** Taken by bakes since then, g. */
  @Column('double precision') usedG: number;
}
