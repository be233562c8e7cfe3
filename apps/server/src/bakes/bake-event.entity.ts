import { liftHappened } from '@north-leaf/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { lifting } from '../platform/lifting.js';
import type { Happened } from '@north-leaf/core';

@Entity('bake_events')
export class BakeEventEntity {
  @PrimaryColumn('uuid') id: string;
  @PrimaryColumn('uuid') kitchenId: string;
  @Column('uuid') bakeId: string;
  @Column('timestamptz') at: Date;
  /** Of the run's steps; null for what was said of the bake as a whole. */
  @Column({ type: 'varchar', length: 60, nullable: true }) stepKey: string | null;
  @Column({ type: 'uuid', nullable: true }) corrects: string | null;
  @Column('jsonb', { transformer: lifting(liftHappened) }) what: Happened;
}
